import { conduitFor } from '../bundle/index.ts';
import { keptOutOn, type Growth, type Run } from '../harness/index.ts';
import {
  brokenPairRules,
  brokenRules,
  bundleProfile,
  closingOf,
  lumpDiameterMm,
  openedParts,
  openedThings,
  pairLayout,
  sectionMm,
  thickLying,
  thickSplice,
  wholeOf,
  type LaidOut,
  type LayoutItem,
  type PairLayout,
  type PlacedItem,
  type RunToLayOut,
} from '../layout/index.ts';
import type { RunPlan } from './types.ts';

/** Pairs of which both wires are spliced on the run. */
function pairsOf(wanted: readonly LayoutItem[], placed: readonly PlacedItem[]): PairLayout[] {
  const byId = new Map(placed.map((item) => [item.findingId, item]));
  return wanted.flatMap((item): PairLayout[] => {
    const mate = wanted.find((other) => other.findingId === item.pairFindingId);
    const [mine, theirs] = [byId.get(item.findingId), mate && byId.get(mate.findingId)];
    if (
      !mate ||
      !mine ||
      !theirs ||
      item.findingId > mate.findingId ||
      mine.splices.length === 0 ||
      theirs.splices.length === 0
    )
      return [];
    return [pairLayout({ circuitId: item.circuitId, ...mine }, { circuitId: mate.circuitId, ...theirs })];
  });
}

/** What the plan says of a run in which splices lie. */
export function runPlanOf(
  run: Run,
  search: { readonly run: RunToLayOut },
  laid: LaidOut,
  numberOf: (circuitId: string) => string,
  untwistedAtMostMm: number,
  growths: readonly Growth[] = [],
): RunPlan {
  const { keepOuts: keep, wires = [], ...limits } = search.run;
  const splices = laid.items.flatMap((item) => item.splices);
  const { lying = [] } = search.run;
  const bodies = splices.map(thickSplice);
  const profile = bundleProfile(run.lengthMm, wires, [...bodies, ...lying.map(thickLying)]);
  const peakMm = Math.max(0, ...profile.map((stretch) => stretch.diameterMm));
  const things = openedThings(search.run, laid.items);
  const opened = wholeOf(things);
  const parts = openedParts(things);
  const pairs = pairsOf(search.run.items, laid.items);
  return {
    runId: run.id,
    lengthMm: run.lengthMm,
    ...(growths.length > 0 ? { growths } : {}),
    keepOuts: keptOutOn(run, keep),
    profile,
    peakMm,
    restMm: sectionMm(wires, []),
    lumpMm: splices.length > 0 ? lumpDiameterMm(wires, bodies) : peakMm,
    conduitMm: conduitFor(peakMm),
    opened,
    openedParts: parts,
    ...(lying.length > 0 ? { lying } : {}),
    broken: [
      ...brokenRules(
        splices,
        keep,
        limits,
        (splice) => `Circuit ${numberOf(splice.circuitId)} at ${Math.round(splice.centreMm)}`,
        lying,
      ),
      ...pairs.flatMap((pair) =>
        brokenPairRules(
          pair,
          untwistedAtMostMm,
          splices.filter((splice) => pair.circuitIds.includes(splice.circuitId)).map((splice) => splice.id),
          numberOf,
        ),
      ),
    ],
    pairs,
    closing: closingOf(
      run,
      profile,
      parts,
      splices,
      keep.filter(({ kind }) => kind === 'connector'),
    ),
    reached: { objective: laid.objective, bound: laid.bound, open: laid.open },
  };
}
