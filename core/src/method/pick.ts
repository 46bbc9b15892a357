import { jacketDiameterMm } from '../wire/index.ts';
import { hasPlace } from './room.ts';
import type { SizedJoint } from '../family/index.ts';
import type { Site } from './types.ts';

/** What of a place a part has to meet besides its size; lengths in mm. */
interface PlaceNeeds {
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

/** What a part does not meet: what refuses it, and what only warns. */
export interface Misses {
  /** It finds a legal place by itself. */
  readonly isPlaced: boolean;
  readonly refused: number;
  readonly warned: number;
}

/** What a joint does not meet at a place: its rating, its length between the keep-outs, its sleeve's parking, a seal without glue in the damp; and, as a warning, its thickness. */
export function missesAt(
  { site, freeMm, thickestMm }: PlaceNeeds,
  joint: SizedJoint,
  side: 'only' | 'left' | 'right',
): Misses {
  const { seal } = joint;
  const isPlaced = hasPlace(site, joint, side);
  const failures = [
    joint.rated.some((part) => part.ratedC < site.placeC),
    !isPlaced,
    seal.kind === 'sleeve' && seal.cutMm > freeMm,
    seal.kind === 'sleeve' && !seal.adhesive && site.zone.moisture !== 'dry',
  ];
  return {
    isPlaced,
    refused: failures.filter(Boolean).length,
    warned: Number(thickestMm !== undefined && joint.bodyDiameterMm > thickestMm),
  };
}

/** A joint picked for its place, and what it still does not meet. */
export interface Picked {
  readonly joint: SizedJoint;
  readonly misses: Misses;
}

/**
 * The joint for a place: of those that hold the copper, best by size first, the first that meets all; where none does, the one that
 * misses least, what refuses before what warns. A rating or a length beyond the need counts for nothing.
 */
export function pickFor(
  needs: PlaceNeeds,
  joints: readonly SizedJoint[],
  side: 'only' | 'left' | 'right',
): Picked | undefined {
  let best: Picked | undefined;
  for (const joint of joints) {
    const misses = missesAt(needs, joint, side);
    if (misses.refused + misses.warned === 0) return { joint, misses };
    const isBetter =
      !best ||
      misses.refused < best.misses.refused ||
      (misses.refused === best.misses.refused && misses.warned < best.misses.warned);
    if (isBetter) best = { joint, misses };
  }
  return best;
}
