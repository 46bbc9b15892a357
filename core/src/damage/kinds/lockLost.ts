import { cavityKind } from '../kind.ts';

export const lockLost = cavityKind({
  kind: 'lockLost',
  words: 'lock piece lost',
  own: {},
  ofHousing: 'each',
  ways: () => ['refit'],
  putsBack: () => 'lockPiece',
});
