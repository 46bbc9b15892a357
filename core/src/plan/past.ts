import { besideAlong, beyondOf, keepOuts, placeBeyond, type Beyond, type Run } from '../harness/index.ts';
import { legalPlaces, windowsOf, type Half, type LayoutItem, type Pin } from '../layout/index.ts';
import type { Practice } from '../practice/index.ts';
import { layoutItem, pinsOf } from './runItems.ts';
import { mateOf, type JobIndex } from '../job/index.ts';
import type { Job } from '../job/index.ts';
import type { Decided } from './types.ts';

/** The splices of a finding that lie past an end of its run, each with the run that it lies on. */
export interface PastEnds {
  readonly left?: Beyond | undefined;
  readonly right?: Beyond | undefined;
}
/** By finding. */
export type Past = ReadonlyMap<string, PastEnds>;

export const PAST_SIDES = ['left', 'right'] as const;
export type PastSide = (typeof PAST_SIDES)[number];

/** Mm past the run's end on one side of a place on the run. */
const pastEndMm = (side: PastSide, run: Run, atMm: number): number => (side === 'left' ? -atMm : atMm - run.lengthMm);

/** The splice of an item that lies past its run's end, as an item of the run that it lies on. */
export function guestItem(item: LayoutItem, side: PastSide, run: Run, beyond: Beyond): LayoutItem {
  const [a, b] = [item.lost.fromMm, item.lost.toMm].map((mm) => placeBeyond(beyond, pastEndMm(side, run, mm))) as [
    number,
    number,
  ];
  const half: Half = { side, leavesAtMm: beyond.isAway ? 0 : beyond.run.lengthMm, beyondMm: 0, runId: beyond.run.id };
  return { ...item, lost: { fromMm: Math.min(a, b), toMm: Math.max(a, b) }, half, twoJoints: undefined };
}

/** What of an item stays on its own run; nothing when both its splices lie past the ends. */
export function stayingItem(item: LayoutItem, past: PastEnds | undefined, run: Run): LayoutItem | undefined {
  if (!past || (!past.left && !past.right)) return item;
  if (past.left && past.right) return undefined;
  return {
    ...item,
    twoJoints: undefined,
    half: past.left
      ? { side: 'right', leavesAtMm: 0, beyondMm: 0 }
      : { side: 'left', leavesAtMm: run.lengthMm, beyondMm: 0 },
  };
}

/** Whether a splice finds a place on a run at all. */
export function hasPlace(item: LayoutItem, side: PastSide, run: Run, index: JobIndex, practice: Practice): boolean {
  const wish = windowsOf(item).get(side);
  return (
    wish !== undefined &&
    legalPlaces({ lengthMm: run.lengthMm, keepOuts: keepOuts(run, index.nodes, practice.figures.clearMm) }, wish)
      .length > 0
  );
}

/** Where the splices of a decision could go past the run's ends: those of an insert in a circuit that goes on. */
export function couldGoPast(one: Decided, index: JobIndex, practice: Practice): PastEnds {
  const run = index.runs.get(one.decision.runId);
  const item = layoutItem(one, index);
  if (!run || !item || item.lead || item.joints.length !== 2 || one.circuit.runIds.length < 2) return {};
  const beyonds = beyondOf(one.circuit, run, index.runs, index.nodes);
  // Past what lies on its own wire no splice goes.
  const bars = (side: PastSide): boolean =>
    side === 'left' ? (item.within?.fromMm ?? -Infinity) > -Infinity : (item.within?.toMm ?? Infinity) < Infinity;
  const reach = (side: PastSide, beyond: Beyond | undefined): Beyond | undefined =>
    beyond && !bars(side) && hasPlace(guestItem(item, side, run, beyond), side, beyond.run, index, practice)
      ? beyond
      : undefined;
  return { left: reach('left', beyonds.start), right: reach('right', beyonds.end) };
}

/** The run on which a splice was put by a person, made already, or found by a search; nothing where nobody said. */
function saidRun(
  pins: readonly Pin[],
  findingId: string,
  side: PastSide,
): { readonly runId: string | undefined } | undefined {
  const pin = pins.find((one) => one.findingId === findingId && one.side === side);
  return pin && { runId: pin.runId };
}

/**
 * The splices that have to lie past an end of their run: because they were put or made there, or because they find no
 * place on their own run. Where one wire of a pair goes past, the other goes along, so that both stay equally long.
 */
export function mustGoPast(
  decided: readonly Decided[],
  job: Job,
  index: JobIndex,
  practice: Practice,
): Map<string, PastEnds> {
  const past = new Map<string, PastEnds>();
  const said = [...pinsOf(job), ...(job.layout?.found ?? [])];
  const put = (id: string, side: PastSide, beyond: Beyond): void => {
    past.set(id, { ...past.get(id), [side]: beyond });
  };
  for (const one of decided) {
    const run = index.runs.get(one.decision.runId);
    const could = couldGoPast(one, index, practice);
    const item = layoutItem(one, index);
    if (!run || !item) continue;
    const beside = besideAlong(one.circuit, run, index.runs);
    for (const side of PAST_SIDES) {
      const there = saidRun(said, one.finding.id, side);
      // What was put or made there stays, whatever has become of the place since.
      const next = side === 'left' ? beside.start : beside.end;
      if (there) {
        if (next && there.runId === next.run.id) put(one.finding.id, side, next);
      } else if (could[side] && !hasPlace(item, side, run, index, practice)) put(one.finding.id, side, could[side]);
    }
  }
  for (const one of decided) {
    const mine = past.get(one.finding.id);
    const mate = mateOf(one.finding, index);
    const other = mate && decided.find((decision) => decision.finding.id === mate.id);
    if (!mine || !other) continue;
    const could = couldGoPast(other, index, practice);
    for (const side of PAST_SIDES)
      if (mine[side] && could[side]?.run.id === mine[side].run.id && !past.get(other.finding.id)?.[side])
        put(other.finding.id, side, could[side]);
  }
  return past;
}
