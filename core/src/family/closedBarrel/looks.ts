import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** A barrel crimped from both ends: the wires in it, and where the crimps sit. */
export const BARREL_LOOKS: readonly Check[] = [
  look('barrel.wire', 'Wire in the barrel', 'Look into both ends, a magnifier helps.', [
    good('Both wires to the stop, jacket up to the barrel'),
    bad(
      'scrap',
      'jacketIn',
      'Jacket is in the barrel',
      'The crimp holds jacket, not copper.',
      `${CUT_OUT} Strip to length against the barrel.`,
    ),
    bad(
      'scrap',
      'short',
      'Bare copper outside, or wire not at the stop',
      'Stripped too long, or not pushed home.',
      `${CUT_OUT} Hold the wire at the stop while you squeeze.`,
    ),
  ]),
  look('barrel.crimp', 'Place of the crimps', 'A quarter of the barrel from each end.', [
    good('Halfway between centre and end, on both sides'),
    bad('scrap', 'rim', 'On the rim', 'A crimp on the rim cuts the strands inside an intact jacket.', CUT_OUT),
    bad(
      'scrap',
      'die',
      'Jacket of the part cut through, or hardly dented',
      'Wrong die or wrong seat in the die.',
      `Take the die for this size first. ${CUT_OUT}`,
    ),
  ]),
];
