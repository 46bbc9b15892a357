import type { ReactNode } from 'react';
import clsx from 'clsx';
import { ToggleGroup } from 'radix-ui';

/** An answer in words, as it is tapped. */
export const pickLook = (isPicked: boolean): string =>
  clsx(
    'min-h-11 rounded-sm border-2 px-4 text-left text-lg',
    isPicked ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
  );

/** One of several answers; what is drawn for it may depend on whether it is the one. */
interface Choice<V extends string> {
  readonly value: V;
  readonly shown: (isPicked: boolean) => ReactNode;
}

interface ChoicesProps<V extends string> {
  readonly label: string;
  readonly picked: V | undefined;
  readonly choices: readonly Choice<V>[];
  /** The answer, or nothing once it is taken back. */
  readonly onPick: (value: V | undefined) => void;
  /** How the group and each of its answers look. */
  readonly className: string;
  readonly look: (isPicked: boolean) => string;
  readonly disabled?: boolean;
  /** Tapping the picked one again takes the answer back. */
  readonly mayBeNone?: boolean;
}

/**
 * Answers of which one holds, each a button as large as a thumb. Arrow keys go from one to the next and pick nothing:
 * an answer may be a reading that is written down.
 */
export function Choices<V extends string>({
  label,
  picked,
  choices,
  onPick,
  className,
  look,
  disabled = false,
  mayBeNone = false,
}: ChoicesProps<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={picked ?? ''}
      disabled={disabled}
      onValueChange={(value) => {
        if (value !== '') onPick(value as V);
        else if (mayBeNone) onPick(undefined);
      }}
      className={className}
    >
      {choices.map(({ value, shown }) => (
        <ToggleGroup.Item key={value} value={value} className={look(value === picked)}>
          {shown(value === picked)}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
