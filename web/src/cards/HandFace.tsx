import { movedApart, type SeenCavity } from '@mendum/core/connector';
import type { Circuit } from '@mendum/core/harness';
import { WIRE_HEX } from '../shapes/colours.ts';

const STEP = 60;
const HALF = 28;
const EDGE = 12;
const LATCH = 22;

/** The size of a face as it is drawn, in its own unit. */
export function handFaceSize(seen: readonly SeenCavity[]): { readonly wide: number; readonly high: number } {
  const apart = movedApart(seen);
  const span = (values: readonly number[]): number => (Math.max(...values) - Math.min(...values)) * STEP + 2 * HALF;
  return {
    wide: span(apart.map(({ x }) => x)) + 2 * EDGE,
    high: span(apart.map(({ y }) => y)) + 2 * EDGE + LATCH,
  };
}

/** A face for the hand, latch up: large numbers, and on the wire side the colours of the wires under them. */
export function HandFace({
  seen,
  side,
  circuitIn,
  size,
}: {
  readonly seen: readonly SeenCavity[];
  readonly side: 'wire' | 'mating';
  readonly circuitIn: (cavity: string) => Circuit | undefined;
  /** mm. */
  readonly size: { readonly wide: number; readonly high: number };
}) {
  const apart = movedApart(seen);
  const { wide, high } = handFaceSize(seen);
  const [left, top] = [Math.min(...apart.map(({ x }) => x)), Math.min(...apart.map(({ y }) => y))];
  return (
    <svg
      viewBox={`0 0 ${wide} ${high}`}
      style={{ width: `${size.wide}mm`, height: `${size.high}mm` }}
      role="img"
      aria-label={`${side} side, latch up`}
      className="mx-auto block"
    >
      <rect x={wide / 2 - 30} y={1} width={60} height={LATCH} fill="var(--wash)" stroke="var(--ink)" strokeWidth={2} />
      <text x={wide / 2} y={17} textAnchor="middle" fontSize={15} fontWeight={600} fill="var(--ink)">
        latch
      </text>
      <rect
        x={1}
        y={LATCH}
        width={wide - 2}
        height={high - LATCH - 1}
        rx={6}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {apart.map(({ cavity, x, y }) => {
        const [cx, cy] = [EDGE + HALF + (x - left) * STEP, LATCH + EDGE + HALF + (y - top) * STEP];
        const colour = side === 'wire' ? circuitIn(cavity)?.wire.colour : undefined;
        return (
          <g key={cavity}>
            <rect
              x={cx - HALF}
              y={cy - HALF}
              width={2 * HALF}
              height={2 * HALF}
              rx={3}
              fill="#fff"
              stroke="#1d2021"
              strokeWidth={1.5}
            />
            {colour ? (
              <>
                <rect
                  x={cx - HALF + 4}
                  y={cy + 9}
                  width={2 * HALF - 8}
                  height={15}
                  fill={WIRE_HEX[colour.base]}
                  stroke="#1d2021"
                />
                {colour.stripe === undefined ? null : (
                  <rect x={cx - HALF + 4} y={cy + 14} width={2 * HALF - 8} height={5} fill={WIRE_HEX[colour.stripe]} />
                )}
              </>
            ) : null}
            {circuitIn(cavity) ? null : (
              <path d={`M${cx - 7} ${cy + 8}l14 14m0 -14l-14 14`} stroke="#4c4942" strokeWidth={1.5} />
            )}
            <text
              x={cx}
              y={cy + 3}
              textAnchor="middle"
              fontSize={cavity.length > 3 ? 17 : 27}
              fontWeight={700}
              className="figure"
              fill="#1d2021"
            >
              {cavity}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
