import { bundleWithBodiesMm } from '../bundle/index.ts';
import type { KeepOut } from '../harness/index.ts';
import { apartOf } from './kinds.ts';
import { type Objective } from './levels.ts';
import { sectionsOf, thickLying, thickSplice, type Thick } from './lying.ts';
import { EQUAL_MM } from './pairs.ts';
import { openedFor } from './place.ts';
import { bundleWith, type BodyOn } from './profile.ts';
import type { BundleWire, PlacedItem, PlacedSplice, RunToLayOut } from './types.ts';

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
function crowding(bodies: readonly Thick[]): Pick<Objective, 'over' | 'pairs' | 'clearMm'> {
  let [over, pairs, clearMm] = [0, 0, Infinity];
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

/** How often a layout does what its kind does not allow: bodies too close, three over one place, two where they are too thick. */
function againstItsKind(run: RunToLayOut, thick: readonly Thick[], crowded: ReturnType<typeof crowding>): number {
  if (run.kind === 'even') return crowded.pairs + Number(crowded.clearMm < apartOf(run) - TOUCH_MM);
  if (run.kind !== 'short') return 0;
  return sectionsOf(thick).filter(({ here }) => {
    const bodies = here.filter(({ isCover }) => !isCover);
    return (
      bodies.length > 1 &&
      bodies.some(({ isNew }) => isNew) &&
      (bodies.length > 2 || sectionDiameterMm(run.wires ?? [], here) > (run.twoAtMostMm ?? Infinity) + TOUCH_MM)
    );
  }).length;
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
  const crowded = crowding(thick.filter(({ isCover }) => !isCover));
  const opened = [...bodies, ...run.items.map(openedFor), ...(run.alsoOpened ?? [])];
  return {
    barred:
      againstItsKind(run, thick, crowded) +
      unequalPairs(run, items) +
      bodies.filter(
        (body) =>
          !body.pinned &&
          run.keepOuts.some((keep) => body.fromMm < keep.toMm - TOUCH_MM && keep.fromMm + TOUCH_MM < body.toMm),
      ).length,
    over: crowded.over,
    pairs: crowded.pairs,
    splices: bodies.length,
    clearMm: Math.min(run.betweenBodiesMm, crowded.clearMm),
    peakMm,
    openedMm:
      opened.length > 0 ? Math.max(...opened.map((one) => one.toMm)) - Math.min(...opened.map((one) => one.fromMm)) : 0,
    insertedMm: items.reduce((sum, item) => sum + (item.insertMm ?? 0), 0),
    near: bodies.filter((body) => isNear(body, run.keepOuts, run.preferFromConnectorMm - run.connectorClearMm)).length,
  };
}
