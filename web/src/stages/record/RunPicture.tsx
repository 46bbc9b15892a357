import { useRoom } from '../../draw/useRoom.ts';
import { runHigh, runShapes, type DrawnRun, type Shape } from '@mendum/core/record';

/** The drawing is made for so much less than its room, so that its words are large enough; and for no less than this. */
const GROWN = 1.35;
const LEAST = 330;

const LOOKS = {
  wire: 'stroke-ink',
  rule: 'stroke-soft',
  now: 'fill-copper stroke-ink',
  before: 'fill-sheet stroke-soft [stroke-dasharray:2_1.5]',
  ink: 'fill-ink',
  soft: 'fill-soft',
} as const;

function Drawn({ shape }: { readonly shape: Shape }) {
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

/** A run to scale, as on the printed sheet: what was made in this job, and what was there before. */
export function RunPicture({ run }: { readonly run: DrawnRun }) {
  const [box, room] = useRoom<HTMLElement>();
  const high = runHigh(run);
  const wide = Math.max(LEAST, room.width / GROWN);
  const places = run.rows.flatMap(({ circuit, bodies }) =>
    bodies.map(
      ({ fromMm, toMm, words, earlier }) =>
        `${circuit}: ${words} at ${Math.round((fromMm + toMm) / 2)} mm${earlier ? ', from before' : ''}`,
    ),
  );
  return (
    <figure ref={box} className="mt-2 break-inside-avoid">
      <figcaption className="font-semibold">
        {run.name}, {run.fromName} to {run.toName}, {Math.round(run.lengthMm)} mm
      </figcaption>
      <svg viewBox={`0 0 ${wide} ${high}`} className="w-full" role="img" aria-label={places.join('. ')}>
        {runShapes(run, wide).map((shape, at) => (
          // Shapes have no name, and never change places.
          <Drawn key={at} shape={shape} />
        ))}
      </svg>
    </figure>
  );
}
