/** What the lines of a sheet are called: of a text file lines, of a workbook rows. */
export type LineName = 'line' | 'row';

const NAMED = 8;

/** "Line 4", "Rows 3, 5 and 9", "Lines 2, 3, 4 … 60, 58 in all". */
export function linesInWords(lines: readonly number[], called: LineName): string {
  const name = called === 'line' ? 'Line' : 'Row';
  const [first] = lines;
  if (lines.length < 2) return `${name} ${first ?? ''}`;
  if (lines.length <= NAMED) return `${name}s ${lines.slice(0, -1).join(', ')} and ${lines.at(-1) ?? ''}`;
  return `${name}s ${lines.slice(0, NAMED - 2).join(', ')} … ${lines.at(-1) ?? ''}, ${lines.length} in all`;
}
