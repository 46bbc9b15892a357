import type { WireColour } from '@mendum/core/wire';
import { COPPER_HEX, COPPER_LINE_HEX } from './colours.ts';
import { WireLine } from './WireLine.tsx';

/** The sheet that a step is drawn on: its width, the height of the wire's middle, and the wire's thickness. */
export const WIDE = 660;
/** By how much its drawing has the words of a caption larger. */
export const WORDS_GROWN = '--words-grown';
export const Y = 80;
const THICK = 36;

/** Bare copper, its strands along it. */
export function Copper({
  x,
  wide,
  thick = THICK - 8,
  y = Y,
}: {
  readonly x: number;
  readonly wide: number;
  readonly thick?: number;
  readonly y?: number;
}) {
  const lines = [0.2, 0.4, 0.6, 0.8];
  return (
    <g>
      <rect x={x} y={y - thick / 2} width={wide} height={thick} fill={COPPER_HEX} />
      {lines.map((share) => (
        <line
          key={share}
          x1={x}
          x2={x + wide}
          y1={y - thick / 2 + share * thick}
          y2={y - thick / 2 + share * thick}
          stroke={COPPER_LINE_HEX}
        />
      ))}
    </g>
  );
}

/** A dimension line over a drawing. */
export function Dimension({ from, to, words }: { readonly from: number; readonly to: number; readonly words: string }) {
  return (
    <g stroke="var(--ink)" strokeWidth={1.5} fill="none">
      <path d={`M${from} 22v34M${to} 22v34M${from} 34H${to}M${from + 9} 29l-9 5l9 5M${to - 9} 29l9 5l-9 5`} />
      <text
        x={(from + to) / 2}
        y={22}
        textAnchor="middle"
        fontSize={24}
        fontWeight={600}
        fill="var(--ink)"
        stroke="none"
        className="figure"
      >
        {words}
      </text>
    </g>
  );
}

/** A few words under a drawing, larger where the drawing says that it is small. */
export const Caption = ({ x, words }: { readonly x: number; readonly words: string }) => (
  <text
    x={x}
    y={148}
    textAnchor="middle"
    fill="var(--soft)"
    style={{
      fontSize: `calc(18px * var(${WORDS_GROWN}, 1))`,
      transform: `translateY(calc(14px * (var(${WORDS_GROWN}, 1) - 1)))`,
    }}
  >
    {words}
  </text>
);

/** A sleeve or tube over the wire. */
export const Tube = ({ x, wide, high = 60 }: { readonly x: number; readonly wide: number; readonly high?: number }) => (
  <rect
    x={x}
    y={Y - high / 2}
    width={wide}
    height={high}
    rx={12}
    fill="var(--sheet)"
    fillOpacity={0.82}
    stroke="var(--ink)"
    strokeWidth={2}
  />
);

/** The wire in its own colours. */
export const Wire = ({
  from,
  to,
  colour,
}: {
  readonly from: number;
  readonly to: number;
  readonly colour: WireColour;
}) => <WireLine x1={from} x2={to} y={Y} thick={THICK} colour={colour} />;

/** Where a tool presses. */
export const Arrow = ({ x }: { readonly x: number }) => (
  <path d={`M${x} 18v26m-9 -10l9 12l9 -12`} fill="none" stroke="var(--ink)" strokeWidth={3} />
);
