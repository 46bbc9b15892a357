import { partsOf, rangeInWords } from '../../catalogue/index.ts';
import { totalFits, sumAreaMm2 } from '../../sizing/index.ts';
import { ceilTo, figure } from '../../units/index.ts';
import type { WireFacts } from '../../wire/index.ts';
import type { Method, MethodId, Sizing, SizingRequest } from '../types.ts';
import { NO_ROSIN, rosinSolders } from './rosin.ts';
import { eachSized, sealedJoints } from './sealing.ts';

/** The bared window of a soldered tap: shortest and longest, mm; the wrapped joint's length and its thickness against the main conductor. */
const WINDOW_LEAST_MM = 8;
const WINDOW_MOST_MM = 12;
const WRAPPED_MM = 14;
const WRAPPED_THICKNESS = 2.2;
const LEAST_TURNS = 3;

/** The main wire and the wires that are joined to it. */
function mainAndTaps({
  wires,
  duty,
}: SizingRequest): { readonly main: WireFacts; readonly taps: readonly WireFacts[] } | undefined {
  const [main] = wires.left;
  return duty === 'add' && main ? { main, taps: wires.right.slice(1) } : undefined;
}

const CANNOT_REJOIN: Sizing = {
  ok: false,
  lacks: 'duty',
  because: 'A window is bared on a whole wire to join another to it; it cannot rejoin a parted one.',
};

/** A clip closed round the bared, uncut main wire and the wires that join it: main and taps count once each. */
const windowClip = (id: MethodId, seal: 'sleeve' | 'wrap', order: number): Method => ({
  id,
  name: `Bared window, clip + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  family: 'openClip',
  window: true,
  leavesWhole: true,
  heat: seal === 'sleeve' ? 'hotAir' : 'none',
  seal,
  order: { damp: order, dry: order },
  tasks: seal === 'sleeve' ? ['crimpClip', 'hotAir'] : ['crimpClip'],
  steps: 6,
  minutes: 6,
  size: (request) => {
    const meet = mainAndTaps(request);
    if (!meet) return CANNOT_REJOIN;
    const taps = sumAreaMm2(meet.taps);
    const total = `${figure(meet.main.areaMm2, 3)} + ${figure(taps, 3)} = ${figure(meet.main.areaMm2 + taps, 3)} mm²`;
    const parts = totalFits(
      [...partsOf(request.parts, 'clip'), ...partsOf(request.parts, 'multiClip')],
      meet.main.areaMm2 + taps,
    );
    return eachSized(parts, { ok: false, lacks: 'barrel', because: `No clip holds ${total}.` }, (part) =>
      sealedJoints(
        seal,
        request,
        { lengthMm: part.lapMm, diameterMm: part.crimpedDiameterMm },
        {
          methodId: id,
          partId: part.id,
          partName: part.name,
          fitsWords: `${total} in ${rangeInWords(part.totalRange)}`,
          upperLimitMm2: part.totalRange.maxMm2,
          reach: { kind: 'lapped', lapMm: 0 },
          left: { stripMm: part.lapMm, folded: false },
          right: { stripMm: part.lapMm, folded: false },
          jointLengthMm: part.lapMm,
          crimpAtMm: part.barrelLengthMm / 2,
          sides: `window of ${figure(part.lapMm)} mm on the whole wire`,
          rated: [{ name: part.name, ratedC: part.ratedC }],
          usesPartIds: [part.id],
          foldMissing: false,
        },
      ),
    );
  },
});

/** One wire wrapped at least three turns round the bared window of a main wire no thinner than itself, and soldered. */
const windowSolder = (id: MethodId, seal: 'sleeve' | 'wrap', order: number): Method => ({
  id,
  name: `Bared window, wrapped solder + ${seal === 'sleeve' ? 'adhesive sleeve' : 'wrapped seal'}`,
  family: 'soldered',
  window: true,
  leavesWhole: true,
  heat: seal === 'sleeve' ? 'ironAndHotAir' : 'iron',
  seal,
  order: { damp: order, dry: order },
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

/** Joints on a bared window of a main wire that is not cut; a sleeve needs an end that can be freed. */
export const windowClipSleeve = windowClip('windowClipSleeve', 'sleeve', 6);
export const windowClipWrap = windowClip('windowClipWrap', 'wrap', 7);
export const windowSolderSleeve = windowSolder('windowSolderSleeve', 'sleeve', 14);
export const windowSolderWrap = windowSolder('windowSolderWrap', 'wrap', 15);
