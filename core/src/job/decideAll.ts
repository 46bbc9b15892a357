import { decide, runFacts, type DecideInput, type RunFacts } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Circuit, Run } from '../harness/index.ts';
import { readyShelf } from '../method/index.ts';
import type { Practice } from '../practice/index.ts';
import type { Decided, Job } from './types.ts';

/** A job's things by id, made once for a plan. */
export interface JobIndex {
  readonly circuits: ReadonlyMap<string, Circuit>;
  readonly runs: ReadonlyMap<string, Run>;
  readonly nodes: ReadonlyMap<string, Job['harness']['nodes'][number]>;
  readonly inRun: ReadonlyMap<string, readonly Circuit[]>;
  /** Circuits with an end at a node. */
  readonly atNode: ReadonlyMap<string, readonly Circuit[]>;
}

const byId = <T extends { readonly id: string }>(items: readonly T[]): Map<string, T> => new Map(items.map((item) => [item.id, item]));

export function indexJob(job: Job): JobIndex {
  const { harness } = job;
  return {
    circuits: byId(harness.circuits),
    runs: byId(harness.runs),
    nodes: byId(harness.nodes),
    atNode: new Map(harness.nodes.map((node) => [node.id, harness.circuits.filter((circuit) => circuit.from.nodeId === node.id || circuit.to.nodeId === node.id)])),
    inRun: new Map(harness.runs.map((run) => [run.id, harness.circuits.filter((circuit) => circuit.runIds.includes(run.id))])),
  };
}

/** The finding on the pair's other wire in the same run, if that is damaged too. */
export function mateOf(finding: Finding, job: Job, index: JobIndex): Finding | undefined {
  const circuit = index.circuits.get(finding.circuitId);
  const mates = job.findings.filter((other) => {
    const otherCircuit = index.circuits.get(other.circuitId);
    return other.runId === finding.runId && otherCircuit && circuit && (circuit.pairWith === otherCircuit.id || otherCircuit.pairWith === circuit.id);
  });
  const middle = (one: Finding): number => (one.fromMm + one.toMm) / 2;
  return mates.sort((a, b) => Math.abs(middle(a) - middle(finding)) - Math.abs(middle(b) - middle(finding)))[0];
}

/** Parts that begun work has taken count as there for it. */
const stillThere = (catalogue: Catalogue, partIds: readonly string[]): Catalogue => ({
  ...catalogue, parts: catalogue.parts.map((part) => (partIds.includes(part.id) && part.quantity < TAKEN ? { ...part, quantity: TAKEN } : part)),
});
const TAKEN = 2;

/** Decides about every finding; where one wire of a pair needs two splices, the other gets two as well. */
export function decideAll(job: Job, index: JobIndex, practice: Practice, catalogue: Catalogue): Decided[] {
  const facts = new Map<string, RunFacts>();
  const shelf = readyShelf(catalogue, practice);
  const factsOf = (run: Run): RunFacts => {
    const known = facts.get(run.id) ?? runFacts(run, index.inRun.get(run.id) ?? []);
    facts.set(run.id, known);
    return known;
  };
  const inputOf = (finding: Finding, pairNeedsTwo: boolean): { input: DecideInput; circuit: Circuit } | undefined => {
    const circuit = index.circuits.get(finding.circuitId);
    const run = index.runs.get(finding.runId);
    if (!circuit || !run) return undefined;
    const held = job.held?.find((one) => one.findingId === finding.id);
    const heldCatalogue = held && stillThere(catalogue, held.partIds);
    const shared = factsOf(run);
    const circuitsInRun = index.inRun.get(run.id) ?? [];
    const others = circuit.runIds.filter((id) => id !== run.id).flatMap((id) => index.runs.get(id) ?? []);
    return {
      circuit,
      input: {
        finding, circuit, run, nodes: index.nodes, circuitsInRun, siblings: job.findings, practice, catalogue: heldCatalogue ?? catalogue, shelf: heldCatalogue ? readyShelf(heldCatalogue, practice) : shelf, gate: job.gate, circuitsAt: (nodeId) => index.atNode.get(nodeId) ?? [], mappings: job.mappings ?? [],
        choice: job.choices.filter((choice) => choice.findingId === finding.id).at(-1),
        held, redos: job.redos, asOf: job.asOf, pairNeedsTwo, runFacts: shared,
        elsewhere: others.map((other) => ({ where: other.name, facts: factsOf(other) })),
      },
    };
  };
  const first = job.findings.flatMap((finding): Decided[] => {
    const made = inputOf(finding, false);
    return made ? [{ finding, circuit: made.circuit, decision: decide(made.input) }] : [];
  });
  const approachOf = new Map(first.map((one) => [one.finding.id, one.decision.approach]));
  return first.map((one) => {
    if (one.decision.approach !== 'oneSplice') return one;
    const mate = mateOf(one.finding, job, index);
    if (!mate || approachOf.get(mate.id) !== 'insert') return one;
    const made = inputOf(one.finding, true);
    return made ? { ...one, decision: decide(made.input) } : one;
  });
}
