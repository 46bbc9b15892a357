import { cavityKind } from '../kind.ts';

export const misplaced = cavityKind({
  kind: 'misplaced',
  words: 'in the wrong cavity, or backed out',
  sorts: {
    wrongCavity: 'in the wrong cavity',
    backedOut: 'backed out, not latched',
    bentLance: 'backed out, its lance bent',
  },
  own: {},
  ways: ({ sort }) => (sort === 'bentLance' ? ['correct', 'newTerminal', 'relead', 'pigtail'] : ['correct']),
});
