import { cavityKind } from '../kind.ts';

/** A cavity that holds no terminal any more. Source: choosing. */
export const cavityDamaged = cavityKind({
  kind: 'cavityDamaged',
  words: 'cavity damaged, it holds no terminal',
  own: {},
  ofHousing: 'all',
  ways: () => ['rehouse', 'pigtail'],
  warns: () =>
    'Or a cavity that is free on both halves of the connector: move both wires into it, and note it on the pinout.',
});
