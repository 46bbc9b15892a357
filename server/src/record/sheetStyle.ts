import type { Content } from 'pdfmake/interfaces.js';

export const INK = '#1D2021';
export const SOFT = '#5E5A52';
export const RULE = '#D8D0C0';
export const COPPER = '#A8541F';

/** What a part of the sheet is called. */
export const heading = (text: string): Content => ({
  text,
  heading: 2,
  bold: true,
  fontSize: 11,
  margin: [0, 12, 0, 4],
});
