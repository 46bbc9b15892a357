import { ceilTo, figure } from '../../units/index.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import type { CommonTask } from '../../stock/index.ts';
import type { Method } from '../types.ts';
import { CANNOT_REJOIN, mainAndTaps } from '../window.ts';
import { NO_ROSIN, rosinSolders } from './rosin.ts';

/**
 * The bared window of a soldered tap: shortest and longest, mm; the wrapped joint's length and its thickness against
 * the main conductor.
 */
const WINDOW_LEAST_MM = 8;
const WINDOW_MOST_MM = 12;
const WRAPPED_MM = 14;
const WRAPPED_THICKNESS = 2.2;
const LEAST_TURNS = 3;

/** One wire wrapped at least three turns round the bared window of a main wire no thinner than itself, and soldered. */
const windowSolder = <Id extends string>(id: Id, seal: 'sleeve' | 'wrap', order: number): Method<Id, CommonTask> => ({
  id,
  name: `Bared window, wrapped solder + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  window: true,
  leavesWhole: true,
  acts: seal === 'sleeve' ? ['iron', 'hotAir'] : ['iron'],
  seal,
  order,
  lay: 'a soldered joint',
  tasks: seal === 'sleeve' ? ['solder', 'hotAir'] : ['solder'],
  steps: 7,
  minutes: 9,
  size: (request) => {
    const meet = mainAndTaps(request);
    if (!meet) return CANNOT_REJOIN;
    const [tap, more] = meet.taps;
    if (!tap || more)
      return {
        ok: false,
        lacks: 'wires',
        because: `${meet.taps.length} wires are to be added; a wrapped window takes one.`,
      };
    const { main } = meet;
    if (tap.areaMm2 > main.areaMm2 * 1.02)
      return {
        ok: false,
        lacks: 'barrel',
        because: `The ${figure(tap.areaMm2, 3)} mm² that is added is thicker than the ${figure(main.areaMm2, 3)} mm² main wire: it cannot be wrapped round it.`,
      };
    const turns = LEAST_TURNS * Math.PI * (main.conductorMm + tap.conductorMm);
    const windowMm = Math.min(WINDOW_MOST_MM, Math.max(WINDOW_LEAST_MM, ceilTo((LEAST_TURNS + 1) * tap.conductorMm)));
    const bare = { lengthMm: WRAPPED_MM, diameterMm: WRAPPED_THICKNESS * main.conductorMm };
    return eachSized(rosinSolders(request), { ok: false, lacks: 'barrel', because: NO_ROSIN }, (solder) =>
      sealedJoints(seal, request, bare, {
        methodId: id,
        partId: solder.id,
        partName: solder.name,
        fitsWords: `${figure(tap.areaMm2, 3)} mm² round ${figure(main.areaMm2, 3)} mm²`,
        upperLimitMm2: main.areaMm2,
        reach: { kind: 'lapped', lapMm: 0 },
        left: { stripMm: windowMm, folded: false },
        right: { stripMm: ceilTo(turns), folded: false },
        jointLengthMm: WRAPPED_MM,
        sides: `window of ${figure(windowMm)} mm, at least ${LEAST_TURNS} turns`,
        rated: [{ name: 'soldered joint', ratedC: solder.ratedC }],
        usesPartIds: [solder.id],
        foldMissing: false,
      }),
    );
  },
});

/** One wire soldered round the bared window of another; a sleeve needs an end that can be freed. */
export const windowSolderSleeve = windowSolder('windowSolderSleeve', 'sleeve', 14);
export const windowSolderWrap = windowSolder('windowSolderWrap', 'wrap', 15);
