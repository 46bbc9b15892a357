import { figure } from '../../units/index.ts';
import type { CommonTask } from '../../stock/index.ts';
import { eachSized, sealedJoints } from '../seal/sealing.ts';
import type { Method } from '../types.ts';
import { NO_ROSIN, rosinSolders } from './rosin.ts';

/**
 * How a soldered joint is laid: lengths in mm, thickness against the thicker conductor, most copper per wire in mm².
 */
interface Lay<Id extends string> {
  readonly id: Id;
  readonly name: string;
  readonly words: string;
  readonly stripMm: number;
  readonly lapMm: number;
  /** Tinned before it is laid; each end is then cut level, which takes this much of it. */
  readonly tinnedMm?: number | undefined;
  /** Strands are pushed into strands: solid wire has none. */
  readonly strandedOnly?: boolean | undefined;
  readonly jointMm: number;
  readonly thickness: number;
  readonly mostMm2: number;
  readonly minutes: number;
  readonly order: Method['order'];
}

/** A joint of one wire from each side under an adhesive sleeve. Acid-core solder does not count as solder. */
const soldered = <Id extends string>(lay: Lay<Id>): Method<Id, CommonTask> => ({
  id: lay.id,
  name: lay.name,
  lay: `${lay.words.startsWith('i') ? 'an' : 'a'} ${lay.words}, soldered joint`,
  acts: ['iron', 'hotAir'],
  seal: 'sleeve',
  order: lay.order,
  tasks: ['solder', 'hotAir'],
  steps: 9,
  minutes: lay.minutes,
  size: (request) => {
    const { left, right } = request.wires;
    const [a] = left;
    const [b] = right;
    if (left.length !== 1 || right.length !== 1 || !a || !b)
      return {
        ok: false,
        lacks: 'wires',
        because: `${left.length + right.length} wires meet here; a ${lay.words} joint takes one from each side.`,
      };
    if (lay.strandedOnly && (a.solid || b.solid))
      return { ok: false, lacks: 'solid', because: `Solid wire has no strands to be ${lay.words}: wrap it or lap it.` };
    const thickest = Math.max(a.areaMm2, b.areaMm2);
    if (thickest > lay.mostMm2 * 1.02)
      return {
        ok: false,
        lacks: 'barrel',
        because: `${figure(thickest)} mm² is over the ${lay.mostMm2} mm² that can still be ${lay.words}.`,
      };
    const bare = { lengthMm: lay.jointMm, diameterMm: lay.thickness * Math.max(a.conductorMm, b.conductorMm) };
    return eachSized(rosinSolders(request), { ok: false, lacks: 'barrel', because: NO_ROSIN }, (solder) =>
      sealedJoints('sleeve', request, bare, {
        methodId: lay.id,
        partId: solder.id,
        partName: solder.name,
        fitsWords: `${figure(a.areaMm2, 3)} and ${figure(b.areaMm2, 3)} mm², up to ${lay.mostMm2}`,
        upperLimitMm2: lay.mostMm2,
        reach: { kind: 'lapped', lapMm: lay.lapMm, ...(lay.tinnedMm === undefined ? {} : { tinnedMm: lay.tinnedMm }) },
        left: { stripMm: lay.stripMm, folded: false },
        right: { stripMm: lay.stripMm, folded: false },
        jointLengthMm: lay.jointMm,
        rated: [{ name: 'soldered joint', ratedC: solder.ratedC }],
        usesPartIds: [solder.id],
        foldMissing: false,
      }),
    );
  },
});

/** Wrapping suits this copper, mm²; above and below it strands are interlaced. */
const WRAPS_FROM_MM2 = 0.35;
const WRAPS_TO_MM2 = 2.5;
const FIRST = 10;
const wraps = (thickestMm2: number): boolean =>
  thickestMm2 >= WRAPS_FROM_MM2 - 1e-9 && thickestMm2 <= WRAPS_TO_MM2 * 1.02;

/** Each conductor wrapped round the other, which uses the strips up: the strongest of the soldered. */
export const wrappedSolder = soldered({
  id: 'wrappedSolder',
  name: 'Wrapped solder + adhesive sleeve',
  words: 'wrapped',
  stripMm: 15,
  lapMm: 0,
  jointMm: 18,
  thickness: 2.4,
  mostMm2: 4,
  minutes: 8,
  order: (thickestMm2) => FIRST + Number(!wraps(thickestMm2)),
});
/** Strands pushed into each other and twisted. */
export const interlacedSolder = soldered({
  id: 'interlacedSolder',
  name: 'Interlaced solder + adhesive sleeve',
  words: 'interlaced',
  strandedOnly: true,
  stripMm: 12,
  lapMm: 12,
  jointMm: 14,
  thickness: 1.6,
  mostMm2: 6,
  minutes: 8,
  order: (thickestMm2) => FIRST + Number(wraps(thickestMm2)),
});
/** Tinned ends laid beside each other and reflowed: the weakest of the soldered, for space only. */
export const lapSolder = soldered({
  id: 'lapSolder',
  name: 'Lap solder + adhesive sleeve',
  words: 'lapped',
  stripMm: 13,
  lapMm: 10,
  tinnedMm: 3,
  jointMm: 10,
  thickness: 2,
  mostMm2: 6,
  minutes: 7,
  order: 12,
});
