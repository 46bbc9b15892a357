import {
  aloneOnWire,
  decide,
  runFacts,
  withShield,
  type DecideInput,
  type Decision,
  type BegunWork,
  type RunFacts,
  type WorkShare,
} from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import { isJacketOnly, type Finding } from '../damage/index.ts';
import { besideAlong, beyondOf, cableOf, isShielded, type Cable, type Circuit, type Run } from '../harness/index.ts';
import type { LaidOut } from '../layout/index.ts';
import { readyShelf, type ReadyShelf } from '../method/index.ts';
import type { Practice } from '../practice/index.ts';
import { mateOf, type Job, type JobIndex } from '../job/index.ts';
import { begunBeside, isAsBegun, onlyTaken, stillThere } from './begun.ts';
import type { Decided } from './types.ts';

/**
 * What deciding remembers between plans of one practice and shelf: the shelf made ready, and what the circuits of each
 * run share.
 */
export interface Warm {
  readonly practice: Practice;
  readonly catalogue: Catalogue;
  readonly shelf: ReadyShelf;
  /** Runs laid out, by all that their layout depends on. */
  readonly layouts: Map<string, LaidOut>;
  readonly facts: WeakMap<
    Run,
    { readonly circuits: readonly Circuit[]; readonly cables: readonly Cable[]; readonly facts: RunFacts }
  >;
}

/** Nothing remembered yet. */
export const warm = (practice: Practice, catalogue: Catalogue): Warm => ({
  practice,
  catalogue,
  shelf: readyShelf(catalogue, practice),
  layouts: new Map(),
  facts: new WeakMap(),
});

const sameList = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((item, index) => item === b[index]);

function factsOf(run: Run, index: JobIndex, memory: Warm): RunFacts {
  const circuits = index.inRun.get(run.id) ?? [];
  const known = memory.facts.get(run);
  const { cables } = index;
  if (known && known.cables === cables && sameList(known.circuits, circuits)) return known.facts;
  const facts = runFacts(run, circuits, cables);
  memory.facts.set(run, { circuits, cables, facts });
  return facts;
}

/**
 * Begun work goes on with the parts it was begun with; only where that is no longer possible anything on the shelf may
 * serve.
 */
function asItWasBegun(held: BegunWork, shop: Catalogue, decideWith: (catalogue: Catalogue) => Decision): Decision {
  const same = decideWith(onlyTaken(shop, held));
  return isAsBegun(same, held) ? same : decideWith(stillThere(shop, held));
}

/** Decides about one finding; nothing when its circuit or run is not there. */
export function decideOne(
  finding: Finding,
  job: Job,
  index: JobIndex,
  memory: Warm,
  needsTwo?: DecideInput['needsTwo'],
  share: WorkShare = aloneOnWire(finding),
): Decided | undefined {
  const circuit = index.circuits.get(finding.circuitId);
  const run = index.runs.get(finding.runId);
  if (!circuit || !run) return undefined;
  const { practice } = memory;
  const held = job.held?.find((one) => one.findingId === finding.id);
  const others = circuit.runIds.filter((id) => id !== run.id).flatMap((id) => index.runs.get(id) ?? []);
  // What is made past an end of the run stays there, whatever has become of the place since.
  const isMadePast = job.pins.some((pin) => pin.findingId === finding.id && pin.runId !== undefined);
  const beyond =
    others.length === 0
      ? undefined
      : isMadePast
        ? besideAlong(circuit, run, index.runs)
        : beyondOf(circuit, run, index.runs, index.nodes);
  const input: DecideInput = {
    finding,
    share,
    circuit,
    run,
    nodes: index.nodes,
    cable: cableOf(index.cables, circuit.id, run.id),
    circuitsInRun: index.inRun.get(run.id) ?? [],
    siblings: index.onCircuit.get(circuit.id) ?? [],
    foundAt: (nodeId) => index.foundAt.get(nodeId) ?? [],
    practice,
    catalogue: memory.catalogue,
    shelf: memory.shelf,
    gate: job.gate,
    circuitsAt: (nodeId) => index.atNode.get(nodeId) ?? [],
    mappings: job.mappings ?? [],
    choice: job.choices.filter((choice) => choice.findingId === finding.id).at(-1),
    held,
    redos: job.redos,
    asOf: job.asOf,
    needsTwo,
    beyond,
    otherColours: held ? (held.otherColours ?? true) : job.layout?.otherColours,
    runFacts: factsOf(run, index, memory),
    factsAlong: (one) => factsOf(one, index, memory),
    runs: job.harness.runs,
    elsewhere: others.map((other) => ({ where: other.name, facts: factsOf(other, index, memory) })),
  };
  const shield = shieldJoinedHere(finding, circuit, index, practice);
  const decideWith = (catalogue: Catalogue, shelf = readyShelf(catalogue, practice)): Decision =>
    withShield(decide({ ...input, catalogue, shelf }), shield, shelf);
  const beside = held ? undefined : begunBeside(finding, job, index, memory.catalogue);
  const decision = held
    ? asItWasBegun(held, memory.catalogue, decideWith)
    : beside
      ? decideWith(onlyTaken(memory.catalogue, beside))
      : decideWith(memory.catalogue, memory.shelf);
  return {
    finding,
    circuit,
    share,
    decision,
    ...(needsTwo === undefined ? {} : { needsTwo }),
  };
}

/**
 * The shield that is joined with this finding: of a pair in one shield whose wires are both cut here, no further apart
 * than a pair may lie untwisted, with the first of the two only. None of a circuit that lies in none.
 */
function shieldJoinedHere(finding: Finding, circuit: Circuit, index: JobIndex, practice: Practice): Circuit['shield'] {
  if (!isShielded(circuit)) return undefined;
  const own = circuit.shield ?? {};
  const mate = mateOf(finding, index);
  const other = mate && index.circuits.get(mate.circuitId);
  if (!mate || !other || !isShielded(other) || isJacketOnly(mate)) return own;
  // Cut far from each other, the shield is opened at both places, and joined at both.
  const apartMm = Math.max(mate.fromMm - finding.toMm, finding.fromMm - mate.toMm);
  if (apartMm > practice.figures.untwistedAtMostMm) return own;
  const order = [...index.circuits.keys()];
  return order.indexOf(circuit.id) < order.indexOf(other.id) ? own : undefined;
}
