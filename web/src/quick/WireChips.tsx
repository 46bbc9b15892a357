import clsx from 'clsx';
import { sizeInWords } from '@mendum/core/wire';
import { WireChip } from '../shapes/WireLine.tsx';
import type { QuickWire } from './draft.ts';

/** The wires of a repair to pick one of, where there are several. */
export function WireChips({
  wires,
  at,
  onPick,
}: {
  readonly wires: readonly QuickWire[];
  readonly at: number;
  readonly onPick: (at: number) => void;
}) {
  if (wires.length < 2) return null;
  return (
    <div className="flex flex-wrap gap-1.5">
      {wires.map(({ name, colour, size }, index) => (
        <button
          key={index}
          type="button"
          aria-pressed={index === at}
          onClick={() => onPick(index)}
          className={clsx(
            'flex min-h-11 items-center gap-2 rounded-sm border-2 px-2',
            index === at ? 'border-copper bg-wash' : 'border-rule hover:bg-wash',
          )}
        >
          <span className="figure">{name ?? index + 1}</span>
          <WireChip colour={colour ?? { base: 'natural' }} width={40} title={colour?.base ?? 'no colour yet'} />
          <span className="sr-only">{size ? sizeInWords(size) : 'no size yet'}</span>
        </button>
      ))}
    </div>
  );
}
