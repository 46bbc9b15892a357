import { cavitiesOf } from '../connector/index.ts';
import { KIND_WORDS, type Cavity, type CavityFitting, type Circuit, type HarnessNode } from '../harness/index.ts';
import { areaMm2, awgLabel, conductorInWords, JACKETS, type WireSize } from '../wire/index.ts';
import { readRemark } from './remarks.ts';
import type { PinoutHarness } from './types.ts';

type Place = 'connector' | 'cavity' | 'is' | 'terminal' | 'seal';

/** A cell of the export, by its header. Those of ends are of the near or the far one. */
interface Column {
  readonly header: string;
  readonly of: ((circuit: Circuit, names: Names) => string) | { readonly end: 'near' | 'far'; readonly what: Place };
}

const figureCell = (value: number | undefined): string => (value === undefined ? '' : String(value));

const sizeCell = (size: WireSize): string => {
  if (size.basis === 'metric') return `${size.areaMm2} mm²`;
  const said = size.areaMm2 === undefined ? '' : ` = ${size.areaMm2} mm²`;
  return `${size.basis === 'awg' ? `AWG ${awgLabel(size.awg)}` : `trade ${size.awg}`}${said}`;
};

/** The other wire of its pair; "none" where its remark would be read as naming one. */
function pairCell({ pairWith, remark = '' }: Circuit, { numberOf }: Names): string {
  if (pairWith !== undefined) return numberOf(pairWith);
  return readRemark(remark).pair === undefined ? '' : 'none';
}

/** Its shield with the drain's copper; "none" where its remark would be read as one. */
function shieldCell({ shield, remark = '' }: Circuit): string {
  if (shield) return shield.drainMm2 === undefined ? 'yes' : `drain ${shield.drainMm2} mm²`;
  return readRemark(remark).isShielded ? 'none' : '';
}

const own = (header: string, of: (circuit: Circuit, names: Names) => string): Column => ({ header, of });
const end = (header: string, of: 'near' | 'far', what: Place): Column => ({ header, of: { end: of, what } });

const NUMBER = own('Circuit', ({ number }) => number);
const FUNCTION = own('Function', ({ function: words }) => words);
const KIND = own('Kind', ({ kind }) => KIND_WORDS[kind]);
const SIZE = own('Size', ({ wire }) => sizeCell(wire.size));
const MAKE = [
  own('Conductor', ({ wire }) => conductorInWords(wire.conductor)),
  own('Strands', ({ wire: { conductor } }) => (conductor.kind === 'stranded' ? figureCell(conductor.strands) : '')),
  own('Jacket', ({ wire }) => JACKETS[wire.jacket.material].name),
  own('Wall', ({ wire }) => wire.jacket.wall),
  own('Outer diameter mm', ({ wire }) => figureCell(wire.jacket.outerDiameterMm)),
  own('Colour', ({ wire }) => wire.colour.base),
  own('Stripe', ({ wire }) => wire.colour.stripe ?? ''),
  own('Fuse A', ({ fuseA }) => figureCell(fuseA)),
  own('Load A', ({ loadA }) => figureCell(loadA)),
  own('Pair with', pairCell),
  own('Shield', shieldCell),
  own('Runs', ({ runIds }, { runName }) => runIds.map(runName).join('; ')),
];
const REMARK = own('Remark', ({ remark = '' }) => remark);

/** One line a circuit, both its ends on it. */
const BY_CIRCUIT: readonly Column[] = [
  NUMBER,
  FUNCTION,
  KIND,
  end('From connector', 'near', 'connector'),
  end('From cavity', 'near', 'cavity'),
  end('To connector', 'far', 'connector'),
  end('To cavity', 'far', 'cavity'),
  SIZE,
  ...MAKE,
  end('From terminal', 'near', 'terminal'),
  end('From seal', 'near', 'seal'),
  end('To terminal', 'far', 'terminal'),
  end('To seal', 'far', 'seal'),
  end('From is', 'near', 'is'),
  end('To is', 'far', 'is'),
  REMARK,
];

/** One line a cavity: a wire is on two of them, each time from the end that the line is of. */
const BY_CAVITY: readonly Column[] = [
  end('Connector', 'near', 'connector'),
  end('Cavity', 'near', 'cavity'),
  NUMBER,
  FUNCTION,
  KIND,
  end('To connector', 'far', 'connector'),
  end('To cavity', 'far', 'cavity'),
  SIZE,
  own('Size mm²', ({ wire }) => String(Math.round(areaMm2(wire.size) * 1000) / 1000)),
  ...MAKE,
  end('Terminal', 'near', 'terminal'),
  end('Seal', 'near', 'seal'),
  end('From is', 'near', 'is'),
  end('To is', 'far', 'is'),
  REMARK,
];

/** How things are called so that each name means one of them. */
interface Names {
  readonly numberOf: (circuitId: string) => string;
  readonly runName: (runId: string) => string;
  readonly nodeOf: (nodeId: string) => HarnessNode | undefined;
  readonly nameOf: (nodeId: string) => string;
}

/** How often each name is given, whatever its letters' case. */
function givenIn(all: readonly { readonly name: string }[]): ReadonlyMap<string, number> {
  const given = new Map<string, number>();
  for (const { name } of all) given.set(name.toLowerCase(), (given.get(name.toLowerCase()) ?? 0) + 1);
  return given;
}

function namesIn({ nodes, runs, circuits }: PinoutHarness): Names {
  const [nodeOf, runOf] = [new Map(nodes.map((one) => [one.id, one])), new Map(runs.map((one) => [one.id, one]))];
  const numbers = new Map(circuits.map(({ id, number }) => [id, number]));
  const [nodesGiven, runsGiven] = [givenIn(nodes), givenIn(runs)];
  const own = (name: string, id: string, given: ReadonlyMap<string, number>): string =>
    (given.get(name.toLowerCase()) ?? 0) > 1 ? id : name;
  return {
    nodeOf: (id) => nodeOf.get(id),
    numberOf: (id) => numbers.get(id) ?? '',
    nameOf: (id) => own(nodeOf.get(id)?.name ?? id, id, nodesGiven),
    runName: (id) => {
      const name = runOf.get(id)?.name ?? id;
      return name.includes(';') ? id : own(name, id, runsGiven);
    },
  };
}

function placeCell({ nodeId, cavity }: Cavity, what: Place, { nodeOf, nameOf }: Names): string {
  const node = nodeOf(nodeId);
  const fitting: CavityFitting | undefined = node?.fittings?.[cavity];
  switch (what) {
    case 'connector':
      return nameOf(nodeId);
    case 'cavity':
      return cavity;
    case 'is':
      return node?.kind === 'splice' || node?.kind === 'end' ? node.kind : 'connector';
    case 'terminal':
      return fitting?.terminal ?? '';
    case 'seal':
      return fitting?.seal ?? '';
  }
}

const headersOf = (columns: readonly Column[]): string[] => columns.map(({ header }) => header);

/** A line of a circuit, from one of its ends. */
const circuitLine = (columns: readonly Column[], circuit: Circuit, near: 'from' | 'to', names: Names): string[] =>
  columns.map(({ of }) =>
    typeof of === 'function'
      ? of(circuit, names)
      : placeCell(circuit[(of.end === 'near') === (near === 'from') ? 'from' : 'to'], of.what, names),
  );

/** A line of a cavity without a wire: what it is, and what sits in it. */
const unusedLine = (columns: readonly Column[], place: Cavity, names: Names): string[] =>
  columns.map((column) => {
    if (column === FUNCTION) return placeCell(place, 'seal', names) === 'plug' ? 'plugged' : 'empty';
    return typeof column.of === 'function' || column.of.end === 'far' ? '' : placeCell(place, column.of.what, names);
  });

/** A wire, and which of its ends lies at a place. */
interface EndAt {
  readonly circuit: Circuit;
  readonly near: 'from' | 'to';
}

/** The wires of a harness by node, and there by cavity. */
function endsOf(circuits: readonly Circuit[]): ReadonlyMap<string, ReadonlyMap<string, readonly EndAt[]>> {
  const all = new Map<string, Map<string, EndAt[]>>();
  for (const circuit of circuits)
    for (const near of ['from', 'to'] as const) {
      const { nodeId, cavity } = circuit[near];
      const there = all.get(nodeId) ?? new Map<string, EndAt[]>();
      all.set(nodeId, there);
      there.set(cavity, [...(there.get(cavity) ?? []), { circuit, near }]);
    }
  return all;
}

/** Cavities of a connector: those of its face, and any other of which something is known. */
function cavitiesAt({ face, fittings = {} }: HarnessNode, used: Iterable<string>): readonly string[] {
  const ofFace = face ? cavitiesOf(face).map(({ cavity }) => cavity) : [];
  const others = [...used, ...Object.keys(fittings)]
    .filter((cavity) => !ofFace.includes(cavity))
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return [...new Set([...ofFace, ...others])];
}

/**
 * A harness's circuits as a sheet: headers, a line for each, and one for each cavity without a wire in which something
 * sits. `readPinout` reads it back without loss.
 */
export function writePinout(harness: PinoutHarness): string[][] {
  const names = namesIn(harness);
  const ends = endsOf(harness.circuits);
  const unused = harness.nodes.flatMap(({ id, fittings = {} }) =>
    Object.entries(fittings).flatMap(([cavity, { terminal, seal }]) =>
      (terminal ?? seal) === undefined || ends.get(id)?.has(cavity)
        ? []
        : [unusedLine(BY_CIRCUIT, { nodeId: id, cavity }, names)],
    ),
  );
  return [
    headersOf(BY_CIRCUIT),
    ...harness.circuits.map((circuit) => circuitLine(BY_CIRCUIT, circuit, 'from', names)),
    ...unused,
  ];
}

/**
 * Every cavity of some connectors as a sheet, empty ones too, each wire once for each of its ends; of a whole harness
 * also wires that end in no connector, once. `readPinout` reads that of a whole harness back without loss.
 */
export function writeCavities(harness: PinoutHarness, of?: readonly HarnessNode[]): string[][] {
  const names = namesIn(harness);
  const ends = endsOf(harness.circuits);
  const connectors = of ?? harness.nodes.filter(({ kind }) => kind === 'connector');
  const ids = new Set(connectors.map(({ id }) => id));
  const beside = of ? [] : harness.circuits.filter(({ from, to }) => !ids.has(from.nodeId) && !ids.has(to.nodeId));
  return [
    headersOf(BY_CAVITY),
    ...connectors.flatMap((node) => {
      const there = ends.get(node.id);
      return cavitiesAt(node, there?.keys() ?? []).flatMap((cavity) => {
        const wires = there?.get(cavity) ?? [];
        return wires.length === 0
          ? [unusedLine(BY_CAVITY, { nodeId: node.id, cavity }, names)]
          : wires.map(({ circuit, near }) => circuitLine(BY_CAVITY, circuit, near, names));
      });
    }),
    ...beside.map((circuit) => circuitLine(BY_CAVITY, circuit, 'from', names)),
  ];
}
