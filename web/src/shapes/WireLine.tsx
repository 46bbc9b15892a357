import type { WireColour } from '@mendum/core/wire';
import { WIRE_HEX } from './colours.ts';

interface WireLineProps {
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly thick: number;
  readonly colour: WireColour;
}

/** A wire in its base and stripe colours, outlined so that white shows on paper and black on dark. */
export function WireLine({ x1, x2, y, thick, colour }: WireLineProps) {
  if (x2 <= x1) return null;
  const stripe = colour.stripe;
  return (
    <g>
      <rect
        x={x1}
        y={y - thick / 2}
        width={x2 - x1}
        height={thick}
        fill={WIRE_HEX[colour.base]}
        stroke="var(--ink)"
        strokeWidth={1}
        strokeOpacity={0.75}
      />
      {stripe === undefined ? null : (
        <line
          x1={x1}
          x2={x2}
          y1={y}
          y2={y}
          stroke={WIRE_HEX[stripe]}
          strokeWidth={Math.max(2, thick * 0.42)}
          strokeDasharray="8 5"
        />
      )}
    </g>
  );
}

/** A short sample of a wire, beside words; without a title of its own where the words say its colours already. */
export function WireChip({
  colour,
  width = 64,
  thick = 8,
  title,
}: {
  readonly colour: WireColour;
  readonly width?: number;
  readonly thick?: number;
  readonly title: string;
}) {
  return (
    <svg
      width={`${width / 16}rem`}
      height={`${(thick + 4) / 16}rem`}
      viewBox={`0 0 ${width} ${thick + 4}`}
      {...(title === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': title })}
      className="shrink-0"
    >
      <WireLine x1={0.5} x2={width - 0.5} y={(thick + 4) / 2} thick={thick} colour={colour} />
    </svg>
  );
}
