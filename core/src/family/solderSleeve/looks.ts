import { bad, CUT_OUT, good, look, type Check } from '../../prove/index.ts';

/** A solder-and-seal sleeve through its clear wall: nothing can be fed or drawn off any more. */
export const RING_LOOKS: readonly Check[] = [
  look('ring.melted', 'Solder ring', 'Through the clear sleeve, all round.', [
    good('The ring has gone, solder in the strands, their outline visible'),
    bad(
      'rework',
      'ring',
      'The ring is still visible',
      'It was not hot enough to run.',
      'Hot air on the ring again until it runs, then leave it still.',
    ),
    bad(
      'scrap',
      'beside',
      'Solder in the glue, or bare copper in the middle',
      'The ring lay beside the strands, or they moved.',
      `${CUT_OUT} The ring goes over the middle of the bare copper.`,
    ),
  ]),
];
