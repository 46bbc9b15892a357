import { cavityKind } from '../kind.ts';

export const terminalMiscrimped = cavityKind({
  kind: 'terminalMiscrimped',
  words: 'terminal crimped wrongly',
  own: {},
  losesBehind: true,
  ways: () => ['newTerminal', 'relead', 'pigtail'],
});
