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
const WORDS = [own('Function', ({ function: words }) => words), own('Kind', ({ kind }) => KIND_WORDS[kind])];
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
  ...WORDS,
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
  ...WORDS,
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

function namesIn({ nodes, runs, circuits }: PinoutHarness): Names {
  const nodeOf = (id: string): HarnessNode | undefined => nodes.find((node) => node.id === id);
  const isOnly = (all: readonly { readonly name: string }[], name: string): boolean =>
    all.filter((one) => one.name.toLowerCase() === name.toLowerCase()).length <= 1;
  return {
    nodeOf,
    numberOf: (id) => circuits.find((one) => one.id === id)?.number ?? '',
    nameOf: (id) => {
      const name = nodeOf(id)?.name ?? id;
      return isOnly(nodes, name) ? name : id;
    },
    runName: (id) => {
      const name = runs.find((run) => run.id === id)?.name ?? id;
      return name.includes(';') || !isOnly(runs, name) ? id : name;
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
    if (column === WORDS[0]) return placeCell(place, 'seal', names) === 'plug' ? 'plugged' : 'empty';
    return typeof column.of === 'function' || column.of.end === 'far' ? '' : placeCell(place, column.of.what, names);
  });

/** Cavities of a connector, by its face or as far as anything of them is known. */
function placesOf(node: HarnessNode, circuits: readonly Circuit[]): readonly string[] {
  if (node.face) return cavitiesOf(node.face).map(({ cavity }) => cavity);
  const used = circuits
    .flatMap(({ from, to }) => [from, to])
    .flatMap(({ nodeId, cavity }) => (nodeId === node.id ? [cavity] : []));
  return [...new Set([...used, ...Object.keys(node.fittings ?? {})])].sort((a, b) =>
    a.localeCompare(b, 'en', { numeric: true }),
  );
}

/** Wires that end at a place, each with the end that lies there. */
const endsAt = (circuits: readonly Circuit[], nodeId: string, cavity: string) =>
  circuits.flatMap((circuit) =>
    (['from', 'to'] as const)
      .filter((near) => circuit[near].nodeId === nodeId && circuit[near].cavity === cavity)
      .map((near) => ({ circuit, near })),
  );

/**
 * A harness's circuits as a sheet: headers, a line for each, and one for each cavity without a wire in which something
 * sits. `readPinout` reads it back without loss.
 */
export function writePinout(harness: PinoutHarness): string[][] {
  const names = namesIn(harness);
  const unused = harness.nodes.flatMap((node) =>
    Object.entries(node.fittings ?? {})
      .filter(
        ([cavity, { terminal, seal }]) =>
          (terminal ?? seal) !== undefined && endsAt(harness.circuits, node.id, cavity).length === 0,
      )
      .map(([cavity]) => unusedLine(BY_CIRCUIT, { nodeId: node.id, cavity }, names)),
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
  const connectors = of ?? harness.nodes.filter(({ kind }) => kind === 'connector');
  const ids = new Set(connectors.map(({ id }) => id));
  const beside = of ? [] : harness.circuits.filter(({ from, to }) => !ids.has(from.nodeId) && !ids.has(to.nodeId));
  return [
    headersOf(BY_CAVITY),
    ...connectors.flatMap((node) =>
      placesOf(node, harness.circuits).flatMap((cavity) => {
        const wires = endsAt(harness.circuits, node.id, cavity);
        return wires.length === 0
          ? [unusedLine(BY_CAVITY, { nodeId: node.id, cavity }, names)]
          : wires.map(({ circuit, near }) => circuitLine(BY_CAVITY, circuit, near, names));
      }),
    ),
    ...beside.map((circuit) => circuitLine(BY_CAVITY, circuit, 'from', names)),
  ];
}
