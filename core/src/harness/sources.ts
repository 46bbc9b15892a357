import type { PinoutSource } from './types.ts';

/** A source in words: "Service manual, page 214; 2029 to 2031; with cab heater". */
export const sourceInWords = ({ source, year, variant }: PinoutSource): string =>
  [source, year, variant].filter((part) => part !== undefined).join('; ');

/** Sources with others, each named once. */
export const withSources = (all: readonly PinoutSource[], others: readonly PinoutSource[]): readonly PinoutSource[] =>
  others.reduce<readonly PinoutSource[]>(
    (known, other) => (known.some((one) => sourceInWords(one) === sourceInWords(other)) ? known : [...known, other]),
    all,
  );
