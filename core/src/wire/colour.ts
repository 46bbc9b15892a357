/** Plain colour words; which short form a maker prints is a matter of import, not of storage. */
export const COLOURS = [
  'black',
  'white',
  'red',
  'green',
  'blue',
  'yellow',
  'brown',
  'orange',
  'violet',
  'grey',
  'pink',
  'tan',
  'light blue',
  'light green',
  'dark blue',
  'dark green',
  'turquoise',
  'gold',
  'silver',
  'natural',
] as const;
export type ColourName = (typeof COLOURS)[number];

/** Base colour and, where there is one, the stripe. */
export interface WireColour {
  readonly base: ColourName;
  readonly stripe?: ColourName | undefined;
}

/** Whether a word is one of the known colours. */
export const isColour = (word: string): word is ColourName => (COLOURS as readonly string[]).includes(word);

/** "red with black stripe", or "red". */
export const colourInWords = (colour: WireColour): string =>
  colour.stripe === undefined ? colour.base : `${colour.base} with ${colour.stripe} stripe`;
