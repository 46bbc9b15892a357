import type { GlyphName } from '@mendum/core/family';
import { GLYPHS } from '../glyph/index.ts';

interface SpliceBodyProps {
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly high: number;
  readonly glyph: GlyphName;
  readonly selected?: boolean;
}

/** A splice's body at its true length, with the glyph of its method. */
export function SpliceBody({ x1, x2, y, high, glyph, selected = false }: SpliceBodyProps) {
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
      {GLYPHS[glyph].mark({ x: middle, y, wide: Math.max(4, Math.min(wide - 8, wide * 0.46)), high: high * 0.5 })}
    </g>
  );
}
