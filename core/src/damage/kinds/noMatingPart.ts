import { cavityKind } from '../kind.ts';

export const noMatingPart = cavityKind({
  kind: 'noMatingPart',
  words: 'no mating part to be had',
  own: {},
  ways: () => ['solderToPin'],
});
