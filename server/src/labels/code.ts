import { create } from 'qrcode';

/** Clear squares round a code, without which it is not read. */
const QUIET = 4;
/** Squares are no smaller than this where more safety against dirt would make them so, mm. */
const SQUARE_LEAST_MM = 0.33;

/** A square code that fills a side of so many mm, its clear rim counted in: as safe against dirt as its size allows. */
export function codePath(content: string, x: number, y: number, sideMm: number): string {
  const levels = ['Q', 'M'] as const;
  const made = levels.map((errorCorrectionLevel) => create(content, { errorCorrectionLevel }).modules);
  const fits = made.find(({ size }) => sideMm / (size + 2 * QUIET) >= SQUARE_LEAST_MM);
  const { size, data } = fits ?? create(content, { errorCorrectionLevel: 'L' }).modules;
  const unit = sideMm / (size + 2 * QUIET);
  const parts: string[] = [];
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column < size; column += 1) {
      if (data[row * size + column] !== 1) continue;
      const from = column;
      while (column + 1 < size && data[row * size + column + 1] === 1) column += 1;
      parts.push(`M${from} ${row}h${column + 1 - from}v1h${from - column - 1}z`);
    }
  }
  const at = (from: number): string => String(Math.round((from + QUIET * unit) * 1000) / 1000);
  return `<path transform="translate(${at(x)} ${at(y)}) scale(${Math.round(unit * 100_000) / 100_000})" fill="#000" shape-rendering="crispEdges" d="${parts.join('')}"/>`;
}
