import { useState } from 'react';
import clsx from 'clsx';
import type { Check, Reading, ReadingValue, Ruling, VerdictWord } from '@mendum/core/prove';
import { Choices } from '../../ui/choices.tsx';
import { CheckBlock } from './CheckBlock.tsx';

const SHORT: Partial<Record<Check['kind'], string>> = {
  resistance: 'Four-lead resistance',
  drop: 'Drop over the joint',
  path: 'Drop over the path',
  height: 'Crimp height',
  unmeasured: 'Not measured',
};

const MARK: Record<VerdictWord, string> = { pass: '✓ ', looked: '◐ ', rework: '▲ ', scrap: '✕ ', open: '○ ' };

/** Readings of which any one proves the joint: the shop takes the one that it has an instrument for. */
export function AnyOf({
  checks,
  rulings,
  last,
  locked,
  onRead,
}: {
  readonly checks: readonly Check[];
  readonly rulings: ReadonlyMap<string, Ruling>;
  readonly last: (checkId: string) => Reading | undefined;
  readonly locked: boolean;
  readonly onRead: (checkId: string, value: ReadingValue) => Promise<boolean>;
}) {
  const read = checks.find(({ id }) => rulings.has(id));
  const [picked, setPicked] = useState<string>();
  const check = checks.find(({ id }) => id === (picked ?? read?.id)) ?? checks[0];
  if (!check) return null;
  return (
    <>
      <p className="mb-1 text-lg font-semibold">Measured: any one of these is enough</p>
      <Choices
        label="How it is measured"
        picked={check.id}
        onPick={(id) => setPicked(id)}
        className="mb-2 flex flex-wrap gap-1.5"
        look={(isPicked) =>
          clsx(
            'min-h-11 rounded-sm border-2 px-3',
            isPicked ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
          )
        }
        choices={checks.map(({ id, kind, title }) => ({
          value: id,
          shown: () => (
            <>
              {rulings.has(id) ? <span aria-hidden>{MARK[rulings.get(id)?.verdict ?? 'open']}</span> : null}
              {SHORT[kind] ?? title}
            </>
          ),
        }))}
      />
      <CheckBlock
        key={check.id}
        check={check}
        ruling={rulings.get(check.id)}
        reading={last(check.id)}
        locked={locked}
        onRead={(value) => onRead(check.id, value)}
      />
    </>
  );
}
