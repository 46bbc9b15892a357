import type { ReactNode } from 'react';
import { CAVITY_PICTURES } from './cavityPictures.tsx';
import { END_PICTURES } from './endPictures.tsx';
import { GLYPHS } from '../../glyph/index.ts';
import { SEAL_PICTURES } from './sealPictures.tsx';

/** What is seen, good and bad, by check and answer. */
const PICTURES: ReadonlyMap<string, ReactNode> = new Map(
  [SEAL_PICTURES, CAVITY_PICTURES, END_PICTURES, ...Object.values(GLYPHS).map(({ looks }) => looks)].flatMap((looks) =>
    Object.entries(looks),
  ),
);

export function LookPicture({ checkId, answer }: { readonly checkId: string; readonly answer: string }) {
  const picture = PICTURES.get(`${checkId} ${answer}`);
  return picture === undefined ? null : (
    <svg viewBox="0 0 160 56" className="h-12 w-full max-w-40" aria-hidden>
      {picture}
    </svg>
  );
}
