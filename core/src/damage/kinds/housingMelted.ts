import { cavityKind } from '../kind.ts';

export const housingMelted = cavityKind({
  kind: 'housingMelted',
  words: 'housing melted',
  own: {},
  ofHousing: 'all',
  losesBehind: true,
  ways: () => ['pigtail', 'rehouseAll'],
  isFromHeat: () => true,
  asks: () => 'Which circuit ran hot? Find the cause and note it in the finding',
});
