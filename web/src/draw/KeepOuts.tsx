import type { KeepOut } from '@mendum/core/harness';
import { useLength } from '../ui/units.tsx';

interface KeepOutsProps {
  readonly keepOuts: readonly KeepOut[];
  readonly x: (mm: number) => number;
  readonly plot: { readonly left: number; readonly right: number };
  readonly top: number;
  readonly bottom: number;
  /** Where the names stand: under the stretches, or at a line of their own. */
  readonly namesAt?: number | undefined;
}

interface Label {
  readonly atPx: number;
  /** Which of the two lines of names it stands on. */
  readonly lane: number;
}

const LANES = 2;
const LETTER_PX = 6.6;
/** Between two names on a line. */
const GAP_PX = 8;

const nameOf = ({ kind, name }: KeepOut): string => (kind === 'flex' ? `${name}, bends` : name);

/** Places names under their stretches, on the first of two lines with room; where none has it, the list below says it. */
export function labelsOf(
  stretches: readonly { readonly words: string; readonly middlePx: number }[],
  plot: KeepOutsProps['plot'],
): (Label | undefined)[] {
  const endsPx = Array.from({ length: LANES }, () => -Infinity);
  return stretches.map(({ words, middlePx }) => {
    const half = (words.length * LETTER_PX) / 2;
    const atPx = Math.min(plot.right - half, Math.max(plot.left + half, middlePx));
    const lane = endsPx.findIndex((endPx) => atPx - half >= endPx);
    if (lane < 0) return undefined;
    endsPx[lane] = atPx + half + GAP_PX;
    return { atPx, lane };
  });
}

/** The same in words, for a narrow screen, where not every name finds room in the drawing. */
export function KeepOutWords({ keepOuts }: Pick<KeepOutsProps, 'keepOuts'>) {
  const { plain, unit } = useLength();
  if (keepOuts.length === 0) return null;
  const words = keepOuts.map((keep) => `${nameOf(keep)} ${plain(keep.fromMm, 0)}–${plain(keep.toMm, 0)}`);
  return (
    <p className="py-1 text-soft">
      No splice, {unit}: {words.join(', ')}
    </p>
  );
}

/** Where no splice may lie: hatched and named; a stretch that flexes is tinted as well. */
export function KeepOuts({ keepOuts, x, plot, top, bottom, namesAt = bottom + 17 }: KeepOutsProps) {
  const inside = (at: number): number => Math.min(plot.right, Math.max(plot.left, x(at)));
  const shown = keepOuts
    .map((keep) => ({ keep, from: inside(keep.fromMm), to: inside(keep.toMm) }))
    .filter(({ from, to }) => to - from >= 0.5);
  const labels = labelsOf(
    shown.map(({ keep, from, to }) => ({
      words: nameOf(keep),
      middlePx: (from + to) / 2,
    })),
    plot,
  );
  return (
    <g>
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--soft)" strokeWidth="1" strokeOpacity="0.5" />
        </pattern>
      </defs>
      {shown.map(({ keep, from, to }, index) => {
        const label = labels[index];
        return (
          <g key={`${keep.kind} ${keep.name} ${keep.fromMm}`}>
            {keep.kind === 'flex' ? (
              <rect x={from} y={top} width={to - from} height={bottom - top} fill="var(--copper)" fillOpacity={0.13} />
            ) : null}
            <rect x={from} y={top} width={to - from} height={bottom - top} fill="url(#hatch)" />
            {label ? (
              <text x={label.atPx} y={namesAt + label.lane * 17} textAnchor="middle" fontSize={14} fill="var(--soft)">
                {nameOf(keep)}
              </text>
            ) : null}
          </g>
        );
      })}
    </g>
  );
}
