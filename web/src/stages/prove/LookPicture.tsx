import { CAVITY_PICTURES } from './cavityPictures.tsx';
import { SPLICE_PICTURES } from './splicePictures.tsx';

/** What is seen, good and bad, by check and answer. */
const PICTURES = { ...SPLICE_PICTURES, ...CAVITY_PICTURES };

export function LookPicture({ checkId, answer }: { readonly checkId: string; readonly answer: string }) {
  const picture = PICTURES[`${checkId} ${answer}`];
  return picture === undefined ? null : (
    <svg viewBox="0 0 160 56" className="h-12 w-full max-w-40" aria-hidden>
      {picture}
    </svg>
  );
}
