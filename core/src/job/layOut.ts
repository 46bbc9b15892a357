import { conduitFor } from '../bundle/index.ts';
import { keepOuts, type Run } from '../harness/index.ts';
import {
  brokenPairRules, brokenRules, bundleProfile, closingOf, keptLayout, lumpDiameterMm, optimise, QUICK, pairLayout, quickLayout, sectionAt, windowsOf, type LaidOut, type LayoutItem, type PairLayout, type Pin, type PlacedItem, type RunToLayOut,
} from '../layout/index.ts';
import type { Practice } from '../practice/index.ts';
import { jacketDiameterMm } from '../wire/index.ts';
import { decideOne, type Warm } from './decideAll.ts';
import { mateOf, type JobIndex } from './jobIndex.ts';
import type { Decided, Job, RunPlan } from './types.ts';

/** Up to this many bodies a plan searches for the best layout; a longer search is asked for at the board. */
const SEARCHED_UP_TO = 18;
const REMEMBERED = 40;
/** Grace for a pin against the window of its wire, mm. */
const PIN_GRACE_MM = 0.05;

export const limitsOf = (figures: Practice['figures']): { readonly betweenBodiesMm: number; readonly preferFromConnectorMm: number; readonly connectorClearMm: number } =>
  ({ betweenBodiesMm: figures.betweenBodiesMm, preferFromConnectorMm: figures.preferFromConnectorMm, connectorClearMm: figures.clearMm.connector });

/** What of a decision wants a place; nothing where no splice is made. */
export const layoutItem = ({ decision, finding }: Decided, index: JobIndex): LayoutItem | undefined =>
  decision.method && { findingId: finding.id, circuitId: decision.circuitId, joints: decision.method.joints, lost: decision.lost, slackMm: decision.slackMm, pairFindingId: mateOf(finding, index)?.id, lead: decision.lead, extraMm: decision.extraMm };

/** Splices that stay: made already, and put somewhere by a person. */
export const pinsOf = ({ pins, layout }: Job): Pin[] => [...pins, ...(layout?.pins ?? []).filter((pin) => !pins.some((made) => made.findingId === pin.findingId))];

/** Where one splice would do: what it would be with two. Not where work has begun or a person keeps it at one. */
function withTwo(one: Decided, job: Job, index: JobIndex, memory: Warm): Decided | undefined {
  const kept = job.layout?.atOne.includes(one.finding.id) ?? false;
  const held = job.held?.some((other) => other.findingId === one.finding.id) ?? false;
  if (one.decision.approach !== 'oneSplice' || kept || held || one.finding.kind === 'addCircuit') return undefined;
  const two = decideOne(one.finding, job, index, memory, 'room');
  return two?.decision.approach === 'insert' && two.decision.method?.joints.length === 2 ? two : undefined;
}

/** The run of a job as it is laid out, with what could be made of two where one splice would do. */
function runToLayOut(run: Run, here: readonly Decided[], two: ReadonlyMap<string, Decided>, job: Job, index: JobIndex, practice: Practice): RunToLayOut {
  const items = here.flatMap((one): LayoutItem[] => {
    const item = layoutItem(one, index);
    return item ? [{ ...item, twoJoints: two.get(one.finding.id)?.decision.method?.joints }] : [];
  });
  const pins = pinsOf(job).filter((pin) => items.some((item) => {
    const window = item.findingId === pin.findingId ? windowsOf(item).get(pin.side)?.window : undefined;
    return window !== undefined && (job.pins.includes(pin) || (pin.centreMm >= window.fromMm - PIN_GRACE_MM && pin.centreMm <= window.toMm + PIN_GRACE_MM));
  }));
  return {
    lengthMm: run.lengthMm, keepOuts: keepOuts(run, index.nodes, practice.figures.clearMm), items, pins, found: job.layout?.found.filter((place) => items.some((item) => item.findingId === place.findingId)), ...limitsOf(practice.figures),
    wires: (index.inRun.get(run.id) ?? []).map((circuit) => ({ circuitId: circuit.id, jacketMm: jacketDiameterMm(circuit.wire) })).sort((a, b) => a.circuitId.localeCompare(b.circuitId)),
    alsoOpened: here.flatMap(({ decision }) => (decision.cover && !decision.method ? [decision.lost] : [])),
  };
}

/** A run laid out: searched while it is small, else by the rules; remembered by all that it depends on. */
function laidOut(run: RunToLayOut, memory: Warm): LaidOut {
  const bodies = run.items.reduce((sum, item) => sum + Math.max(item.joints.length, item.twoJoints?.length ?? 0), 0);
  if (bodies > SEARCHED_UP_TO || keptLayout(run)) return quickLayout(run);
  const key = JSON.stringify(run);
  const known = memory.layouts.get(key) ?? optimise(run, QUICK);
  memory.layouts.delete(key);
  memory.layouts.set(key, known);
  const [oldest] = memory.layouts.keys();
  if (memory.layouts.size > REMEMBERED && oldest !== undefined) memory.layouts.delete(oldest);
  return known;
}

/** A run with its findings, ready for a search: what the lay-out board works on. */
export interface RunSearch {
  readonly run: RunToLayOut;
  /** By finding: the decision for two splices where one would do. */
  readonly two: ReadonlyMap<string, Decided>;
}

/** What a search of one run starts from: one splice where one does, and two in its place only when bodies would overlap otherwise. */
export function searchOf(run: Run, decided: readonly Decided[], job: Job, index: JobIndex, memory: Warm): RunSearch & { readonly laid: LaidOut } {
  const here = decided.filter((one) => one.decision.runId === run.id);
  const plain = runToLayOut(run, here, new Map(), job, index, memory.practice);
  const laid = laidOut(plain, memory);
  if (laid.objective.pairs === 0) return { run: plain, two: new Map(), laid };
  const two = new Map(here.flatMap((one): [string, Decided][] => {
    const other = withTwo(one, job, index, memory);
    return other ? [[one.finding.id, other]] : [];
  }));
  if (two.size === 0) return { run: plain, two, laid };
  const wide = runToLayOut(run, here, two, job, index, memory.practice);
  return { run: wide, two, laid: laidOut(wide, memory) };
}

/** The decision that a placed item is made by: with two splices where the layout needs them. */
const asPlaced = (one: Decided, item: PlacedItem | undefined, two: ReadonlyMap<string, Decided>): Decided => (item?.splices.length === 2 && one.decision.approach === 'oneSplice' ? (two.get(one.finding.id) ?? one) : one);

/** Pairs of which both wires are spliced on the run. */
function pairsOf(wanted: readonly LayoutItem[], placed: readonly PlacedItem[]): PairLayout[] {
  const byId = new Map(placed.map((item) => [item.findingId, item]));
  return wanted.flatMap((item): PairLayout[] => {
    const mate = wanted.find((other) => other.findingId === item.pairFindingId);
    const [mine, theirs] = [byId.get(item.findingId), mate && byId.get(mate.findingId)];
    if (!mate || !mine || !theirs || item.findingId > mate.findingId || mine.splices.length === 0 || theirs.splices.length === 0) return [];
    return [pairLayout({ circuitId: item.circuitId, ...mine }, { circuitId: mate.circuitId, ...theirs })];
  });
}

/** What the plan says of a run in which splices lie. */
export function runPlanOf(run: Run, search: Pick<RunSearch, 'run'>, laid: LaidOut, here: readonly Decided[], numberOf: (circuitId: string) => string, untwistedAtMostMm: number): RunPlan {
  const { keepOuts: keep, wires = [], ...limits } = search.run;
  const splices = laid.items.flatMap((item) => item.splices);
  const profile = bundleProfile(run.lengthMm, wires, splices);
  const peakMm = Math.max(0, ...profile.map((stretch) => stretch.diameterMm));
  const edges = [
    ...splices.flatMap((splice) => [splice.fromMm, splice.toMm]),
    ...here.filter(({ decision }) => decision.method ?? decision.cover).flatMap(({ decision }) => [decision.lost.fromMm, decision.lost.toMm]),
  ];
  const opened = edges.length > 0 ? { fromMm: Math.min(...edges), toMm: Math.max(...edges) } : undefined;
  const pairs = pairsOf(search.run.items, laid.items);
  return {
    runId: run.id,
    keepOuts: keep.map((one) => ({ ...one, fromMm: Math.max(0, one.fromMm), toMm: Math.min(run.lengthMm, one.toMm) })).filter((one) => one.toMm > one.fromMm),
    profile,
    peakMm,
    restMm: sectionAt(wires, []).diameterMm,
    lumpMm: splices.length > 0 ? lumpDiameterMm(wires, splices) : peakMm,
    conduitMm: conduitFor(peakMm),
    opened,
    broken: [
      ...brokenRules(splices, keep, limits, (splice) => `Circuit ${numberOf(splice.circuitId)} at ${Math.round(splice.centreMm)}`),
      ...pairs.flatMap((pair) => brokenPairRules(pair, untwistedAtMostMm, splices.filter((splice) => pair.circuitIds.includes(splice.circuitId)).map((splice) => splice.id), numberOf)),
    ],
    pairs,
    closing: closingOf(run, profile, opened, splices),
    reached: { objective: laid.objective, bound: laid.bound, open: laid.open },
  };
}

export interface LaidOutRuns {
  readonly runs: RunPlan[];
  readonly placed: ReadonlyMap<string, PlacedItem>;
  /** The decisions as they are made: some with two splices where one would have done. */
  readonly decided: readonly Decided[];
}

/** Every run with damage, laid out: where each finding's splices lie, and what the bundle looks like. */
export function layOutRuns(job: Job, index: JobIndex, decided: readonly Decided[], memory: Warm): LaidOutRuns {
  const placed = new Map<string, PlacedItem>();
  const two = new Map<string, Decided>();
  const numberOf = (circuitId: string): string => index.circuits.get(circuitId)?.number ?? circuitId;
  const runs = job.harness.runs.map((run): RunPlan => {
    const here = decided.filter((one) => one.decision.runId === run.id);
    const search = searchOf(run, decided, job, index, memory);
    for (const item of search.laid.items) placed.set(item.findingId, item);
    for (const [id, other] of search.two) two.set(id, other);
    return runPlanOf(run, search, search.laid, here, numberOf, memory.practice.figures.untwistedAtMostMm);
  });
  return { runs, placed, decided: decided.map((one) => asPlaced(one, placed.get(one.finding.id), two)) };
}
