import type { Check } from './check.ts';
import { bad, CUT_OUT, good, look } from './looks.ts';
import type { SealKind } from './proof.ts';

function sealLook(): Check {
  return look('seal.glue', 'Seal', 'Once it is cold: glue seen all round at both ends.', [
    good('Tight, glue all round at both ends'),
    bad(
      'rework',
      'noGlue',
      'Glue missing at an end',
      'Not hot enough at that end.',
      'Warm that end again, from the middle outwards.',
    ),
    bad(
      'scrap',
      'window',
      'A window, split or burnt',
      'Overheated, or pierced by a strand.',
      `${CUT_OUT} A sleeve cannot be changed without cutting.`,
    ),
  ]);
}

/** What is looked at on a seal, by what it is. */
export const SEAL_LOOKS: Record<SealKind, readonly Check[]> = {
  none: [],
  wrap: [
    look('seal.wrap', 'Wrapped seal', 'Stretched, half lapped, over jacket on both sides.', [
      good('Tight, half lapped, over jacket on both sides'),
      bad(
        'rework',
        'gap',
        'A gap, or jacket not reached',
        'Wrapped too short or too loose.',
        'Take the tape off and wrap again.',
      ),
    ]),
  ],
  sleeve: [sealLook()],
  builtIn: [sealLook()],
};
