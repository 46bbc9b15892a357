import { cavityKind } from '../kind.ts';

export const housingBroken = cavityKind({
  kind: 'housingBroken',
  words: 'housing or latch broken, terminals good',
  own: {},
  ofHousing: 'all',
  losesBehind: true,
  ways: () => ['rehouse', 'pigtail'],
});
