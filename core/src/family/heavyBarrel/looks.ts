import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** A heavy barrel pressed from both ends. */
export const HEAVY_LOOKS: readonly Check[] = [
  look('heavy.press', 'Presses', 'One on each side, the size of the die stamped into it.', [
    good('Halfway between centre and end on both sides, the wire’s size stamped in'),
    bad('scrap', 'die', 'Another size stamped in, or none', 'Wrong die, or not closed to its end.', CUT_OUT),
    bad('scrap', 'rim', 'On the rim, or the barrel is split', 'Placed or closed wrongly.', CUT_OUT),
  ]),
];
