/** A typed number; a comma counts as the decimal point, nothing typed is no number. */
export const numberOf = (text: string): number =>
  text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'));
