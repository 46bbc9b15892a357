/** Places as they are typed: "1.3, 2.5-2.9", row and column from 1; or what is wrong with them. */
export function placesOf(
  text: string,
  rows: number,
  columns: number,
): { readonly ok: true; readonly places: readonly string[] } | { readonly ok: false; readonly why: string } {
  const places = new Set<string>();
  for (const part of text.split(/[,;\s]+/).filter((one) => one !== '')) {
    const [, row = '', from = '', toRow = row, to = from] =
      /^(\d{1,2})\.(\d{1,3})(?:[-–](?:(\d{1,2})\.)?(\d{1,3}))?$/.exec(part) ?? [];
    if (row === '') return { ok: false, why: `“${part}” is no place: write row and column, such as 2.5.` };
    if (toRow !== row) return { ok: false, why: `${part} reaches over two rows: write each row by itself.` };
    const [first, last] = [Number(from), Number(to)];
    if (!(Number(row) >= 1 && Number(row) <= rows && first >= 1 && last >= first && last <= columns))
      return { ok: false, why: `${part} is not in ${rows} rows of ${columns}.` };
    for (let column = first; column <= last; column += 1) places.add(`${Number(row)}.${column}`);
  }
  return { ok: true, places: [...places] };
}

/** Places as they are typed, stretches of a row as one. */
export function placesInWords(places: readonly string[]): string {
  const sorted = places
    .map((place) => place.split('.').map(Number) as [number, number])
    .sort(([rowA, a], [rowB, b]) => rowA - rowB || a - b);
  const stretches: { row: number; from: number; to: number }[] = [];
  for (const [row, column] of sorted) {
    const last = stretches.at(-1);
    if (last?.row === row && last.to + 1 === column) last.to = column;
    else stretches.push({ row, from: column, to: column });
  }
  return stretches
    .map(({ row, from, to }) => (from === to ? `${row}.${from}` : `${row}.${from}-${row}.${to}`))
    .join(', ');
}
