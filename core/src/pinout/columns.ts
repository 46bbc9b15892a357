/** A column as a spreadsheet letters it: 0 is A, 26 is AA. */
export function columnLetter(index: number): string {
  const rest = index % 26;
  return (index >= 26 ? columnLetter(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + rest);
}
