import { facePictureWords, faceShapes, type DrawnFace } from '@mendum/core/record';
import { Drawn } from './Drawn.tsx';

/** Rem to a point of the drawing: its words are as large as the page's small ones. */
const REM = 0.11;

/** A connector's face, as on the printed sheet: what was worked at in this job is outlined thick. */
export function FacePicture({ face }: { readonly face: DrawnFace }) {
  const { wide, high, shapes } = faceShapes(face);
  return (
    <figure className="mt-3 min-w-0 break-inside-avoid">
      <figcaption className="font-semibold">{face.name}</figcaption>
      <svg
        viewBox={`0 0 ${wide} ${high}`}
        style={{ width: `${wide * REM}rem` }}
        className="max-w-full"
        role="img"
        aria-label={facePictureWords(face)}
      >
        {shapes.map((shape, at) => (
          // Shapes have no name, and never change places.
          <Drawn key={at} shape={shape} />
        ))}
      </svg>
      <p className="text-sm text-soft">{face.view}</p>
    </figure>
  );
}
