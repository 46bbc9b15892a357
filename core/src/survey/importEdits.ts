import { cavitiesOf, type ConnectorFace } from '../connector/index.ts';
import {
  idFrom,
  NOT_MEASURED_MM,
  routeBetween,
  type Circuit,
  type Harness,
  type HarnessNode,
  type Run,
} from '../harness/index.ts';
import type { NewConnector, PinoutHarness, PinoutProblem, PinoutReading } from '../pinout/index.ts';
import { proposeTree, USUAL_ZONE } from './propose.ts';
import type { HarnessEdit } from './types.ts';

/** A length that was measured, or one that nobody has measured. */
const lengthOf = (lengthMm: number | undefined): Pick<Run, 'lengthMm' | 'atLeast'> =>
  lengthMm === undefined ? { lengthMm: NOT_MEASURED_MM, atLeast: true } : { lengthMm };

/** How a connector that a sheet brings hangs on the harness: from which node, how far. */
export interface Attachment {
  readonly fromNodeId: string;
  /** Where nobody has measured it, it is said to be so. */
  readonly lengthMm?: number | undefined;
}

const freeId = (wanted: string, taken: readonly string[]): string => {
  for (let n = 1; ; n += 1) if (!taken.includes(`${wanted}${n}`)) return `${wanted}${n}`;
};

/** A connector of a sheet as a node, without a face: where its cavities lie is not in a sheet, and is never guessed. */
export const nodeOfConnector = ({ name, kind }: NewConnector): HarnessNode => ({
  id: idFrom(name),
  kind,
  name,
});

/** Cavities that two circuits would share once a sheet's circuits are put beside those that stay. */
function clashes(stay: readonly Circuit[], reading: PinoutReading, nodes: PinoutHarness['nodes']): PinoutProblem[] {
  const nameOf = (id: string): string => nodes.find((node) => node.id === id)?.name ?? id;
  const oneEach = (id: string): boolean => nodes.some((node) => node.id === id && node.kind === 'connector');
  const taken = new Map(
    stay.flatMap((circuit) =>
      [circuit.from, circuit.to]
        .filter((end) => oneEach(end.nodeId))
        .map((end) => [`${end.nodeId} ${end.cavity}`, circuit.number] as const),
    ),
  );
  return reading.rows.flatMap(({ line, circuit }) =>
    [circuit.from, circuit.to].flatMap((end): PinoutProblem[] => {
      const number = taken.get(`${end.nodeId} ${end.cavity}`);
      return number === undefined
        ? []
        : [
            {
              line,
              value: end.cavity,
              why: `Cavity ${end.cavity} of ${nameOf(end.nodeId)} holds circuit ${number} already, which is not in the sheet.`,
              remedy: 'Correct the cavity, or let the sheet replace all circuits.',
            },
          ];
    }),
  );
}

/**
 * What an import does to a harness that is there: new connectors brought to it, terminals and seals noted, circuits
 * added or changed by their number. With `replaceAll` circuits that the sheet does not name are removed.
 */
export function importEdits(
  harness: PinoutHarness,
  reading: PinoutReading,
  attachments: ReadonlyMap<string, Attachment>,
  replaceAll: boolean,
): { readonly edits: readonly HarnessEdit[]; readonly problems: readonly PinoutProblem[] } {
  const edits: HarnessEdit[] = [];
  const runIds = harness.runs.map((run) => run.id);
  const nameOf = (id: string): string => harness.nodes.find((node) => node.id === id)?.name ?? id;
  for (const connector of reading.newConnectors) {
    const hang = attachments.get(connector.name);
    if (!hang) continue;
    const node = nodeOfConnector(connector);
    const id = freeId('R', runIds);
    runIds.push(id);
    edits.push({
      do: 'addRun',
      node: { ...node, ...fitted(undefined, reading, connector.name) },
      run: {
        id,
        name: `${nameOf(hang.fromNodeId)} to ${connector.name}`,
        fromNodeId: hang.fromNodeId,
        toNodeId: node.id,
        ...lengthOf(hang.lengthMm),
        zone: USUAL_ZONE,
        features: [],
      },
    });
  }
  for (const node of harness.nodes) {
    if (reading.fittings.some((fitting) => fitting.connector === node.name))
      edits.push({ do: 'changeNode', node: { ...node, ...fitted(node, reading, node.name) } });
  }
  const incoming = new Map(reading.rows.map((row) => [row.circuit.number, row.circuit]));
  const stay = replaceAll ? [] : harness.circuits.filter((circuit) => !incoming.has(circuit.number));
  const changed = replaceAll ? [] : harness.circuits.flatMap((circuit) => incoming.get(circuit.number) ?? [circuit]);
  const known = new Set(changed.map((circuit) => circuit.number));
  edits.push({
    do: 'setCircuits',
    circuits: [...changed, ...reading.rows.map((row) => row.circuit).filter((circuit) => !known.has(circuit.number))],
  });
  return { edits, problems: clashes(stay, reading, harness.nodes) };
}

const fitted = (
  node: HarnessNode | undefined,
  reading: PinoutReading,
  connector: string,
): Pick<HarnessNode, 'fittings'> => {
  const own = reading.fittings.filter((fitting) => fitting.connector === connector);
  if (own.length === 0) return node?.fittings === undefined ? {} : { fittings: node.fittings };
  return {
    fittings: {
      ...node?.fittings,
      ...Object.fromEntries(
        own.map(({ cavity, terminal, seal }) => [
          cavity,
          {
            ...node?.fittings?.[cavity],
            ...(terminal === undefined ? {} : { terminal }),
            ...(seal === undefined ? {} : { seal }),
          },
        ]),
      ),
    },
  };
};

/** Why a connector's layout does not hold the cavities that its circuits are in; nothing when it does. */
export function faceMisses(face: ConnectorFace, { name, cavities }: NewConnector): string | undefined {
  const known = cavitiesOf(face).map((one) => one.cavity);
  const missing = cavities.filter((cavity) => !known.includes(cavity));
  return missing.length === 0
    ? undefined
    : `${name} has circuits in ${missing.length === 1 ? 'cavity' : 'cavities'} ${missing.join(', ')}, and so many rows and columns give ${known[0] ?? ''} to ${known.at(-1) ?? ''}.`;
}

/**
 * A whole new harness from a sheet: its connectors as a tree with the lengths measured, its circuits on their ways.
 * `lengths` are by run id of `proposeTree`; `faces` by connector name, where they were described.
 */
export function harnessFromPinout(
  name: string,
  reading: PinoutReading,
  lengths: ReadonlyMap<string, number>,
  faces: ReadonlyMap<string, ConnectorFace>,
): Omit<Harness, 'id'> {
  const connectors = reading.newConnectors.map((connector): HarnessNode => {
    const face = faces.get(connector.name);
    return {
      ...nodeOfConnector(connector),
      ...(face ? { face, ways: cavitiesOf(face).length } : {}),
      ...fitted(undefined, reading, connector.name),
    };
  });
  const tree = proposeTree(
    connectors,
    reading.rows.map((row) => row.circuit),
  );
  const runs = tree.runs.map((run) => ({ ...run, ...lengthOf(lengths.get(run.id)), zone: USUAL_ZONE }));
  return {
    name,
    nodes: tree.nodes,
    runs,
    circuits: reading.rows.map(({ circuit }) => ({
      ...circuit,
      runIds: routeBetween(runs, circuit.from.nodeId, circuit.to.nodeId) ?? [],
    })),
  };
}
