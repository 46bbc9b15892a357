import type { DrawnFace, DrawnRun } from './drawnTypes.ts';

/** What the drawing of a run shows, for who does not see it: what lies where, mm from the run's start. */
export const runPictureWords = ({ rows }: DrawnRun): string =>
  rows
    .flatMap(({ circuit, bodies }) =>
      bodies.map(
        ({ fromMm, toMm, words, earlier }) =>
          `${circuit}: ${words} at ${Math.round((fromMm + toMm) / 2)} mm${earlier ? ', from before' : ''}`,
      ),
    )
    .join('. ');

/** What the drawing of a connector's face shows, for who does not see it: where it was worked at. */
export const facePictureWords = ({ name, cavities }: DrawnFace): string =>
  `${name}, worked at cavity ${cavities
    .filter(({ touched }) => touched)
    .map(({ cavity, circuit }) => `${cavity}${circuit === undefined ? '' : `, circuit ${circuit}`}`)
    .join('; ')}`;
