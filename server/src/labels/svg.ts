import { escaped } from '../drawn/escaped.ts';

/** Small helpers for drawings in mm, written as SVG. */

const n = (mm: number): string => String(Math.round(mm * 1000) / 1000);

/** Letters of the sheet's face are so wide on the whole, of their height; a bold line of capitals is a little less. */
const LETTER = 0.58;
const LEAST_MM = 1.7;

interface Line {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  /** Room for the line, and the most that its letters are high; mm. */
  readonly room: number;
  readonly most: number;
  readonly bold?: boolean;
  readonly colour?: string;
  readonly face: string;
}

/** A line of words that keeps to its room: first smaller, then cut. */
export function textLine({ x, y, words, room, most, bold = false, colour = '#000', face }: Line): string {
  const letters = Array.from(words);
  const size = Math.max(LEAST_MM, Math.min(most, room / (LETTER * Math.max(1, letters.length))));
  const fits = Math.floor(room / (LETTER * size) + 1e-6);
  const shown = letters.length > fits ? `${letters.slice(0, Math.max(1, fits - 1)).join('')}…` : words;
  const weight = bold ? ' font-weight="bold"' : '';
  return `<text x="${n(x)}" y="${n(y)}" font-size="${n(size)}" fill="${colour}" font-family="${face}"${weight}>${escaped(shown)}</text>`;
}

export const box = (x: number, y: number, wide: number, high: number, look: string): string =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(wide)}" height="${n(high)}" ${look}/>`;

export const stroke = (x1: number, y1: number, x2: number, y2: number, look: string): string =>
  `<line x1="${n(x1)}" y1="${n(y1)}" x2="${n(x2)}" y2="${n(y2)}" ${look}/>`;

export const circle = (x: number, y: number, radius: number, look: string): string =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(radius)}" ${look}/>`;

/** A whole drawing at true size. */
export const drawing = (wideMm: number, highMm: number, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(wideMm)}mm" height="${n(highMm)}mm" viewBox="0 0 ${n(wideMm)} ${n(highMm)}">${inside}</svg>`;

export const movedTo = (x: number, y: number, inside: string): string =>
  `<g transform="translate(${n(x)} ${n(y)})">${inside}</g>`;
