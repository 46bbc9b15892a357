import { isAtCavity, type Finding } from '../damage/index.ts';
import type { Cable, Circuit, Run } from '../harness/index.ts';
import type { Job } from './types.ts';

/** A job's things by id, made once for a plan. */
export interface JobIndex {
  readonly circuits: ReadonlyMap<string, Circuit>;
  readonly runs: ReadonlyMap<string, Run>;
  readonly nodes: ReadonlyMap<string, Job['harness']['nodes'][number]>;
  readonly inRun: ReadonlyMap<string, readonly Circuit[]>;
  /** Circuits with an end at a node. */
  readonly atNode: ReadonlyMap<string, readonly Circuit[]>;
  /** Findings by circuit; the circuit that names another as its pair, by the other; findings at a node. */
  readonly onCircuit: ReadonlyMap<string, readonly Finding[]>;
  readonly pairedBy: ReadonlyMap<string, string>;
  readonly foundAt: ReadonlyMap<string, readonly Finding[]>;
  readonly cables: readonly Cable[];
}

const NO_CABLES: readonly Cable[] = [];

const byId = <T extends { readonly id: string }>(items: readonly T[]): Map<string, T> =>
  new Map(items.map((item) => [item.id, item]));

/** Things by a key, in their order; those without one are left out. */
export function groupBy<T>(items: readonly T[], keyOf: (item: T) => string | undefined): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    if (key === undefined) continue;
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}

export function indexJob(job: Job): JobIndex {
  const { harness } = job;
  return {
    circuits: byId(harness.circuits),
    cables: harness.cables ?? NO_CABLES,
    runs: byId(harness.runs),
    nodes: byId(harness.nodes),
    pairedBy: new Map(
      harness.circuits.flatMap((circuit) =>
        circuit.pairWith === undefined ? [] : [[circuit.pairWith, circuit.id] as const],
      ),
    ),
    onCircuit: groupBy(job.findings, (finding) => finding.circuitId),
    foundAt: groupBy(job.findings, (finding) => (isAtCavity(finding) ? finding.at.nodeId : undefined)),
    atNode: new Map(
      harness.nodes.map((node) => [
        node.id,
        harness.circuits.filter((circuit) => circuit.from.nodeId === node.id || circuit.to.nodeId === node.id),
      ]),
    ),
    inRun: new Map(
      harness.runs.map((run) => [run.id, harness.circuits.filter((circuit) => circuit.runIds.includes(run.id))]),
    ),
  };
}

/** The finding on the pair's other wire in the same run, if that is damaged too. */
export function mateOf(finding: Finding, index: JobIndex): Finding | undefined {
  const circuit = index.circuits.get(finding.circuitId);
  if (!circuit) return undefined;
  const other = circuit.pairWith ?? index.pairedBy.get(circuit.id);
  if (other === undefined) return undefined;
  const mates = (index.onCircuit.get(other) ?? []).filter((one) => one.runId === finding.runId);
  const middle = (one: Finding): number => (one.fromMm + one.toMm) / 2;
  return [...mates].sort((a, b) => Math.abs(middle(a) - middle(finding)) - Math.abs(middle(b) - middle(finding)))[0];
}
