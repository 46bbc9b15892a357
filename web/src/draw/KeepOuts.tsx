import type { KeepOut } from '@mendum/core';

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
  readonly words: string;
  readonly atPx: number;
  readonly low: boolean;
}

/** Places names under their stretches; one that would touch the name before it goes a line lower. */
function labelsOf(
  stretches: readonly { readonly words: string; readonly middlePx: number }[],
  plot: KeepOutsProps['plot'],
): Label[] {
  let endPx = -Infinity;
  return stretches.map(({ words, middlePx }) => {
    const wide = words.length * 6.6;
    const atPx = Math.min(plot.right - wide / 2, Math.max(plot.left + wide / 2, middlePx));
    const low = atPx - wide / 2 < endPx;
    if (!low) endPx = atPx + wide / 2 + 8;
    return { words, atPx, low };
  });
}

/** Where no splice may lie: hatched and named; a stretch that flexes is tinted as well. */
export function KeepOuts({ keepOuts, x, plot, top, bottom, namesAt = bottom + 17 }: KeepOutsProps) {
  const inside = (at: number): number => Math.min(plot.right, Math.max(plot.left, x(at)));
  const shown = keepOuts
    .map((keep) => ({ keep, from: inside(keep.fromMm), to: inside(keep.toMm) }))
    .filter(({ from, to }) => to - from >= 0.5);
  const labels = labelsOf(
    shown.map(({ keep, from, to }) => ({
      words: keep.kind === 'flex' ? `${keep.name}, bends` : keep.name,
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
              <text
                x={label.atPx}
                y={namesAt + (label.low ? 17 : 0)}
                textAnchor="middle"
                fontSize={14}
                fill="var(--soft)"
              >
                {label.words}
              </text>
            ) : null}
          </g>
        );
      })}
    </g>
  );
}
