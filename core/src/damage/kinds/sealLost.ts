import { cavityKind } from '../kind.ts';

export const sealLost = cavityKind({
  kind: 'sealLost',
  words: 'seal or plug lost',
  sorts: {
    wireSeal: 'the seal on the wire, which slides on before crimping',
    plug: 'the plug of an empty cavity',
    housingSeal: 'the seal round the housing',
  },
  own: {},
  // A seal that slides on before crimping means a new terminal.
  ways: ({ sort }) => (sort === 'wireSeal' ? ['newTerminal', 'relead', 'pigtail'] : ['refit']),
  putsBack: ({ sort }) => (sort === 'plug' || sort === 'housingSeal' ? sort : 'wireSeal'),
});
