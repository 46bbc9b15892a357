import type { Shape } from '@mendum/core/record';

const LOOKS = {
  wire: 'stroke-ink',
  rule: 'stroke-soft',
  now: 'fill-copper stroke-ink',
  plain: 'fill-sheet stroke-soft',
  touched: 'fill-wash stroke-copper [stroke-width:2.2]',
  before: 'fill-sheet stroke-soft [stroke-dasharray:2_1.5]',
  ink: 'fill-ink',
  soft: 'fill-soft',
} as const;

/** A shape of the sheet's drawings. */
export function Drawn({ shape }: { readonly shape: Shape }) {
  switch (shape.kind) {
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} className={LOOKS[shape.look]} />;
    case 'box':
      return (
        <rect
          x={shape.x}
          y={shape.y}
          width={shape.wide}
          height={shape.high}
          rx={shape.round}
          className={LOOKS[shape.look]}
        />
      );
    case 'words':
      return (
        <text
          x={shape.x}
          y={shape.y}
          fontSize={shape.size * 1.15}
          textAnchor={shape.anchor}
          className={LOOKS[shape.look]}
        >
          {shape.text}
        </text>
      );
  }
}
