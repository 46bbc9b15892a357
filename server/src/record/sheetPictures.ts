import type { Content } from 'pdfmake/interfaces.js';
import { facePictureWords, runPictureWords, TAKEN_WORDS, type JobSheet } from '@mendum/core/record';
import { faceSvg, runSvg } from './runSvg.ts';
import type { SheetPhoto } from './sheetPhotos.ts';
import { heading, SOFT } from './sheetStyle.ts';
import { inLocalTime } from './when.ts';

/** Runs to scale: what was made, filled; what was there before, dashed. */
export function drawings({ runs }: JobSheet, wide: number): Content[] {
  if (runs.length === 0) return [];
  const isOld = runs.some(({ rows }) => rows.some(({ bodies }) => bodies.some(({ earlier }) => earlier)));
  return [
    heading('Where it is'),
    ...runs.flatMap((run): Content[] => [
      {
        stack: [
          {
            text: `${run.name}, ${run.fromName} to ${run.toName}, ${Math.round(run.lengthMm)} mm`,
            fontSize: 9,
            bold: true,
          },
          { svg: runSvg(run, wide), width: wide, alt: runPictureWords(run) },
        ],
        unbreakable: true,
      },
    ]),
    {
      text: `To scale, in mm. Filled: made in this job.${isOld ? ' Dashed: was there before.' : ''}`,
      fontSize: 8,
      color: SOFT,
    },
  ];
}

/** Connectors that were worked at, as a hand holds them. */
export function faces({ faces: all }: JobSheet, wide: number): Content[] {
  if (all.length === 0) return [];
  return [
    heading('At which cavity'),
    ...all.map((face): Content => {
      const drawn = faceSvg(face);
      return {
        stack: [
          { text: face.name, fontSize: 9, bold: true, margin: [0, 0, 0, 3] },
          { svg: drawn.svg, width: Math.min(drawn.wide, wide), alt: facePictureWords(face) },
          { text: face.view, fontSize: 8, color: SOFT, margin: [0, 2, 0, 6] },
        ],
        unbreakable: true,
      };
    }),
    {
      text: 'In each cavity its name, and the circuit in it. Outlined thick: worked at in this job.',
      fontSize: 8,
      color: SOFT,
    },
  ];
}

const photoWords = ({ circuit, by, at, when }: SheetPhoto): string =>
  `${when === undefined ? '' : `${TAKEN_WORDS[when]}. `}${circuit}; ${by}, ${inLocalTime(at)}`;

/** Photos two in a row, each with its circuit, by whom and when. */
export function pictures(
  { photos, more }: { readonly photos: readonly SheetPhoto[]; readonly more: number },
  wide: number,
): Content[] {
  if (photos.length === 0) return [];
  const half = (wide - 14) / 2;
  const rows = Array.from({ length: Math.ceil(photos.length / 2) }, (_one, at) => photos.slice(at * 2, at * 2 + 2));
  return [
    heading('Photos'),
    ...rows.map((pair): Content => ({
      columns: pair.map((photo) => ({
        width: half,
        stack: [
          { image: photo.image, fit: [half, 190] as [number, number], alt: `Photo. ${photoWords(photo)}` },
          { text: photoWords(photo), fontSize: 8, color: SOFT },
        ],
      })),
      columnGap: 14,
      unbreakable: true,
      margin: [0, 0, 0, 8],
    })),
    ...(more > 0 ? [{ text: `${more} more photos are kept with the job.`, fontSize: 8, color: SOFT }] : []),
  ];
}
