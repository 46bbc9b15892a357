import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** Wires in a closed-end cap. */
export const CAP_LOOKS: readonly Check[] = [
  look('cap.wires', 'Wires in the cap', 'Tug each wire by itself.', [
    good('Every wire held, no copper outside the cap'),
    bad(
      'scrap',
      'loose',
      'One wire comes loose',
      'It stopped short, or the cap is too large.',
      `${CUT_OUT} Ends level, to the bottom of the cap.`,
    ),
    bad('scrap', 'bare', 'Bare copper below the cap', 'Stripped too long.', `${CUT_OUT} Strip to the cap’s depth.`),
  ]),
];
