import { runKind } from '../kind.ts';

export const corroded = runKind({
  kind: 'corroded',
  words: 'corrosion under the jacket',
  own: {},
  leaves: 'nothing',
  warnings: () => ['Corrosion creeps under the jacket: cut back until copper is bright on both sides.'],
});
