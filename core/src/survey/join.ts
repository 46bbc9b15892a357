import {
  routeBetween,
  type Cable,
  type Circuit,
  type Harness,
  type HarnessNode,
  type Run,
  withSources,
} from '../harness/index.ts';
import { pairsOf, type JoinPlace, type SameCircuit } from './sameCircuits.ts';
import { EditRefused } from './types.ts';

/** What things of the other harness are called in the joined one. */
export interface JoinedIds {
  readonly nodes: ReadonlyMap<string, string>;
  readonly runs: ReadonlyMap<string, string>;
  readonly circuits: ReadonlyMap<string, string>;
}

export interface Joined {
  readonly harness: Harness;
  readonly ids: JoinedIds;
}

/** Words of a list, with others in the place of those that are taken: "Mark A" becomes "Mark A 2". */
function freeWords(taken: Iterable<string>, words: readonly string[], gap: string): Map<string, string> {
  const used = new Set([...taken].map((one) => one.toLowerCase()));
  const free = new Map<string, string>();
  for (const word of words) {
    let now = word;
    for (let count = 2; used.has(now.toLowerCase()); count += 1) now = `${word}${gap}${count}`;
    used.add(now.toLowerCase());
    free.set(word, now);
  }
  return free;
}

const NAMED: Readonly<Record<string, keyof JoinedIds>> = { nodeId: 'nodes', runId: 'runs', circuitId: 'circuits' };

/** Anything that names nodes, runs and circuits of the other harness, naming them as the joined one does. */
export function renamedIn<T>(value: T, ids: JoinedIds): T {
  if (Array.isArray(value)) return value.map((one: unknown) => renamedIn(one, ids)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inside]: [string, unknown]) => {
      const what = NAMED[key];
      return [key, what && typeof inside === 'string' ? (ids[what].get(inside) ?? inside) : renamedIn(inside, ids)];
    }),
  ) as T;
}

/** The end of a circuit that is not at a node. @throws EditRefused where neither of its ends is there */
function farEndOf(circuit: Circuit, nodeId: string, name: string): Circuit['from'] {
  if (circuit.to.nodeId === nodeId) return circuit.from;
  if (circuit.from.nodeId === nodeId) return circuit.to;
  throw new EditRefused(
    `Circuit ${circuit.number} does not end at ${name}.`,
    'Take another one, or leave it as it is.',
  );
}

/** The node that two become: a connector says more of itself than a mark. */
function oneNode(here: HarnessNode, there: HarnessNode): HarnessNode {
  const isMark = here.kind === 'end' && there.kind !== 'end';
  const fittings = { ...there.fittings, ...here.fittings };
  const { fittings: _, ...node } = isMark ? { ...there, id: here.id } : { ...there, ...here };
  return Object.keys(fittings).length === 0 ? node : { ...node, fittings };
}

/** A thing of the other harness under the id that it has in the joined one. */
const under = (ids: ReadonlyMap<string, string>, id: string): string => ids.get(id) ?? id;
/** Words of the other's things that are free beside those of the first. */
const freeBeside = <T>(here: readonly T[], there: readonly T[], wordOf: (one: T) => string, gap: string) =>
  freeWords(here.map(wordOf), there.map(wordOf), gap);
const idOf = ({ id }: { readonly id: string }): string => id;
const nameOf = ({ name }: { readonly name: string }): string => name;

/** Where the two meet, and what the other's things are called from now on. */
interface Meeting {
  readonly here: HarnessNode;
  readonly there: HarnessNode;
  readonly ids: JoinedIds;
  readonly pairs: ReturnType<typeof pairsOf>;
}

/** @throws EditRefused where a node is not there, or two circuits cannot be one */
function meetingOf(a: Harness, b: Harness, at: JoinPlace, same: readonly SameCircuit[]): Meeting {
  const here = a.nodes.find(({ id }) => id === at.nodeId);
  const there = b.nodes.find(({ id }) => id === at.otherNodeId);
  if (!here || !there)
    throw new EditRefused(
      `${here ? b.name : a.name} has no node "${here ? at.otherNodeId : at.nodeId}".`,
      'Pick a mark or a connector of each.',
    );
  const pairs = pairsOf(a, b, same);
  const partner = new Map(same.map(({ circuitId, otherCircuitId }) => [otherCircuitId, circuitId]));
  const nodes = freeBeside(
    a.nodes,
    b.nodes.filter((node) => node !== there),
    idOf,
    '-',
  );
  nodes.set(there.id, here.id);
  const circuits = freeBeside(
    a.circuits,
    b.circuits.filter(({ id }) => !partner.has(id)),
    idOf,
    '-',
  );
  partner.forEach((circuitId, otherId) => circuits.set(otherId, circuitId));
  return { here, there, pairs, ids: { nodes, circuits, runs: freeBeside(a.runs, b.runs, idOf, '-') } };
}

/** The nodes of both, the one where they meet once. */
function joinedNodes(a: Harness, b: Harness, { here, there, ids }: Meeting): HarnessNode[] {
  const others = b.nodes.filter((node) => node !== there);
  const names = freeBeside(a.nodes, others, nameOf, ' ');
  return [
    ...a.nodes.map((node) => (node === here ? oneNode(here, there) : node)),
    ...others.map((node) => ({ ...node, id: under(ids.nodes, node.id), name: under(names, node.name) })),
  ];
}

const joinedRuns = (a: Harness, b: Harness, { ids }: Meeting): Run[] => [
  ...a.runs,
  ...b.runs.map((run) => ({
    ...run,
    id: under(ids.runs, run.id),
    fromNodeId: under(ids.nodes, run.fromNodeId),
    toNodeId: under(ids.nodes, run.toNodeId),
  })),
];

/** The first one's circuits; one that goes on in the other reaches to where that ends. */
const ownCircuits = (a: Harness, runs: readonly Run[], { here, there, ids, pairs }: Meeting): Circuit[] =>
  a.circuits.map((circuit): Circuit => {
    const other = pairs.get(circuit.id)?.there;
    if (!other) return circuit;
    const from = farEndOf(circuit, here.id, here.name);
    const to = renamedIn(farEndOf(other, there.id, there.name), ids);
    const fuseA = circuit.fuseA ?? other.fuseA;
    const loadA = circuit.loadA ?? other.loadA;
    const along = [...circuit.runIds, ...other.runIds.map((id) => under(ids.runs, id))];
    return {
      ...circuit,
      from,
      to,
      runIds: routeBetween(runs, from.nodeId, to.nodeId) ?? along,
      ...(fuseA === undefined ? {} : { fuseA }),
      ...(loadA === undefined ? {} : { loadA }),
    };
  });

/**
 * Seats ends of the other's circuits where the two meet: at a mark each beside those that are there, at a connector in a
 * cavity that is free.
 */
function seats({ here, there, ids }: Meeting, kept: readonly Circuit[], otherName: string) {
  const taken = new Set(
    kept.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.nodeId === here.id ? [end.cavity] : [])),
  );
  const isConnector = here.kind === 'connector' || there.kind === 'connector';
  return (end: Circuit['from'], number: string): Circuit['from'] => {
    if (end.nodeId !== there.id) return renamedIn(end, ids);
    if (taken.has(end.cavity) && isConnector)
      throw new EditRefused(
        `Cavity ${end.cavity} of ${here.name} has a wire in both: circuit ${number} of ${otherName} is one too many.`,
        'Say which circuits are one, or correct a cavity first.',
      );
    const cavity = under(freeWords(taken, [end.cavity], '-'), end.cavity);
    taken.add(cavity);
    return { nodeId: here.id, cavity };
  };
}

/** The circuits of both. @throws EditRefused where two wires would share a cavity */
function joinedCircuits(a: Harness, b: Harness, runs: readonly Run[], meeting: Meeting): Circuit[] {
  const { ids, pairs } = meeting;
  const kept = ownCircuits(a, runs, meeting);
  const goesOn = new Set([...pairs.values()].map(({ there }) => there.id));
  const others = b.circuits.filter(({ id }) => !goesOn.has(id));
  const numbers = freeBeside(a.circuits, others, ({ number }) => number, '-');
  const seated = seats(meeting, kept, b.name);
  return [
    ...kept,
    ...others.map((circuit): Circuit => ({
      ...circuit,
      id: under(ids.circuits, circuit.id),
      number: under(numbers, circuit.number),
      from: seated(circuit.from, circuit.number),
      to: seated(circuit.to, circuit.number),
      runIds: circuit.runIds.map((id) => under(ids.runs, id)),
      ...(circuit.pairWith === undefined ? {} : { pairWith: under(ids.circuits, circuit.pairWith) }),
    })),
  ];
}

function joinedCables({ cables: here = [] }: Harness, { cables: there = [] }: Harness, { ids }: Meeting): Cable[] {
  const free = freeBeside(here, there, idOf, '-');
  const names = freeBeside(here, there, nameOf, ' ');
  return [
    ...here,
    ...there.map((cable) => ({
      ...cable,
      id: under(free, cable.id),
      name: under(names, cable.name),
      runIds: cable.runIds.map((id) => under(ids.runs, id)),
      coreIds: cable.coreIds.map((id) => under(ids.circuits, id)),
    })),
  ];
}

/**
 * Two harnesses made one, which meet in a node: the other one's runs hang on it from there, circuits that go on in it
 * become one, and what is called alike gets a name of its own.
 * @throws EditRefused where a node or a circuit is not there, two wires that are said to be one cannot be, or one is
 * said to be two
 */
export function joinHarnesses(a: Harness, b: Harness, at: JoinPlace, same: readonly SameCircuit[]): Joined {
  const meeting = meetingOf(a, b, at, same);
  const runs = joinedRuns(a, b, meeting);
  const { cables: _, ...rest } = a;
  const sources = withSources(a.sources ?? [], b.sources ?? []);
  const cables = joinedCables(a, b, meeting);
  return {
    ids: meeting.ids,
    harness: {
      ...rest,
      nodes: joinedNodes(a, b, meeting),
      runs,
      circuits: joinedCircuits(a, b, runs, meeting),
      ...(cables.length === 0 ? {} : { cables }),
      ...(sources.length === 0 ? {} : { sources }),
    },
  };
}
