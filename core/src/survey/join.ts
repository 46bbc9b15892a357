import { routeBetween, type Circuit, type Harness, type HarnessNode } from '../harness/index.ts';
import { areaMm2, colourInWords, sizeInWords } from '../wire/index.ts';
import { EditRefused } from './types.ts';

/** Where two harnesses are one: a node of the first is a node of the other. */
export interface JoinPlace {
  readonly nodeId: string;
  readonly otherNodeId: string;
}

/** A circuit of the first that goes on as a circuit of the other. */
export interface SameCircuit {
  readonly circuitId: string;
  readonly otherCircuitId: string;
}

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

const idsOf = (things: readonly { readonly id: string }[]): string[] => things.map(({ id }) => id);
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

/** Two wires that may be one: the same copper and the same colours. */
const isAlike = (a: Circuit, b: Circuit): boolean =>
  Math.abs(areaMm2(a.wire.size) - areaMm2(b.wire.size)) < 1e-9 &&
  colourInWords(a.wire.colour) === colourInWords(b.wire.colour);
const inWords = ({ number, wire }: Circuit): string =>
  `circuit ${number}, ${sizeInWords(wire.size)} ${colourInWords(wire.colour)},`;

const endingAt = ({ circuits }: Harness, nodeId: string): readonly Circuit[] =>
  circuits.filter(({ from, to }) => from.nodeId === nodeId || to.nodeId === nodeId);

/** Circuits that may be one, each with the only one that looks like it on the other side. */
export function proposeSame(a: Harness, b: Harness, { nodeId, otherNodeId }: JoinPlace): SameCircuit[] {
  const [here, there] = [endingAt(a, nodeId), endingAt(b, otherNodeId)];
  return here.flatMap((circuit) => {
    const alike = there.filter((other) => isAlike(circuit, other));
    const [only] = alike;
    return only && alike.length === 1 && here.filter((one) => isAlike(one, only)).length === 1
      ? [{ circuitId: circuit.id, otherCircuitId: only.id }]
      : [];
  });
}

/** The node that two become: a connector says more of itself than a mark. */
function oneNode(here: HarnessNode, there: HarnessNode): HarnessNode {
  const isMark = here.kind === 'end' && there.kind !== 'end';
  const fittings = { ...there.fittings, ...here.fittings };
  const { fittings: _, ...node } = isMark ? { ...there, id: here.id } : { ...there, ...here };
  return Object.keys(fittings).length === 0 ? node : { ...node, fittings };
}

/**
 * Two harnesses made one, which meet in a node: the other one's runs hang on it from there, circuits that go on in it
 * become one, and what is called alike gets a name of its own.
 * @throws EditRefused where a node or a circuit is not there, or two wires that are said to be one cannot be
 */
export function joinHarnesses(a: Harness, b: Harness, at: JoinPlace, same: readonly SameCircuit[]): Joined {
  const here = a.nodes.find(({ id }) => id === at.nodeId);
  const there = b.nodes.find(({ id }) => id === at.otherNodeId);
  if (!here || !there)
    throw new EditRefused(
      `${here ? b.name : a.name} has no node "${here ? at.otherNodeId : at.nodeId}".`,
      'Pick a mark or a connector of each.',
    );
  const nodes = freeWords(idsOf(a.nodes), idsOf(b.nodes.filter((node) => node !== there)), '-');
  nodes.set(there.id, here.id);
  const runs = freeWords(idsOf(a.runs), idsOf(b.runs), '-');
  const partner = new Map(same.map(({ circuitId, otherCircuitId }) => [otherCircuitId, circuitId]));
  const own = b.circuits.filter(({ id }) => !partner.has(id));
  const circuits = freeWords(idsOf(a.circuits), idsOf(own), '-');
  partner.forEach((circuitId, otherId) => circuits.set(otherId, circuitId));
  const ids: JoinedIds = { nodes, runs, circuits };

  const names = freeWords(
    a.nodes.map(({ name }) => name),
    b.nodes.flatMap((node) => (node === there ? [] : [node.name])),
    ' ',
  );
  const numbers = freeWords(
    a.circuits.map(({ number }) => number),
    own.map(({ number }) => number),
    '-',
  );
  const allRuns = [
    ...a.runs,
    ...b.runs.map((run) => ({
      ...run,
      id: runs.get(run.id) ?? run.id,
      fromNodeId: nodes.get(run.fromNodeId) ?? run.fromNodeId,
      toNodeId: nodes.get(run.toNodeId) ?? run.toNodeId,
    })),
  ];
  const runIdsOf = (circuit: Circuit): string[] => circuit.runIds.map((id) => runs.get(id) ?? id);
  const asOne = (circuit: Circuit): Circuit => {
    const otherId = same.find(({ circuitId }) => circuitId === circuit.id)?.otherCircuitId;
    if (otherId === undefined) return circuit;
    const other = b.circuits.find(({ id }) => id === otherId);
    if (!other) throw new EditRefused(`${b.name} has no circuit "${otherId}".`, 'Pick one that ends there.');
    if (!isAlike(circuit, other))
      throw new EditRefused(
        `${inWords(circuit)} cannot go on as ${inWords(other)}`.replace(/,$/, '.'),
        'Leave them two, or correct the wire of one first.',
      );
    const from = farEndOf(circuit, here.id, here.name);
    const to = renamedIn(farEndOf(other, there.id, there.name), ids);
    const fuseA = circuit.fuseA ?? other.fuseA;
    const loadA = circuit.loadA ?? other.loadA;
    return {
      ...circuit,
      from,
      to,
      runIds: routeBetween(allRuns, from.nodeId, to.nodeId) ?? [...circuit.runIds, ...runIdsOf(other)],
      ...(fuseA === undefined ? {} : { fuseA }),
      ...(loadA === undefined ? {} : { loadA }),
    };
  };
  const strange = same.find(({ circuitId }) => !a.circuits.some(({ id }) => id === circuitId));
  if (strange) throw new EditRefused(`${a.name} has no circuit "${strange.circuitId}".`, 'Pick one that ends there.');
  const kept = a.circuits.map(asOne);
  const taken = new Set(
    kept.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.nodeId === here.id ? [end.cavity] : [])),
  );
  const isConnector = here.kind === 'connector' || there.kind === 'connector';
  const seated = (end: Circuit['from'], number: string): Circuit['from'] => {
    if (end.nodeId !== there.id) return renamedIn(end, ids);
    if (!taken.has(end.cavity)) {
      taken.add(end.cavity);
      return { nodeId: here.id, cavity: end.cavity };
    }
    if (isConnector)
      throw new EditRefused(
        `Cavity ${end.cavity} of ${here.name} has a wire in both: circuit ${number} of ${b.name} is one too many.`,
        'Say which circuits are one, or correct a cavity first.',
      );
    const cavity = [...freeWords(taken, [end.cavity], '-').values()][0] ?? end.cavity;
    taken.add(cavity);
    return { nodeId: here.id, cavity };
  };
  const others = own.map((circuit): Circuit => ({
    ...circuit,
    id: circuits.get(circuit.id) ?? circuit.id,
    number: numbers.get(circuit.number) ?? circuit.number,
    from: seated(circuit.from, circuit.number),
    to: seated(circuit.to, circuit.number),
    runIds: runIdsOf(circuit),
    ...(circuit.pairWith === undefined ? {} : { pairWith: circuits.get(circuit.pairWith) ?? circuit.pairWith }),
  }));
  const cables = freeWords(idsOf(a.cables ?? []), idsOf(b.cables ?? []), '-');
  const allCables = [
    ...(a.cables ?? []),
    ...(b.cables ?? []).map((cable) => ({
      ...cable,
      id: cables.get(cable.id) ?? cable.id,
      runIds: cable.runIds.map((id) => runs.get(id) ?? id),
      coreIds: cable.coreIds.map((id) => circuits.get(id) ?? id),
    })),
  ];
  const { cables: _, ...rest } = a;
  return {
    ids,
    harness: {
      ...rest,
      nodes: [
        ...a.nodes.map((node) => (node === here ? oneNode(here, there) : node)),
        ...b.nodes.flatMap((node): HarnessNode[] =>
          node === there
            ? []
            : [{ ...node, id: nodes.get(node.id) ?? node.id, name: names.get(node.name) ?? node.name }],
        ),
      ],
      runs: allRuns,
      circuits: [...kept, ...others],
      ...(allCables.length === 0 ? {} : { cables: allCables }),
    },
  };
}
