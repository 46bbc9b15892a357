import { codeOf, LABEL_SIZES, labelWords, type LabelSize, type LabelWords } from '@mendum/core/label';
import type { SpliceRecord } from '@mendum/core/record';
import { codePath } from './code.ts';
import { box, circle, drawing, stroke, textLine } from './svg.ts';

/** A record whose label is wanted. */
export interface Labelled {
  readonly recordId: string;
  readonly record: SpliceRecord;
}

/** Faces by where they are drawn: a browser has its own, the PDF has the sheet's. */
export const FACES = { svg: 'Barlow Semi Condensed, Arial Narrow, Arial, sans-serif', pdf: 'Sheet' } as const;

const FOLD = 'stroke="#777" stroke-width="0.2" stroke-dasharray="1.2 1"';
const RIM = 'fill="#fff" stroke="#999" stroke-width="0.15"';

/** The words in a block: circuit, place, method, job and day, and that it is temporary, as a bar. */
function wordBlock(words: LabelWords, x: number, y: number, wide: number, high: number, face: string): string {
  const rows = words.until === undefined ? 4.4 : 5.4;
  const row = high / rows;
  const line = (at: number, text: string, more: { bold?: boolean; most?: number; colour?: string } = {}): string =>
    textLine({ x, y: y + at * row, words: text, room: wide, most: more.most ?? row * 0.8, face, ...more });
  return [
    line(1.1, `${words.circuit} ${words.work}`, { bold: true, most: row * 1.05 }),
    line(2.15, words.place, { bold: true }),
    line(3.1, words.method, { most: row * 0.7 }),
    line(4.05, `job ${words.job} · ${words.day}`),
    ...(words.until === undefined
      ? []
      : [
          box(x, y + 4.35 * row, wide, row, 'fill="#000"'),
          textLine({
            x: x + 0.6,
            y: y + 5.1 * row,
            words: `TEMPORARY to ${words.until}`,
            room: wide - 1.2,
            most: row * 0.8,
            bold: true,
            colour: '#fff',
            face,
          }),
        ]),
  ].join('');
}

type Draw = (words: LabelWords, code: string, face: string, size: (typeof LABEL_SIZES)[LabelSize]) => string;

/** What stands where on each, mm. */
const DRAWN: { readonly [S in LabelSize]: Draw } = {
  flag: (words, code, face, { wideMm, highMm }) => {
    const half = 27;
    return [
      wordBlock(words, 1.2, 1, half - 2.2, highMm - 2, face),
      stroke(half, 0, half, highMm, FOLD),
      stroke(wideMm - half, 0, wideMm - half, highMm, FOLD),
      codePath(code, wideMm - half + 0.7, 0.2, highMm - 0.4),
    ].join('');
  },
  wrap: (words, code, face, { wideMm, highMm }) => {
    const printed = 21;
    return [
      codePath(code, 0.2, 0.2, printed - 0.4),
      wordBlock(words, printed, 1, wideMm - printed - 1, printed - 2, face),
      stroke(0, printed, wideMm, printed, FOLD),
      textLine({
        x: 2,
        y: (printed + highMm) / 2,
        words: 'clear: goes over the print',
        room: wideMm - 4,
        most: 2.4,
        colour: '#777',
        face,
      }),
    ].join('');
  },
  tag: (words, code, face, { wideMm, highMm }) =>
    [
      circle(5, highMm / 2, 2.2, 'fill="none" stroke="#777" stroke-width="0.2"'),
      wordBlock(words, 9.5, 1.4, 37, highMm - 2.8, face),
      codePath(code, wideMm - highMm + 0.4, 0.4, highMm - 0.8),
    ].join(''),
};

/** The inside of a label, from its upper left corner. @param origin address of the server, for its code */
export function labelInside({ recordId, record }: Labelled, size: LabelSize, origin: string, face: string): string {
  const of = LABEL_SIZES[size];
  const words = labelWords(record);
  return box(0, 0, of.wideMm, of.highMm, RIM) + DRAWN[size](words, codeOf(origin, recordId, words), face, of);
}

/** A label as a drawing at true size. */
export const labelSvg = (of: Labelled, size: LabelSize, origin: string): string =>
  drawing(LABEL_SIZES[size].wideMm, LABEL_SIZES[size].highMm, labelInside(of, size, origin, FACES.svg));
