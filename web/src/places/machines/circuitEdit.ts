import type { ObjectSchema, Schema } from 'joi';
import { circuitIdFrom, type Circuit, type Harness } from '@mendum/core/harness';
import { usualWire } from '@mendum/core/wire';
import { routedCircuitSchema } from '@mendum/core/schemas';
import type { Wrongs } from '../../form/resolver.ts';

const mayLack = (schema: Schema): Schema => schema.optional();
/** A circuit as the form asks for it: its id is worked out, and a function that nobody knows is named by its number. */
export const circuitFormSchema: ObjectSchema = routedCircuitSchema.fork(['id', 'function'], mayLack);

/** What ends a circuit: a connector, an open end or a splice. */
export const endsIn = ({ nodes }: Harness): Harness['nodes'] =>
  nodes.filter(({ kind }) => kind === 'connector' || kind === 'end' || kind === 'splice');

/** A circuit of which nothing is known yet but what most are, between the first two ends of the harness. */
export function newCircuit(harness: Harness): Circuit {
  const [from, to] = endsIn(harness);
  return {
    id: '',
    number: '',
    function: '',
    kind: 'power',
    wire: usualWire(1, { base: 'black' }),
    from: { nodeId: from?.id ?? '', cavity: '' },
    to: { nodeId: to?.id ?? '', cavity: '' },
    runIds: [],
  };
}

/** What another circuit of the harness has already: a number is given once, and a cavity takes one wire. */
export function takenBy(harness: Harness, before: Circuit | undefined): (circuit: Circuit) => Wrongs {
  const others = harness.circuits.filter((one) => one.id !== before?.id);
  return ({ number, from, to }) => {
    const wrong: Record<string, string> = {};
    if (others.some((one) => one.number === number))
      wrong.number = `Circuit ${number} is there already: give it another number.`;
    for (const [path, { nodeId, cavity }] of [
      ['from.cavity', from],
      ['to.cavity', to],
    ] as const) {
      // A stud, a splice or an open end takes several wires.
      if (harness.nodes.some((node) => node.id === nodeId && node.kind !== 'connector')) continue;
      const taken = others.find((one) =>
        [one.from, one.to].some((end) => end.nodeId === nodeId && end.cavity === cavity),
      );
      if (taken) wrong[path] = `Cavity ${cavity} holds circuit ${taken.number} already.`;
    }
    return wrong;
  };
}

/** A circuit as it comes from the form. */
type FilledIn = Omit<Circuit, 'function'> & { readonly function?: string | undefined };

/** The circuit that was filled in, with what is worked out. Its way is looked for anew when its ends are others. */
export function circuitMade(filledIn: FilledIn, before: Circuit | undefined, harness: Harness): Circuit {
  const { number, from, to } = filledIn;
  const wanted = circuitIdFrom(number);
  const isTaken = harness.circuits.some((one) => one.id === wanted);
  const sameWay = before?.from.nodeId === from.nodeId && before.to.nodeId === to.nodeId;
  return {
    ...filledIn,
    id: before?.id ?? (isTaken ? `${wanted}-${harness.circuits.length + 1}` : wanted),
    function: filledIn.function ?? `Circuit ${number}`,
    runIds: sameWay ? before.runIds : [],
  };
}
