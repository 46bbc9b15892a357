import { cavitiesOf } from '../connector/index.ts';
import type { Circuit, Harness, HarnessNode } from '../harness/index.ts';
import { colourInWords, isSmaller, nextSizeThatWouldDo, sizeInWords } from '../wire/index.ts';
import type { ContinuityReading, MappingCard, PigtailWire } from './types.ts';

/** Why a mapping cannot be made as it stands. */
export interface MappingProblem {
  readonly kind: 'swap' | 'doubleUse' | 'missing' | 'stepDown' | 'noCavity';
  readonly cavity: string;
  readonly because: string;
  readonly remedy: string;
}

/** One line of the card, by cavity: the harness wire that belongs there and the pigtail wire that comes out of it. */
export interface MappingLine {
  readonly cavity: string;
  readonly circuit?: Circuit | undefined;
  readonly pigtail?: PigtailWire | undefined;
  /** Said where the pigtail's colour is that of another circuit's harness wire, so that nobody goes by colour. */
  readonly trap?: string | undefined;
}

const byNumber = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/** The circuits of a connector by the cavity that they sit in. */
export const circuitsAt = (node: Pick<HarnessNode, 'id'>, circuits: readonly Circuit[]): ReadonlyMap<string, Circuit> =>
  new Map(
    circuits.flatMap((circuit) =>
      [circuit.from, circuit.to].flatMap((end) => (end.nodeId === node.id ? [[end.cavity, circuit] as const] : [])),
    ),
  );

/** Every joint made cavity by cavity: what the card proposes, whatever the colours. */
export const joinsByCavity = (
  node: Pick<HarnessNode, 'id'>,
  circuits: readonly Circuit[],
  pigtail: readonly PigtailWire[],
): MappingCard['joins'] =>
  [...circuitsAt(node, circuits)].flatMap(([cavity, circuit]) =>
    pigtail.some((wire) => wire.cavity === cavity) ? [{ circuitId: circuit.id, pigtailCavity: cavity }] : [],
  );

/** The card's lines in the order of the cavities. */
export function mappingLines(
  node: HarnessNode,
  circuits: readonly Circuit[],
  pigtail: readonly PigtailWire[],
): MappingLine[] {
  const own = circuitsAt(node, circuits);
  const cavities = node.face
    ? cavitiesOf(node.face).map((one) => one.cavity)
    : [...new Set([...own.keys(), ...pigtail.map((wire) => wire.cavity)])].sort(byNumber);
  return cavities.map((cavity) => {
    const wire = pigtail.find((one) => one.cavity === cavity);
    const lookalike =
      wire &&
      [...own].find(
        ([other, circuit]) => other !== cavity && colourInWords(circuit.wire.colour) === colourInWords(wire.colour),
      );
    return {
      cavity,
      circuit: own.get(cavity),
      pigtail: wire,
      trap:
        wire && lookalike
          ? `Not by colour: the harness wire in ${colourInWords(wire.colour)} is circuit ${lookalike[1].number}, in cavity ${lookalike[0]}.`
          : undefined,
    };
  });
}

/**
 * Everything that forbids a mapping: a swap (a circuit joined to a wire out of another cavity), a double use, a circuit
 * that is left out, a pigtail wire smaller than the harness wire, a cavity that the connector does not have. Colours
 * decide nothing.
 */
export function checkMapping(
  node: HarnessNode,
  harness: Pick<Harness, 'circuits'>,
  card: Pick<MappingCard, 'pigtail' | 'joins'>,
): MappingProblem[] {
  const own = circuitsAt(node, harness.circuits);
  const problems: MappingProblem[] = [];
  const known = node.face ? cavitiesOf(node.face).map((one) => one.cavity) : undefined;
  const wireAt = (cavity: string): PigtailWire | undefined => card.pigtail.find((wire) => wire.cavity === cavity);
  card.pigtail.forEach((wire, index) => {
    if (known && !known.includes(wire.cavity))
      problems.push({
        kind: 'noCavity',
        cavity: wire.cavity,
        because: `${node.name} has no cavity ${wire.cavity}.`,
        remedy: `Its cavities are ${known.join(', ')}.`,
      });
    if (card.pigtail.findIndex((other) => other.cavity === wire.cavity) < index)
      problems.push({
        kind: 'doubleUse',
        cavity: wire.cavity,
        because: `Cavity ${wire.cavity} of the pigtail is given twice.`,
        remedy: 'One wire comes out of a cavity; see which.',
      });
  });
  card.joins.forEach((join, index) => {
    const [cavity, circuit] = [...own].find(([, one]) => one.id === join.circuitId) ?? [];
    if (cavity === undefined || !circuit) return;
    if (card.joins.findIndex((other) => other.pigtailCavity === join.pigtailCavity) < index)
      problems.push({
        kind: 'doubleUse',
        cavity: join.pigtailCavity,
        because: `The pigtail wire out of cavity ${join.pigtailCavity} is joined to two circuits.`,
        remedy: 'One pigtail wire goes to one harness wire.',
      });
    if (card.joins.findIndex((other) => other.circuitId === join.circuitId) < index)
      problems.push({
        kind: 'doubleUse',
        cavity,
        because: `Circuit ${circuit.number} is joined to two pigtail wires.`,
        remedy: `Keep the one out of cavity ${cavity}.`,
      });
    if (join.pigtailCavity !== cavity) {
      const right = wireAt(cavity);
      problems.push({
        kind: 'swap',
        cavity,
        because: `Circuit ${circuit.number} belongs in cavity ${cavity}, and it is joined to the pigtail wire out of cavity ${join.pigtailCavity}: ${circuit.function} would come out there.`,
        remedy: right
          ? `Join it to the ${colourInWords(right.colour)} wire, which comes out of cavity ${cavity}.`
          : `Find the wire out of cavity ${cavity}.`,
      });
    }
    const wire = wireAt(join.pigtailCavity);
    if (wire && isSmaller(wire.size, circuit.wire.size)) {
      const next = nextSizeThatWouldDo(wire.size, circuit.wire.size);
      problems.push({
        kind: 'stepDown',
        cavity,
        because: `The pigtail wire at cavity ${join.pigtailCavity} is ${sizeInWords(wire.size)}, smaller than the ${sizeInWords(circuit.wire.size)} of circuit ${circuit.number}.`,
        remedy: next ? `Use a pigtail with ${sizeInWords(next)} or more there.` : 'Use another pigtail.',
      });
    }
  });
  for (const [cavity, circuit] of own) {
    if (!card.joins.some((join) => join.circuitId === circuit.id))
      problems.push({
        kind: 'missing',
        cavity,
        because: `Circuit ${circuit.number} (${circuit.function}) in cavity ${cavity} has no pigtail wire.`,
        remedy: `Say which wire comes out of cavity ${cavity} of the pigtail.`,
      });
  }
  return problems.sort((a, b) => byNumber(a.cavity, b.cavity));
}

/** One reading to take: from a cavity of the new connector to the far end of the circuit that belongs in it. */
export interface ContinuityNeed {
  readonly cavity: string;
  readonly circuit: Circuit;
  readonly farNodeId: string;
  readonly farCavity: string;
  readonly reading?: ContinuityReading | undefined;
  readonly ruling?: { readonly ok: boolean; readonly because: string } | undefined;
}

function rule(
  cavity: string,
  circuit: Circuit,
  reading: ContinuityReading,
): { readonly ok: boolean; readonly because: string } {
  if (reading.soundsAt === null)
    return {
      ok: false,
      because: `Circuit ${circuit.number} is open: nothing sounded. Look at its splice and at both its terminals.`,
    };
  if (reading.soundsAt !== cavity)
    return {
      ok: false,
      because: `Circuit ${circuit.number} comes out in cavity ${reading.soundsAt} and belongs in ${cavity}: it is swapped. Cut both splices out and join them by cavity.`,
    };
  if (reading.neighbourSounds)
    return {
      ok: false,
      because: `Cavity ${cavity} is joined to a neighbour as well: look for a strand astray or a pinched wire.`,
    };
  return {
    ok: true,
    because:
      'Joined, and to nothing else. A beep does not prove a power joint: its resistance or drop under load is read in Prove.',
  };
}

/** The readings that prove a mapping, one for each circuit, with what came of those that were taken. */
export const continuityNeeds = (
  node: HarnessNode,
  harness: Pick<Harness, 'circuits'>,
  card: Pick<MappingCard, 'readings'>,
): ContinuityNeed[] =>
  [...circuitsAt(node, harness.circuits)]
    .sort(([a], [b]) => byNumber(a, b))
    .map(([cavity, circuit]) => {
      const far = circuit.from.nodeId === node.id && circuit.from.cavity === cavity ? circuit.to : circuit.from;
      const reading = card.readings.findLast((one) => one.cavity === cavity);
      return {
        cavity,
        circuit,
        farNodeId: far.nodeId,
        farCavity: far.cavity,
        reading,
        ruling: reading && rule(cavity, circuit, reading),
      };
    });

/** Whether a card is proved: nothing forbids it and every circuit has a good reading. */
export const isProved = (node: HarnessNode, harness: Pick<Harness, 'circuits'>, card: MappingCard): boolean =>
  checkMapping(node, harness, card).length === 0 &&
  continuityNeeds(node, harness, card).every((need) => need.ruling?.ok === true);
