import { itemAt, measure, type LaidOut, type PlacedItem, type RunToLayOut } from '../layout/index.ts';
import { insertLengthMm } from '../sizing/index.ts';
import type { JobIndex } from '../job/index.ts';
import { PAST_SIDES, type Past } from './past.ts';
import type { Decided } from './types.ts';

/** A run with its items as it was searched, and what was found. */
export interface LaidRun {
  readonly run: RunToLayOut;
  /** By finding: the decision for two splices where one would do. */
  readonly two: ReadonlyMap<string, Decided>;
  readonly laid: LaidOut;
}

const placedOn = (runs: ReadonlyMap<string, LaidRun>, runId: string, findingId: string): PlacedItem | undefined =>
  runs.get(runId)?.laid.items.find((item) => item.findingId === findingId);

/** A run told how far inserted wires go on past its ends, with its splices where they were. */
function withLengths(
  one: LaidRun,
  beyondOf: (findingId: string, side: 'left' | 'right') => number | undefined,
): LaidRun {
  if (!one.run.items.some((item) => item.half)) return one;
  const run = {
    ...one.run,
    items: one.run.items.map((item) =>
      item.half ? { ...item, half: { ...item.half, beyondMm: beyondOf(item.findingId, item.half.side) ?? 0 } } : item,
    ),
  };
  const items = one.laid.items.map((placed) => {
    const item = run.items.find((other) => other.findingId === placed.findingId);
    return item?.half ? itemAt(item, placed) : placed;
  });
  const objective = measure(run, items);
  const more = objective.insertedMm - one.laid.objective.insertedMm;
  return {
    ...one,
    run,
    laid: { ...one.laid, items, objective, bound: { ...one.laid.bound, insertedMm: one.laid.bound.insertedMm + more } },
  };
}

/**
 * Runs that were laid out each for itself, put together: repairs whose splices lie on two runs get their ends and their
 * insert as their finding's run counts, below 0 and above its length for what lies past its ends.
 */
export function joined(
  runs: ReadonlyMap<string, LaidRun>,
  past: Past,
  index: JobIndex,
  decided: readonly Decided[],
): { readonly runs: ReadonlyMap<string, LaidRun>; readonly placed: ReadonlyMap<string, PlacedItem> } {
  const placed = new Map<string, PlacedItem>();
  for (const { laid } of runs.values())
    for (const item of laid.items) if (!past.has(item.findingId)) placed.set(item.findingId, item);
  const beyond = new Map<string, number>();
  for (const { finding, decision } of decided) {
    const ends = past.get(finding.id);
    const home = index.runs.get(decision.runId);
    if (!ends || !home) continue;
    const halves = {
      left: placedOn(runs, ends.left?.run.id ?? home.id, finding.id),
      right: placedOn(runs, ends.right?.run.id ?? home.id, finding.id),
    };
    const { left, right } = halves;
    const [first, second] = decision.method?.joints ?? [];
    if (!left || !right || !first || !second) continue;
    const lengthMm = (item: PlacedItem): number => item.x2Mm - item.x1Mm;
    const through = ends.left && ends.right ? home.lengthMm : 0;
    for (const side of PAST_SIDES)
      beyond.set(`${finding.id} ${side}`, lengthMm(side === 'left' ? right : left) + through);
    const x1Mm = ends.left ? -lengthMm(left) : left.x1Mm;
    const x2Mm = ends.right ? home.lengthMm + lengthMm(right) : right.x2Mm;
    placed.set(finding.id, {
      findingId: finding.id,
      splices: [...left.splices, ...right.splices],
      x1Mm,
      x2Mm,
      insertMm: insertLengthMm(x1Mm, x2Mm, first.reach, second.reach) + (decision.extraMm ?? 0),
    });
  }
  return {
    placed,
    runs: new Map(
      [...runs].map(([id, one]) => [id, withLengths(one, (findingId, side) => beyond.get(`${findingId} ${side}`))]),
    ),
  };
}
