import { cavityKind } from '../kind.ts';

export const cutFlush = cavityKind({
  kind: 'cutFlush',
  words: 'wire cut flush at the connector',
  own: {},
  losesBehind: true,
  ways: () => ['relead', 'pigtail'],
});
