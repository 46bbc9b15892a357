import { runKind } from '../kind.ts';

export const jacketRubbed = runKind({
  kind: 'jacketRubbed',
  words: 'jacket rubbed through, copper whole',
  own: {},
  leaves: 'copper',
});
