import { bundleWithBodiesMm } from '../bundle/index.ts';
import type { KeepOut } from '../harness/index.ts';
import { sectionsOf, thickLying, thickSplice, type Thick } from './lying.ts';
import { EQUAL_MM } from './pairs.ts';
import { openedFor } from './place.ts';
import { bundleWith, type BodyOn } from './profile.ts';
import type { BundleWire, PlacedItem, PlacedSplice, RunToLayOut } from './types.ts';

/** What a layout reaches, in the strict order in which layouts are compared. */
export interface Objective {
  /**
   * What must not be: bodies that reach into a keep-out although nobody pinned them there, and pairs whose two inserts
   * are not equally long. None, unless a wire leaves no other place, or pins no equal length.
   */
  readonly barred: number;
  /** Most bodies over one cross-section, and pairs of bodies that overlap. */
  readonly over: number;
  readonly pairs: number;
  readonly splices: number;
  /** Smallest clear distance between neighbouring bodies that do not overlap, counted up to the wanted one; mm. */
  readonly clearMm: number;
  readonly peakMm: number;
  /** From the leftmost to the rightmost edge of all bodies and lost stretches; mm. */
  readonly openedMm: number;
  readonly insertedMm: number;
  /** Bodies with less room at a connector than is preferred. */
  readonly near: number;
}

/** Levels in their order. */
export const LEVELS = [
  'barred',
  'over',
  'pairs',
  'splices',
  'clearMm',
  'peakMm',
  'openedMm',
  'insertedMm',
  'near',
] as const satisfies readonly (keyof Objective)[];
export type Level = (typeof LEVELS)[number];

/** Differences that count as none: hundredths of a millimetre, and a hundredth of the diameter. */
const LENGTH_GRACE_MM = 0.01;
const INSERTED_GRACE_MM = 0.05;
/** Bundles whose diameters are within a hundredth are equally thick. */
export const PEAK_GRACE = 0.01;
const TOUCH_MM = 1e-6;

/** The bundle's diameter for the objective: packed up to six wires, estimated above, as the rules of the shop say. */
export function sectionDiameterMm(wires: readonly BundleWire[], here: readonly BodyOn[]): number {
  const { jacketsMm, inPlace, more } = bundleWith(wires, here);
  return bundleWithBodiesMm(jacketsMm, inPlace, more);
}

/** Whether a body has less room at a connector than is preferred. */
function isNear(
  body: { readonly fromMm: number; readonly toMm: number },
  keepOuts: readonly KeepOut[],
  beyondMm: number,
): boolean {
  return keepOuts.some(
    (keep) =>
      keep.kind === 'connector' &&
      body.fromMm < keep.toMm + beyondMm - TOUCH_MM &&
      keep.fromMm - beyondMm + TOUCH_MM < body.toMm,
  );
}

function unequalPairs(run: RunToLayOut, items: readonly PlacedItem[]): number {
  const inserts = new Map(items.map((item) => [item.findingId, item.insertMm]));
  return run.items.filter((item) => {
    const [mine, theirs] = [
      inserts.get(item.findingId),
      item.pairFindingId === undefined ? undefined : inserts.get(item.pairFindingId),
    ];
    // Of halves whose other ends are not known yet, nothing is.
    const known = !item.half || item.half.beyondMm > 0;
    return (
      known &&
      mine !== undefined &&
      theirs !== undefined &&
      item.findingId < (item.pairFindingId ?? '') &&
      Math.abs(mine - theirs) > EQUAL_MM
    );
  }).length;
}

/**
 * How crowded bodies lie. What was on the wires already counts beside what is new, never among itself: two old ones near
 * each other are nobody's fault.
 */
function crowding(bodies: readonly Thick[], wantedMm: number): Pick<Objective, 'over' | 'pairs' | 'clearMm'> {
  let [over, pairs, clearMm] = [0, 0, wantedMm];
  let [farthestMm, farthestNewMm] = [-Infinity, -Infinity];
  for (const { at, here } of sectionsOf(bodies)) {
    const beside = here.filter((other) => other !== at && (at.isNew || other.isNew));
    if (here.some(({ isNew }) => isNew)) over = Math.max(over, here.length);
    pairs += beside.length;
    if (here.length === 1) clearMm = Math.min(clearMm, at.fromMm - (at.isNew ? farthestMm : farthestNewMm));
    farthestMm = Math.max(farthestMm, at.toMm);
    if (at.isNew) farthestNewMm = Math.max(farthestNewMm, at.toMm);
  }
  return { over, pairs, clearMm: Math.max(0, clearMm) };
}

/** The bundle's thickest place before anything is made, mm: with what is on its wires already. */
export const restDiameterMm = ({ wires = [], lying = [] }: RunToLayOut): number =>
  Math.max(
    sectionDiameterMm(wires, []),
    ...sectionsOf(lying.map(thickLying)).map(({ here }) => sectionDiameterMm(wires, here)),
  );

/** Measures a layout, by the definitions alone. */
export function measure(run: RunToLayOut, items: readonly PlacedItem[]): Objective {
  const bodies: PlacedSplice[] = items.flatMap((item) => item.splices).sort((a, b) => a.fromMm - b.fromMm);
  const wires = run.wires ?? [];
  const thick = [...bodies.map(thickSplice), ...(run.lying ?? []).map(thickLying)];
  const peakMm = Math.max(
    sectionDiameterMm(wires, []),
    ...sectionsOf(thick).map(({ here }) => sectionDiameterMm(wires, here)),
  );
  const { over, pairs, clearMm } = crowding(
    thick.filter(({ isCover }) => !isCover),
    run.betweenBodiesMm,
  );
  const opened = [...bodies, ...run.items.map(openedFor), ...(run.alsoOpened ?? [])];
  return {
    barred:
      unequalPairs(run, items) +
      bodies.filter(
        (body) =>
          !body.pinned &&
          run.keepOuts.some((keep) => body.fromMm < keep.toMm - TOUCH_MM && keep.fromMm + TOUCH_MM < body.toMm),
      ).length,
    over,
    pairs,
    splices: bodies.length,
    clearMm,
    peakMm,
    openedMm:
      opened.length > 0 ? Math.max(...opened.map((one) => one.toMm)) - Math.min(...opened.map((one) => one.fromMm)) : 0,
    insertedMm: items.reduce((sum, item) => sum + (item.insertMm ?? 0), 0),
    near: bodies.filter((body) => isNear(body, run.keepOuts, run.preferFromConnectorMm - run.connectorClearMm)).length,
  };
}

/** Grace of a level between two values: less than it is no difference. */
const graceOf = (level: Level, a: number, b: number): number =>
  level === 'peakMm'
    ? PEAK_GRACE * Math.min(a, b)
    : level === 'insertedMm'
      ? INSERTED_GRACE_MM
      : level === 'clearMm' || level === 'openedMm'
        ? LENGTH_GRACE_MM
        : 0;

/** The first level on which two layouts differ, or none. */
export function firstDifference(a: Objective, b: Objective): Level | undefined {
  return LEVELS.find((level) => Math.abs(a[level] - b[level]) > graceOf(level, a[level], b[level]));
}

/** Below 0 when the first is the better layout, by the strict order; 0 when they are equally good. */
export function compareLayouts(a: Objective, b: Objective): number {
  const level = firstDifference(a, b);
  if (!level) return 0;
  return level === 'clearMm' ? b[level] - a[level] : a[level] - b[level];
}
