import { cavitiesOf } from '../connector/index.ts';
import { KIND_WORDS, type Circuit, type HarnessNode } from '../harness/index.ts';
import { areaMm2, awgLabel, conductorInWords, JACKETS, type WireSize } from '../wire/index.ts';
import type { PinoutHarness } from './types.ts';

/** The columns of an exported pinout, in order. A sheet with these headers is read back without loss. */
export const PINOUT_COLUMNS = [
  'Circuit',
  'Function',
  'Kind',
  'From connector',
  'From cavity',
  'To connector',
  'To cavity',
  'Size',
  'Conductor',
  'Strands',
  'Jacket',
  'Wall',
  'Outer diameter mm',
  'Colour',
  'Stripe',
  'Fuse A',
  'Load A',
  'Pair with',
  'Runs',
  'From terminal',
  'From seal',
  'To terminal',
  'To seal',
] as const;

const sizeCell = (size: WireSize): string => {
  if (size.basis === 'metric') return `${size.areaMm2} mm²`;
  const said = size.areaMm2 === undefined ? '' : ` = ${size.areaMm2} mm²`;
  return `${size.basis === 'awg' ? `AWG ${awgLabel(size.awg)}` : `trade ${size.awg}`}${said}`;
};

const figureCell = (value: number | undefined): string => (value === undefined ? '' : String(value));

/** One line of the export. */
function rowOf(circuit: Circuit, harness: PinoutHarness): string[] {
  const nodeOf = (id: string): HarnessNode | undefined => harness.nodes.find((node) => node.id === id);
  const nameOf = (id: string): string => {
    const name = nodeOf(id)?.name ?? id;
    return harness.nodes.filter((node) => node.name.toLowerCase() === name.toLowerCase()).length > 1 ? id : name;
  };
  const runName = (id: string): string => {
    const name = harness.runs.find((run) => run.id === id)?.name ?? id;
    return name.includes(';') || harness.runs.filter((run) => run.name.toLowerCase() === name.toLowerCase()).length > 1
      ? id
      : name;
  };
  const { wire, from, to } = circuit;
  const fit = (end: Circuit['from']) => nodeOf(end.nodeId)?.fittings?.[end.cavity];
  return [
    circuit.number,
    circuit.function,
    KIND_WORDS[circuit.kind],
    nameOf(from.nodeId),
    from.cavity,
    nameOf(to.nodeId),
    to.cavity,
    sizeCell(wire.size),
    conductorInWords(wire.conductor),
    wire.conductor.kind === 'stranded' ? figureCell(wire.conductor.strands) : '',
    JACKETS[wire.jacket.material].name,
    wire.jacket.wall,
    figureCell(wire.jacket.outerDiameterMm),
    wire.colour.base,
    wire.colour.stripe ?? '',
    figureCell(circuit.fuseA),
    figureCell(circuit.loadA),
    circuit.pairWith === undefined ? '' : (harness.circuits.find((one) => one.id === circuit.pairWith)?.number ?? ''),
    circuit.runIds.map(runName).join('; '),
    fit(from)?.terminal ?? '',
    fit(from)?.seal ?? '',
    fit(to)?.terminal ?? '',
    fit(to)?.seal ?? '',
  ];
}

/** A harness's circuits as a sheet: headers, then a line for each. `readPinout` reads it back without loss. */
export const writePinout = (harness: PinoutHarness): string[][] => [
  [...PINOUT_COLUMNS],
  ...harness.circuits.map((circuit) => rowOf(circuit, harness)),
];

/** The cavities of one connector as a sheet: every cavity in the order of its numbers, empty ones too. */
export function writeConnector(node: HarnessNode, harness: PinoutHarness): string[][] {
  const own = harness.circuits.flatMap((circuit) =>
    (['from', 'to'] as const).flatMap((end) =>
      circuit[end].nodeId === node.id
        ? [{ circuit, cavity: circuit[end].cavity, far: end === 'from' ? circuit.to : circuit.from }]
        : [],
    ),
  );
  const cavities = node.face ? cavitiesOf(node.face).map((one) => one.cavity) : own.map((one) => one.cavity);
  const nameOf = (id: string): string => harness.nodes.find((one) => one.id === id)?.name ?? id;
  return [
    [
      'Connector',
      'Cavity',
      'Circuit',
      'Function',
      'Size',
      'mm² of copper',
      'Colour',
      'Stripe',
      'Goes to',
      'Terminal',
      'Seal',
    ],
    ...cavities.map((cavity) => {
      const at = own.find((one) => one.cavity === cavity);
      const fit = node.fittings?.[cavity];
      return at
        ? [
            node.name,
            cavity,
            at.circuit.number,
            at.circuit.function,
            sizeCell(at.circuit.wire.size),
            String(Math.round(areaMm2(at.circuit.wire.size) * 1000) / 1000),
            at.circuit.wire.colour.base,
            at.circuit.wire.colour.stripe ?? '',
            `${nameOf(at.far.nodeId)} ${at.far.cavity}`,
            fit?.terminal ?? '',
            fit?.seal ?? '',
          ]
        : [node.name, cavity, '', 'empty', '', '', '', '', '', fit?.terminal ?? '', fit?.seal ?? ''];
    }),
  ];
}
