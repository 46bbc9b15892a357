import clsx from 'clsx';
import type { ReactNode } from 'react';

interface ScrollerProps {
  /** What is in it, for whoever cannot see it. */
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** What is wider or higher than its room: it scrolls by itself, and a keyboard reaches it. */
export const Scroller = ({ label, className, children }: ScrollerProps) => (
  <div role="group" aria-label={label} tabIndex={0} className={clsx('relative -m-1 overflow-auto p-1', className)}>
    {children}
  </div>
);
