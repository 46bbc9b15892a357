import type { Circuit, Harness } from '../harness/index.ts';
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

/** Two wires that may be one: the same copper and the same colours. */
export const mayBeOneWire = (a: Circuit, b: Circuit): boolean =>
  Math.abs(areaMm2(a.wire.size) - areaMm2(b.wire.size)) < 1e-9 &&
  colourInWords(a.wire.colour) === colourInWords(b.wire.colour);

/** Circuits of which one end or both are at a node. */
export const endingAt = (circuits: readonly Circuit[], nodeId: string): readonly Circuit[] =>
  circuits.filter(({ from, to }) => from.nodeId === nodeId || to.nodeId === nodeId);

/** Circuits that may be one, each with the only one that looks like it on the other side. */
export function proposeSame(a: Harness, b: Harness, { nodeId, otherNodeId }: JoinPlace): SameCircuit[] {
  const [here, there] = [endingAt(a.circuits, nodeId), endingAt(b.circuits, otherNodeId)];
  return here.flatMap((circuit) => {
    const alike = there.filter((other) => mayBeOneWire(circuit, other));
    const [only] = alike;
    return only && alike.length === 1 && here.filter((one) => mayBeOneWire(one, only)).length === 1
      ? [{ circuitId: circuit.id, otherCircuitId: only.id }]
      : [];
  });
}

const inWords = ({ number, wire }: Circuit): string =>
  `circuit ${number}, ${sizeInWords(wire.size)} ${colourInWords(wire.colour)}`;

/** A circuit by its id. @throws EditRefused where there is none */
function circuitIn({ name, circuits }: Harness, id: string): Circuit {
  const found = circuits.find((circuit) => circuit.id === id);
  if (!found) throw new EditRefused(`${name} has no circuit "${id}".`, 'Pick one that ends there.');
  return found;
}

/** A wire goes on as one wire, and is the going on of one. @throws EditRefused naming the one that is said twice */
function mustBeOnce(harness: Harness, ids: readonly string[]): void {
  const twice = ids.find((id, index) => ids.indexOf(id) < index);
  if (twice === undefined) return;
  const { number } = circuitIn(harness, twice);
  throw new EditRefused(
    `Circuit ${number} of ${harness.name} would be two wires: it is picked twice.`,
    'Pick it once, and leave the other as it is.',
  );
}

/** The circuits that are one, by the id of the first. @throws EditRefused where two cannot be, or one is picked twice */
export function pairsOf(
  a: Harness,
  b: Harness,
  same: readonly SameCircuit[],
): ReadonlyMap<string, { readonly here: Circuit; readonly there: Circuit }> {
  mustBeOnce(
    a,
    same.map(({ circuitId }) => circuitId),
  );
  mustBeOnce(
    b,
    same.map(({ otherCircuitId }) => otherCircuitId),
  );
  return new Map(
    same.map(({ circuitId, otherCircuitId }) => {
      const [here, there] = [circuitIn(a, circuitId), circuitIn(b, otherCircuitId)];
      if (!mayBeOneWire(here, there))
        throw new EditRefused(
          `${inWords(here)}, cannot go on as ${inWords(there)}.`,
          'Leave them two, or correct the wire of one first.',
        );
      return [circuitId, { here, there }];
    }),
  );
}
