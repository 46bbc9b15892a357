import { cavityKind } from '../kind.ts';

export const terminalDamaged = cavityKind({
  kind: 'terminalDamaged',
  words: 'terminal damaged',
  sorts: { bent: 'bent', spread: 'spread', burnt: 'burnt', pulled: 'pulled off its wire' },
  own: {},
  losesBehind: true,
  ways: () => ['newTerminal', 'relead', 'pigtail'],
  isFromHeat: ({ sort }) => sort === 'burnt',
  asks: ({ sort }) => (sort === 'burnt' ? 'What burnt it? Find the cause and note it in the finding' : undefined),
});
