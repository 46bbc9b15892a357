import { useRoom } from '../../draw/useRoom.ts';
import { runHigh, runPictureWords, runShapes, type DrawnRun } from '@mendum/core/record';
import { Drawn } from './Drawn.tsx';

/** The drawing is made for so much less than its room, so that its words are large enough; and for no less than this. */
const GROWN = 1.35;
const LEAST = 330;

/** A run to scale, as on the printed sheet: what was made in this job, and what was there before. */
export function RunPicture({ run }: { readonly run: DrawnRun }) {
  const [box, room] = useRoom<HTMLElement>();
  const high = runHigh(run);
  const wide = Math.max(LEAST, room.width / GROWN);
  return (
    <figure ref={box} className="mt-2 break-inside-avoid">
      <figcaption className="font-semibold">
        {run.name}, {run.fromName} to {run.toName}, {Math.round(run.lengthMm)} mm
      </figcaption>
      <svg viewBox={`0 0 ${wide} ${high}`} className="w-full" role="img" aria-label={runPictureWords(run)}>
        {runShapes(run, wide).map((shape, at) => (
          // Shapes have no name, and never change places.
          <Drawn key={at} shape={shape} />
        ))}
      </svg>
    </figure>
  );
}
