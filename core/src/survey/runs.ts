import {
  cablesAlong,
  farthestOn,
  LONGEST_MM,
  NOT_MEASURED_MM,
  routeBetween,
  runLengthInWords,
  type Circuit,
  type Feature,
  type HarnessNode,
  type Run,
} from '../harness/index.ts';
import { figure } from '../units/index.ts';
import { setLength } from './lengths.ts';
import { inOrder, measured, nodeOf, on, runOf, runsAt } from './state.ts';
import { mustBeMeasured, partedAt, together, turned, type OnRun } from './stretches.ts';
import { EditRefused, type Surveyed } from './types.ts';

/** Circuits with the runs that they take now, in the order of their way. */
const rerouted = (
  circuits: readonly Circuit[],
  runs: readonly Run[],
  idsOf: (ids: readonly string[]) => readonly string[],
): Circuit[] =>
  circuits.map((circuit) => {
    const runIds = idsOf(circuit.runIds);
    const way = routeBetween(runs, circuit.from.nodeId, circuit.to.nodeId);
    const same = way?.length === runIds.length && way.every((id) => runIds.includes(id));
    return { ...circuit, runIds: same ? way : runIds };
  });

const atMost = (run: Run): string =>
  run.atLeast === true ? `at most ${figure(LONGEST_MM)} mm` : runLengthInWords(run);

/** Sets a node into a run. @throws EditRefused outside the run, on an id that is taken, in the middle of a finding */
export function splitRun(
  state: Surveyed,
  runId: string,
  atMm: number,
  node: HarnessNode,
  newRunId: string,
  newName: string,
): Surveyed {
  const { harness } = state;
  const run = runOf(state, runId);
  const farthestMm = farthestOn(run) - 1;
  if (!(atMm >= 1 && atMm <= farthestMm))
    throw new EditRefused(
      `${node.name} at ${figure(atMm)} mm is not on ${run.name}, which is ${atMost(run)} long.`,
      `Put it between 1 and ${figure(farthestMm)} mm.`,
    );
  if (harness.nodes.some((one) => one.id === node.id) || harness.runs.some((one) => one.id === newRunId))
    throw new EditRefused(
      `The id ${harness.runs.some((one) => one.id === newRunId) ? newRunId : node.id} is taken.`,
      'Use another.',
    );
  const { first, second } = partedAt(on(state, run), atMm, run.id, newRunId, node.name);
  const before: Run = { ...measured(run, atMm), toNodeId: node.id, features: first.features };
  const behind: Run = {
    ...run,
    id: newRunId,
    name: newName,
    fromNodeId: node.id,
    lengthMm: Math.max(NOT_MEASURED_MM, run.lengthMm - atMm),
    features: second.features,
  };
  const runs = harness.runs.flatMap((one) => (one.id === run.id ? [before, behind] : [one]));
  const circuits = rerouted(harness.circuits, runs, (ids) =>
    ids.flatMap((id) => (id === run.id ? [run.id, newRunId] : [id])),
  );
  return {
    harness: { ...harness, nodes: [...harness.nodes, node], runs, circuits },
    findings: inOrder(state, [...first.findings, ...second.findings]),
  };
}

/** What is left of a node that was taken out: a clip or grommet stays a thing along the run. */
function leftBy(node: HarnessNode, atMm: number, features: readonly Feature[]): Feature[] {
  const { kind } = node;
  if (kind !== 'clip' && kind !== 'grommet') return [];
  return features.some((feature) => feature.kind === kind && feature.fromMm <= atMm && feature.toMm >= atMm)
    ? []
    : [{ kind, name: node.name, fromMm: atMm, toMm: atMm }];
}

/**
 * Takes a node out between two runs, which become one. @throws EditRefused where more or fewer meet, a circuit ends, or
 * the runs differ
 */
export function joinRuns(state: Surveyed, nodeId: string): Surveyed {
  const { harness } = state;
  const node = nodeOf(state, nodeId);
  const [a, b, ...more] = runsAt(state, nodeId);
  if (!a || !b || more.length > 0)
    throw new EditRefused(
      `${more.length + (a ? 1 : 0) + (b ? 1 : 0)} runs meet at ${node.name}; two can be joined.`,
      'Remove or join the others first.',
    );
  const ending = harness.circuits.find((circuit) => circuit.from.nodeId === nodeId || circuit.to.nodeId === nodeId);
  if (ending) throw new EditRefused(`Circuit ${ending.number} ends at ${node.name}.`, 'Give it another end first.');
  const cablesOf = (runId: string): string =>
    cablesAlong(harness.cables, runId)
      .map(({ id }) => id)
      .join(' ');
  const alone = harness.circuits.find((circuit) => circuit.runIds.includes(a.id) !== circuit.runIds.includes(b.id));
  if (alone)
    throw new EditRefused(
      `Circuit ${alone.number} goes through ${alone.runIds.includes(a.id) ? a.name : b.name} and not through ${alone.runIds.includes(a.id) ? b.name : a.name}.`,
      'Runs are joined where the same circuits go through both.',
    );
  if (
    JSON.stringify(a.zone) !== JSON.stringify(b.zone) ||
    a.conduitInsideMm !== b.conduitInsideMm ||
    cablesOf(a.id) !== cablesOf(b.id)
  )
    throw new EditRefused(
      `${a.name} and ${b.name} are in different zones, conduits or cables.`,
      'Make zone, conduit and cable of both alike first, or leave them two.',
    );
  const firstWay = a.toNodeId === nodeId ? a : b.toNodeId === nodeId ? b : undefined;
  const first = firstWay ? { run: firstWay, on: on(state, firstWay) } : turned(a, on(state, a));
  mustBeMeasured(first.run);
  const other = first.run.id === a.id ? b : a;
  const second = other.fromNodeId === nodeId ? { run: other, on: on(state, other) } : turned(other, on(state, other));
  const joined = together(first.on, second.on, first.run.lengthMm, a.id);
  const features = [...joined.features, ...leftBy(node, first.run.lengthMm, joined.features)];
  const run: Run = {
    ...measured(a, first.run.lengthMm + second.run.lengthMm),
    ...(second.run.atLeast ? { atLeast: true } : {}),
    fromNodeId: first.run.fromNodeId,
    toNodeId: second.run.toNodeId,
    features,
  };
  const runs = harness.runs.flatMap((one) => (one.id === a.id ? [run] : one.id === b.id ? [] : [one]));
  const circuits = rerouted(harness.circuits, runs, (ids) => ids.filter((id) => id !== b.id));
  return {
    harness: { ...harness, nodes: harness.nodes.filter((one) => one.id !== nodeId), runs, circuits },
    findings: inOrder(state, joined.findings),
  };
}

/** The run by which a node is reached from the first node of the harness; none for that node itself. */
function runTowardsStart(state: Surveyed, nodeId: string): Run | undefined {
  const start = state.harness.runs[0]?.fromNodeId;
  if (start === undefined || start === nodeId) return undefined;
  const way = routeBetween(state.harness.runs, start, nodeId);
  return state.harness.runs.find((run) => run.id === way?.at(-1));
}

/** Seen so that it ends (or starts) at a node, with whether it had to be turned for that. */
function facing(
  state: Surveyed,
  run: Run,
  nodeId: string,
  as: 'end' | 'start',
): { readonly run: Run; readonly on: OnRun; readonly isTurned: boolean } {
  const fits = as === 'end' ? run.toNodeId === nodeId : run.fromNodeId === nodeId;
  return fits ? { run, on: on(state, run), isTurned: false } : { ...turned(run, on(state, run)), isTurned: true };
}

/**
 * Slides a node along its line: the run before it grows by `byMm`, the first one behind it shrinks by as much, and
 * everything found or fixed along the line keeps its place. At an end only the run before it grows.
 * @throws EditRefused for the first node, past the line's ends, or when a finding would come to lie on a run that its
 * circuit does not take
 */
export function moveNode(state: Surveyed, nodeId: string, byMm: number): Surveyed {
  const { harness } = state;
  const node = nodeOf(state, nodeId);
  const before = runTowardsStart(state, nodeId);
  if (!before)
    throw new EditRefused(`${node.name} is where the distances start.`, 'Change the length of its run instead.');
  const behind = runsAt(state, nodeId).find((run) => run.id !== before.id);
  mustBeMeasured(before);
  if (behind) mustBeMeasured(behind);
  if (!behind) return setLength(state, before.id, before.lengthMm + byMm);
  const [a, b] = [facing(state, before, nodeId, 'end'), facing(state, behind, nodeId, 'start')];
  const atMm = a.run.lengthMm + byMm;
  const wholeMm = a.run.lengthMm + b.run.lengthMm;
  if (!(atMm >= 1 && atMm <= wholeMm - 1))
    throw new EditRefused(
      `${node.name} cannot go to ${figure(atMm)} mm: its line is ${figure(wholeMm)} mm long.`,
      `Keep it between 1 and ${figure(wholeMm - 1)} mm.`,
    );
  const line = together(a.on, b.on, a.run.lengthMm, before.id);
  const parted = partedAt(line, atMm, before.id, behind.id, node.name);
  for (const finding of [...parted.first.findings, ...parted.second.findings]) {
    const circuit = harness.circuits.find((one) => one.id === finding.circuitId);
    const run = finding.runId === before.id ? before : behind;
    if (circuit && !circuit.runIds.includes(finding.runId))
      throw new EditRefused(
        `The finding on circuit ${circuit.number} would come to lie on ${run.name}, where that circuit does not go.`,
        'Move the node less far, or correct the finding first.',
      );
  }
  const back = (side: typeof a, part: OnRun, lengthMm: number): { readonly run: Run; readonly on: OnRun } => {
    const now = { run: { ...side.run, lengthMm, features: part.features }, on: part };
    return side.isTurned ? turned(now.run, now.on) : now;
  };
  const [first, second] = [back(a, parted.first, atMm), back(b, parted.second, wholeMm - atMm)];
  const runs = harness.runs.map((run) => (run.id === before.id ? first.run : run.id === behind.id ? second.run : run));
  return { harness: { ...harness, runs }, findings: inOrder(state, [...first.on.findings, ...second.on.findings]) };
}
