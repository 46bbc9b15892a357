import { BEND_FIXED, BEND_MOVING, conduitFor, spiralTapeMm } from '../bundle/index.ts';
import { GENERIC_PARTS } from '../catalogue/index.ts';
import type { SleevePart } from '../stock/index.ts';
import type { Stretch } from '../damage/index.ts';
import { flexStretches, type Run } from '../harness/index.ts';
import { chooseSleeve } from '../sizing/index.ts';
import type { ProfileStretch } from './types.ts';

/** How a run is closed once its splices are made. Lengths in mm, places from the run's start. */
export interface Closing {
  /** Smallest split conduit for the whole run; none when the bundle is thicker than any. */
  readonly conduitMm?: number | undefined;
  /** Half-lapped tape over what is opened. */
  readonly tapeMm: number;
  /**
   * A sleeve over all that passes the thickest place and grips the thinnest; none is wide enough, or shrinks enough.
   * Only where an end can be freed.
   */
  readonly sleeve?: SleevePart | undefined;
  /** Where the bundle is tied or clipped again. */
  readonly ties: readonly number[];
  readonly bends: readonly { readonly name: string; readonly radiusMm: number; readonly moves: boolean }[];
}

/** The shop's tape: width and thickness, mm, half lapped. */
const TAPE = { widthMm: 19, thicknessMm: 0.15, lap: 0.5 };
/** Ties over an opened stretch are at most so far apart, and so far from a body: ours, no published figure. */
const TIE_EVERY_MM = 200;
const TIE_FROM_BODY_MM = 25;
/** A sleeve passes 1.1 × the thickest, and grips 0.9 × the thinnest. */
const PASS = 1.1;
const GRIP = 0.9;
const SLEEVES = GENERIC_PARTS.filter((part): part is SleevePart => part.kind === 'sleeve');

const overlapMm = (a: Stretch, b: Stretch): number =>
  Math.max(0, Math.min(a.toMm, b.toMm) - Math.max(a.fromMm, b.fromMm));

/** The place for a tie nearest to a wished one that lies on no body or connector and where nothing bends; none within reach. */
function tieNear(wishMm: number, barred: readonly Stretch[], reachMm: number): number | undefined {
  const near = barred.filter((bar) => bar.fromMm <= wishMm + reachMm && bar.toMm >= wishMm - reachMm);
  const free = (mm: number): boolean => near.every((bar) => mm <= bar.fromMm || mm >= bar.toMm);
  const places = [wishMm, ...near.flatMap((bar) => [bar.fromMm, bar.toMm])].filter(
    (mm) => Math.abs(mm - wishMm) <= reachMm && free(mm),
  );
  return places.sort((a, b) => Math.abs(a - wishMm) - Math.abs(b - wishMm))[0];
}

/**
 * What closes a run: conduit from the thickest place, tape length summed along the profile, ties clear of bodies and of
 * what bends and of connectors, and the least bend radius, 4 × the bundle where it is fixed and 10 × where it moves.
 */
export function closingOf(
  run: Run,
  profile: readonly ProfileStretch[],
  opened: readonly Stretch[],
  bodies: readonly Stretch[],
  connectors: readonly Stretch[] = [],
): Closing {
  const peakMm = Math.max(0, ...profile.map((stretch) => stretch.diameterMm));
  const inOpened = profile.filter((stretch) => opened.some((part) => overlapMm(stretch, part) > 0));
  const flexing = flexStretches(run);
  const barred = [
    ...bodies.map((body) => ({ fromMm: body.fromMm - TIE_FROM_BODY_MM, toMm: body.toMm + TIE_FROM_BODY_MM })),
    ...flexing,
    ...connectors,
  ];
  const wished = opened.flatMap(({ fromMm, toMm }) => {
    const spans = Math.max(1, Math.ceil((toMm - fromMm) / TIE_EVERY_MM));
    return Array.from({ length: spans + 1 }, (_, index) => fromMm + (index * (toMm - fromMm)) / spans);
  });
  const ties = wished
    .flatMap((mm) => tieNear(mm, barred, TIE_EVERY_MM) ?? [])
    .map(Math.round)
    .filter((mm) => mm >= 0 && mm <= run.lengthMm);
  const thickest = (within: Stretch): number =>
    Math.max(0, ...profile.filter((stretch) => overlapMm(stretch, within) > 0).map((stretch) => stretch.diameterMm));
  return {
    conduitMm: conduitFor(peakMm),
    tapeMm: inOpened.reduce(
      (sum, stretch) =>
        sum +
        opened.reduce(
          (all, part) =>
            all + spiralTapeMm({ ...TAPE, diameterMm: stretch.diameterMm, lengthMm: overlapMm(stretch, part) }),
          0,
        ),
      0,
    ),
    sleeve:
      inOpened.length > 0
        ? chooseSleeve(SLEEVES, {
            passMm: Math.max(...inOpened.map((stretch) => stretch.diameterMm)),
            gripMm: Math.min(...inOpened.map((stretch) => stretch.diameterMm)),
            adhesive: false,
            slideFactor: PASS,
            gripShare: GRIP,
          })
        : undefined,
    ties: [...new Set(ties)].sort((a, b) => a - b),
    bends: [
      { name: 'fixed', radiusMm: BEND_FIXED * peakMm, moves: false },
      ...flexing.map((stretch) => ({ name: stretch.name, radiusMm: BEND_MOVING * thickest(stretch), moves: true })),
    ],
  };
}
