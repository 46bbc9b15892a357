/** Labels for a harness, and how each goes on; widths lie along the text, mm. */
export const LABEL_SIZES = {
  flag: {
    title: 'Flag',
    about: 'folds round the wire in the middle and sticks to itself',
    wideMm: 64,
    highMm: 26,
  },
  wrap: {
    title: 'Wrap',
    about: 'goes round the wire; its clear tail covers the print',
    wideMm: 50,
    highMm: 44,
  },
  tag: {
    title: 'Tag',
    about: 'tied to the harness through its hole',
    wideMm: 76,
    highMm: 30,
  },
} as const;
export type LabelSize = keyof typeof LABEL_SIZES;
export const LABEL_SIZE_NAMES = Object.keys(LABEL_SIZES) as readonly LabelSize[];
