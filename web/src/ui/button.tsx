import type { ButtonHTMLAttributes } from 'react';
import clsx from 'clsx';

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** One copper button per screen: the next thing to do. */
  readonly look?: 'copper' | 'plain' | 'quiet' | 'scrap';
  readonly size?: 'normal' | 'large';
}

const LOOKS = {
  copper: 'bg-copper text-oncopper border-copper font-semibold hover:brightness-110',
  plain: 'bg-sheet text-ink border-ink font-semibold hover:bg-wash',
  quiet: 'bg-transparent text-ink border-transparent underline underline-offset-4 hover:bg-wash',
  scrap: 'bg-sheet text-scrap border-scrap font-semibold hover:bg-wash',
} as const;

export function Button({ look = 'plain', size = 'normal', className, type = 'button', ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={clsx(
        'inline-flex items-center justify-center gap-2 rounded-sm border disabled:border-rule disabled:bg-transparent disabled:text-soft disabled:no-underline',
        size === 'large' ? 'min-h-16 px-8 text-2xl' : 'min-h-11 px-4 text-lg',
        LOOKS[look],
        className,
      )}
      {...rest}
    />
  );
}
