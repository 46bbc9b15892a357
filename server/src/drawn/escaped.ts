/** Words as they stand in SVG: its own signs escaped, and blanks for controls, which may not stand in it at all. */
export const escaped = (words: string): string =>
  words
    .replace(/[\p{Cc}\p{Cs}]/gu, ' ')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
