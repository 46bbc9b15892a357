import { cavityKind } from '../kind.ts';

export const noMatingPart = cavityKind({
  kind: 'noMatingPart',
  words: 'no mating part can be bought',
  own: {},
  ways: () => ['solderToPin'],
});
