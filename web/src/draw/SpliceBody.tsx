import type { MethodFamily } from '@mendum/core';

interface SpliceBodyProps {
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly high: number;
  readonly family: MethodFamily;
  readonly selected?: boolean;
}

/** What is under the sleeve: a barrel in two halves, a clip round two wires, wraps of soldered wire, or a tap's tooth. */
function Glyph({
  family,
  x,
  y,
  wide,
  high,
}: {
  readonly family: MethodFamily;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}) {
  const half = wide / 2;
  switch (family) {
    case 'closedBarrel':
      return (
        <g fill="var(--copper)">
          <rect x={x - half} y={y - high / 2} width={half - 0.75} height={high} />
          <rect x={x + 0.75} y={y - high / 2} width={half - 0.75} height={high} />
        </g>
      );
    case 'openClip':
      return (
        <g fill="none" stroke="var(--copper)" strokeWidth={2}>
          <path d={`M${x - half} ${y - high * 0.22}H${x + half}M${x - half} ${y + high * 0.22}H${x + half}`} />
          <path
            d={`M${x - half * 0.45} ${y - high / 2}v${high}M${x + half * 0.45} ${y - high / 2}v${high}`}
            strokeWidth={3}
          />
        </g>
      );
    case 'soldered':
      return (
        <path
          d={[-0.6, -0.2, 0.2, 0.6].map((at) => `M${x + at * half - 2} ${y + high / 2}l4 ${-high}`).join('')}
          stroke="var(--copper)"
          strokeWidth={2.5}
          fill="none"
        />
      );
    case 'closedEnd':
      return (
        <path
          d={`M${x - half} ${y - high / 2}h${wide * 0.8}a${wide * 0.2} ${high / 2} 0 0 1 0 ${high}h${-wide * 0.8}`}
          fill="var(--copper)"
        />
      );
    case 'tap':
      return <path d={`M${x - half} ${y - high / 2}h${wide}l${-half} ${high}Z`} fill="var(--copper)" />;
  }
}

/** A splice's body at its true length, with the glyph of its method. */
export function SpliceBody({ x1, x2, y, high, family, selected = false }: SpliceBodyProps) {
  const wide = Math.max(6, x2 - x1);
  const middle = (x1 + x2) / 2;
  return (
    <g>
      {selected ? (
        <rect
          x={middle - wide / 2 - 4}
          y={y - high / 2 - 4}
          width={wide + 8}
          height={high + 8}
          rx={high / 2}
          fill="none"
          stroke="var(--copper)"
          strokeWidth={2.5}
        />
      ) : null}
      <rect
        x={middle - wide / 2}
        y={y - high / 2}
        width={wide}
        height={high}
        rx={Math.min(high / 2.4, wide / 2)}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <Glyph family={family} x={middle} y={y} wide={Math.max(4, Math.min(wide - 8, wide * 0.46))} high={high * 0.5} />
    </g>
  );
}
