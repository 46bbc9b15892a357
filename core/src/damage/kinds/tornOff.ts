import { cavityKind } from '../kind.ts';

/** A connector torn off its cable, with its wires out of it: one finding for connector and cable. Source: choosing. */
export const tornOff = cavityKind({
  kind: 'tornOff',
  words: 'connector torn off its cable',
  sorts: { housingWhole: 'the housing is whole', housingBroken: 'the housing is broken' },
  own: {},
  ofHousing: 'each',
  losesBehind: true,
  endsCable: true,
  ways: ({ sort }) => (sort === 'housingWhole' ? ['newTerminal', 'relead', 'pigtail'] : ['rehouseAll', 'pigtail']),
});
