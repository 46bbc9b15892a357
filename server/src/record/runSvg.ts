import { faceShapes, runHigh, runShapes, type DrawnFace, type DrawnRun, type Shape } from '@mendum/core/record';
import { escaped } from '../drawn/escaped.ts';

const INK = '#1D2021';
const SOFT = '#5E5A52';

const LOOKS = {
  wire: `stroke="${INK}" stroke-width="1"`,
  rule: `stroke="${SOFT}" stroke-width="0.6"`,
  now: `fill="#A8541F" stroke="${INK}" stroke-width="0.8"`,
  plain: `fill="#FFFFFF" stroke="${SOFT}" stroke-width="0.8"`,
  touched: `fill="#F6DCC8" stroke="#A8541F" stroke-width="2.2"`,
  before: `fill="#FFFFFF" stroke="${SOFT}" stroke-width="0.8" stroke-dasharray="2 1.5"`,
} as const;

function written(shape: Shape): string {
  switch (shape.kind) {
    case 'line':
      return `<line x1="${shape.x1}" y1="${shape.y1}" x2="${shape.x2}" y2="${shape.y2}" ${LOOKS[shape.look]}/>`;
    case 'box':
      return `<rect x="${shape.x}" y="${shape.y}" width="${shape.wide}" height="${shape.high}" rx="${shape.round}" ${LOOKS[shape.look]}/>`;
    case 'words':
      return `<text x="${shape.x}" y="${shape.y}" font-size="${shape.size}" text-anchor="${shape.anchor}" fill="${shape.look === 'ink' ? INK : SOFT}" font-family="Sheet">${escaped(shape.text)}</text>`;
  }
}

const drawing = (wide: number, high: number, shapes: readonly Shape[]): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}" viewBox="0 0 ${wide} ${high}">${shapes.map(written).join('')}</svg>`;

/** A connector's face as it is drawn on the sheet, and how wide that is, points. */
export function faceSvg(face: DrawnFace): { readonly svg: string; readonly wide: number } {
  const { wide, high, shapes } = faceShapes(face);
  return { svg: drawing(wide, high, shapes), wide };
}

/** A run to scale as it is drawn on the sheet. */
export const runSvg = (run: DrawnRun, wide: number): string => drawing(wide, runHigh(run), runShapes(run, wide));
