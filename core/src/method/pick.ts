import { moistureInWords } from '../harness/index.ts';
import { ceilTo, figure } from '../units/index.ts';
import { jacketDiameterMm } from '../wire/index.ts';
import { hasPlace } from './room.ts';
import type { Rated, SizedJoint } from '../family/index.ts';
import type { Site } from './types.ts';

/**
 * What is said of something that stands less heat than its place; the heat is rounded up, so that it is never told as
 * one and the same.
 */
export const ratedWords = ({ name, ratedC }: Pick<Rated, 'name' | 'ratedC'>, placeC: number): string =>
  `${name} is rated ${ratedC} °C; ambient and own heating reach ${ceilTo(placeC)}.`;

/** What of a place a part has to meet besides its size; lengths in mm. */
export interface PlaceNeeds {
  readonly site: Site;
  /** Most free wire on which a sleeve can be parked. */
  readonly freeMm: number;
  /** Thickest body that the conduit takes in place of the wire; unknown when the conduit is. */
  readonly thickestMm: number | undefined;
}

/** The place of a repair as its parts see it. @param splices 2 for an insert, whose own wire is free as well */
export const needsAt = (site: Site, splices: 1 | 2): PlaceNeeds => ({
  site,
  freeMm: Math.max(site.freeLeftMm, site.freeRightMm, splices === 2 ? site.lost.toMm - site.lost.fromMm : 0),
  thickestMm: site.conduitMarginMm === undefined ? undefined : jacketDiameterMm(site.wire) + site.conduitMarginMm,
});

/** How much a part does not meet: what refuses it, and what only warns. */
interface Count {
  readonly refused: number;
  readonly warned: number;
}
/** What a part does not meet at a place. */
interface Misses extends Count {
  /** It finds a legal place by itself. */
  readonly isPlaced: boolean;
}

const isLess = (one: Count, other: Count): boolean =>
  one.refused < other.refused || (one.refused === other.refused && one.warned < other.warned);

/**
 * What of a place a joint does not meet by itself, wherever it finds room: its rating, its sleeve's parking, a seal
 * without glue in the damp; and, as a warning, its thickness.
 */
function missesByItself({ site, freeMm, thickestMm }: PlaceNeeds, { seal, rated, bodyDiameterMm }: SizedJoint): Count {
  const isSleeve = seal.kind === 'sleeve';
  return {
    refused:
      Number(rated.some((part) => part.ratedC < site.placeC)) +
      Number(isSleeve && seal.cutMm > freeMm) +
      Number(isSleeve && !seal.adhesive && site.zone.moisture !== 'dry'),
    warned: Number(thickestMm !== undefined && bodyDiameterMm > thickestMm),
  };
}

/**
 * Why a part that holds the copper, and goes before by its size, is not taken at a place; nothing where its place does
 * not refuse it.
 */
export function whyPassed(needs: PlaceNeeds, joint: SizedJoint, side: 'only' | 'left' | 'right'): string | undefined {
  const { site, freeMm } = needs;
  const { seal } = joint;
  const under = joint.rated.find(({ ratedC }) => ratedC < site.placeC);
  if (under) return ratedWords(under, site.placeC);
  if (seal.kind === 'sleeve' && seal.cutMm > freeMm)
    return `${joint.partName} wants a sleeve of ${figure(seal.cutMm, 0)} mm, and only ${figure(freeMm, 0)} mm of wire is free to slide it on.`;
  if (seal.kind === 'sleeve' && !seal.adhesive && site.zone.moisture !== 'dry')
    return `${seal.name} has no glue, and the place ${moistureInWords(site.zone)}.`;
  return hasPlace(site, joint, side) ? undefined : `${joint.partName} finds no room here.`;
}

/** A joint picked for its place, and what it still does not meet. */
export interface Picked {
  readonly joint: SizedJoint;
  readonly misses: Misses;
}

/**
 * The joint for a place: of those that hold the copper, best by size first, the first that meets all; where none does,
 * the one that misses least, what refuses before what warns. A rating or a length beyond the need counts for nothing.
 */
export function pickFor(
  needs: PlaceNeeds,
  joints: readonly SizedJoint[],
  side: 'only' | 'left' | 'right',
): Picked | undefined {
  let best: Picked | undefined;
  for (const joint of joints) {
    const byItself = missesByItself(needs, joint);
    // Whether it finds room is asked only of what could still be better.
    if (best && !isLess(byItself, best.misses)) continue;
    const isPlaced = hasPlace(needs.site, joint, side);
    const misses = { isPlaced, refused: byItself.refused + Number(!isPlaced), warned: byItself.warned };
    if (misses.refused + misses.warned === 0) return { joint, misses };
    if (!best || isLess(misses, best.misses)) best = { joint, misses };
  }
  return best;
}
