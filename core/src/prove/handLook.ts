import { bad, CUT_OUT, good, look } from './looks.ts';

/** A tool without a ratchet may let go before the crimp is closed: looked at a second time, after the tug. */
export const HAND_LOOK = look('crimp.again', 'Hand crimp, looked at again', 'After the tug, with a magnifier.', [
  good('Closed to the stop, nothing turns, no strand has moved'),
  bad('scrap', 'open', 'Not closed to the stop', 'A tool without a ratchet let go early.', CUT_OUT),
  bad('scrap', 'turns', 'Turns, or a strand has moved', 'Squeezed too little, or the wrong nest.', CUT_OUT),
]);
