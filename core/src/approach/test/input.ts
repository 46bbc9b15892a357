import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { readyShelf } from '../../method/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import { jobWith, wire, type CaseOptions } from '../../test/samples.ts';
import { electricalOf, runFacts } from '../electrical.ts';
import type { DecideInput, Electrical } from '../types.ts';
import { at } from './atCavity.ts';

export interface InputOf extends CaseOptions {
  readonly terminal?: '2.8' | '0.64';
  readonly finding?: object;
}
/** Everything that deciding looks at, for circuit 1 of 1.5 mm² with a finding in its cavity at X2. */
export function inputOf({ terminal = '2.8', finding = {}, ...options }: InputOf = {}): DecideInput {
  const all: CaseOptions = { circuits: [{ wire: wire(1.5) }], ...options };
  const { harness } = jobWith([], all);
  const [run, circuit] = [harness.runs[0]!, harness.circuits[0]!];
  const nodes = new Map(
    harness.nodes.map((node): [string, HarnessNode] => [
      node.id,
      node.id === 'X2' ? { ...node, fittings: { 1: { terminal } } } : node,
    ]),
  );
  const practice = all.practice ?? CRIMP_FIRST;
  const catalogue: Catalogue = all.catalogue ?? FULL_SHELF;
  const found = at('cutFlush', finding);
  return {
    finding: found,
    circuit,
    run,
    nodes,
    practice,
    catalogue,
    shelf: readyShelf(catalogue, practice),
    gate: {},
    redos: [],
    siblings: [found],
    foundAt: () => [found],
    circuitsInRun: [circuit],
    circuitsAt: () => [circuit],
    mappings: [],
    runs: harness.runs,
    elsewhere: [],
    runFacts: runFacts(run, [circuit]),
    factsAlong: (one) => runFacts(one, [circuit]),
    share: { takes: [], cutsOut: [], slackMm: 0, slackKnown: true, othersTakeMm: 0 },
  };
}

/** The electrical standing of its circuit. */
export const electrical = (input: DecideInput): Electrical => electricalOf(input.circuit, input.runFacts);
