import { cavitiesOf, type ConnectorFace, type LockFamily } from '../connector/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Circuit, Harness, HarnessNode, Zone } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import { checkMapping, joinsByCavity, type MappingCard, type PigtailWire } from '../mapping/index.ts';
import { capital } from '../units/index.ts';
import { colourInWords, type WireSpec } from '../wire/index.ts';
import { quickCircuitInWords, sketchJob, SLACK_BY_FEEL } from './quick.ts';
import { placeFacts, type QuickPlace } from './places.ts';
import type { QuickCircuit } from './types.ts';

/** What may have happened to a connector in the hand. */
export const QUICK_CONNECTOR_DAMAGES = ['housingBroken', 'housingMelted'] as const;
export type QuickConnectorDamage = (typeof QUICK_CONNECTOR_DAMAGES)[number];

/** Most cavities that are tapped. */
export const QUICK_WAYS_MOST = 60;
/** What a circuit is taken for where nobody says otherwise: it asks for the most. */
const USUAL_KIND: QuickCircuit = 'power';
/** Harness that is opened behind the connector where nobody says otherwise, mm. Ours. */
const OPEN_BEHIND_MM = 600;

/** A wire where it is seen: in a cavity. */
export interface SeatedWire {
  readonly cavity: string;
  readonly wire: WireSpec;
}

/** A repair that begins with a connector in the hand: its face and the wires in it, as they are seen. Lengths are mm. */
export interface QuickConnector {
  readonly face: ConnectorFace;
  /** At least one wire, in the order in which they were seen. */
  readonly wires: readonly SeatedWire[];
  readonly damage: QuickConnectorDamage;
  readonly circuitKind: QuickCircuit;
  readonly systemVoltageV: number;
  readonly zone: Zone;
  /** How its terminals are held, where somebody can tell: then they may move into a new housing. */
  readonly lock?: LockFamily | undefined;
  /** Wire to spare at the connector. */
  readonly slackMm: number;
  /** Harness that can be opened behind it. */
  readonly openMm: number;
  /** The new connector's wires, where it lies there already. */
  readonly pigtail: readonly PigtailWire[];
  /** Where it is, as it will be found again. */
  readonly where?: string | undefined;
}

/** A connector with all that was not tapped as it usually is. */
export function quickConnectorOf(
  tapped: Pick<QuickConnector, 'face' | 'wires' | 'damage' | 'pigtail'> & { readonly place: QuickPlace },
): QuickConnector {
  const { place, ...known } = tapped;
  return {
    ...known,
    circuitKind: USUAL_KIND,
    systemVoltageV: 12,
    zone: placeFacts(place).zone,
    slackMm: SLACK_BY_FEEL.none,
    openMm: OPEN_BEHIND_MM,
  };
}

const X = 'X';
const nodeOf = ({ face, lock }: QuickConnector): HarnessNode => ({
  id: X,
  kind: 'connector',
  name: 'X1',
  ways: cavitiesOf(face).length,
  face,
  ...(lock === undefined ? {} : { lock }),
});

/** Each circuit goes by its cavity's name, which is what people call a wire of a connector by. */
const circuitOf =
  (kind: QuickCircuit) =>
  ({ cavity, wire }: SeatedWire): Circuit => ({
    id: `C${cavity}`,
    number: cavity,
    function: `${capital(colourInWords(wire.colour))} ${quickCircuitInWords(kind)}`,
    kind,
    wire,
    from: { nodeId: X, cavity },
    to: { nodeId: 'A', cavity },
    runIds: ['R1'],
  });

/** The circuits that wires seen in a connector stand for. */
export const seatedCircuits = (wires: readonly SeatedWire[], kind: QuickCircuit = USUAL_KIND): readonly Circuit[] =>
  wires.map(circuitOf(kind));

/** The harness of a connector in the hand: what is opened behind it, up to a mark of tape. */
function harnessOf(quick: QuickConnector): Harness {
  return {
    id: 'quick',
    name: quick.where ?? `Connector of ${cavitiesOf(quick.face).length} in the hand`,
    nodes: [nodeOf(quick), { id: 'A', kind: 'end', name: 'Mark A' }],
    runs: [
      {
        id: 'R1',
        name: quick.where ?? 'Opened stretch',
        fromNodeId: X,
        toNodeId: 'A',
        lengthMm: quick.openMm,
        zone: quick.zone,
        features: [],
      },
    ],
    circuits: seatedCircuits(quick.wires, quick.circuitKind),
  };
}

const findingOf = (quick: QuickConnector, { cavity }: SeatedWire, index: number): Finding => ({
  id: `F${index + 1}`,
  kind: quick.damage,
  circuitId: `C${cavity}`,
  runId: 'R1',
  at: { nodeId: X, cavity },
  fromMm: 0,
  toMm: 1,
  cutBackLeftMm: 0,
  cutBackRightMm: 0,
  slackMm: quick.slackMm,
});

/** The mapping card of a new connector that lies there: every joint by cavity, never by colour. */
function cardOf({ pigtail }: QuickConnector, harness: Harness): MappingCard | undefined {
  const [node] = harness.nodes;
  if (!node || pigtail.length === 0) return undefined;
  return { nodeId: X, pigtail, joins: joinsByCavity(node, harness.circuits, pigtail), readings: [] };
}

/**
 * A job that says just what is seen of a connector; it is planned, mapped, proved and recorded like any other.
 * @param quick one of which {@link checkConnector} finds nothing
 */
export function quickConnectorJob(quick: QuickConnector): Job {
  const harness = harnessOf(quick);
  const card = cardOf(quick, harness);
  const findings = quick.wires.map((wire, index) => findingOf(quick, wire, index));
  return { ...sketchJob(harness, quick, findings), ...(card ? { mappings: [card] } : {}) };
}

/** What cannot be in a connector whose figures are each within their own limits: which, why, and what to do. */
export interface ConnectorProblem {
  readonly field: keyof QuickConnector;
  readonly message: string;
  readonly hint: string;
}

/** A cavity that a list names and the face does not have, or that it names twice. */
function checkCavities(
  field: 'wires' | 'pigtail',
  listed: readonly { readonly cavity: string }[],
  cavities: readonly string[],
): ConnectorProblem[] {
  const what = field === 'wires' ? 'wire' : 'wire of the new connector';
  return listed.flatMap(({ cavity }, at): ConnectorProblem[] => {
    if (!cavities.includes(cavity))
      return [
        {
          field,
          message: `A ${what} is in cavity ${cavity}, and the connector has ${cavities.length} cavities without it.`,
          hint: 'Tap it into a cavity that is there, or give the connector more ways.',
        },
      ];
    return listed.findIndex((one) => one.cavity === cavity) < at
      ? [{ field, message: `Cavity ${cavity} has two wires.`, hint: 'One wire sits in a cavity: take one out.' }]
      : [];
  });
}

/** What cannot be in a connector in the hand: cavities, and what forbids joining it to its new one. */
export function checkConnector(quick: QuickConnector): ConnectorProblem[] {
  const cavities = cavitiesOf(quick.face).map(({ cavity }) => cavity);
  if (cavities.length > QUICK_WAYS_MOST)
    return [
      {
        field: 'face',
        message: `${cavities.length} cavities are too many to tap: ${QUICK_WAYS_MOST} at most.`,
        hint: 'Describe it in Machines, from a sheet.',
      },
    ];
  const problems = [
    ...checkCavities('wires', quick.wires, cavities),
    ...checkCavities('pigtail', quick.pigtail, cavities),
  ];
  if (problems.length > 0) return problems;
  const harness = harnessOf(quick);
  const card = cardOf(quick, harness);
  // What the new connector has no wire for is said by the plan, circuit by circuit.
  return (card ? checkMapping(nodeOf(quick), harness, card) : [])
    .filter(({ kind }) => kind !== 'missing')
    .map(({ because, remedy }) => ({ field: 'pigtail', message: because, hint: remedy }));
}
