import { cavityKind } from '../kind.ts';

/**
 * A cavity that holds no terminal any more: a new housing, or another cavity that is free on both halves. Source:
 * choosing.
 */
export const cavityDamaged = cavityKind({
  kind: 'cavityDamaged',
  words: 'cavity damaged, it holds no terminal',
  own: {
    otherCavity: {
      type: 'ofSame',
      required: false,
      title: 'Free on both halves: which cavity?',
      wanted: 'Name a cavity that is empty here and in the mate, or leave it out.',
    },
  },
  ofHousing: 'all',
  ofOneCavity: ({ otherCavity }) => otherCavity !== undefined,
  ways: ({ otherCavity }) =>
    otherCavity === undefined ? ['rehouse', 'otherCavity', 'pigtail'] : ['otherCavity', 'rehouse', 'pigtail'],
});
