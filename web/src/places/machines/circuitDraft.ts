import { circuitIdFrom, type Circuit, type CircuitKind, type Harness, type WireSpec } from '@mendum/core';
import { restOf } from '../../ui/rest.ts';
import { numberOf } from '../../ui/typed.ts';

/** A circuit as it is typed. */
export interface CircuitDraft {
  readonly number: string;
  readonly function: string;
  readonly kind: CircuitKind;
  readonly wire: WireSpec;
  readonly fromNode: string;
  readonly fromCavity: string;
  readonly toNode: string;
  readonly toCavity: string;
  readonly fuse: string;
  readonly load: string;
  readonly pairWith: string;
  readonly isShielded: boolean;
  readonly drain: string;
}

export function circuitDraftOf(circuit: Circuit | undefined, harness: Harness): CircuitDraft {
  const ends = harness.nodes.filter(
    (node) => node.kind === 'connector' || node.kind === 'end' || node.kind === 'splice',
  );
  return {
    number: circuit?.number ?? '',
    function: circuit?.function ?? '',
    kind: circuit?.kind ?? 'power',
    wire: circuit?.wire ?? {
      size: { basis: 'metric', areaMm2: 1 },
      conductor: { kind: 'stranded' },
      jacket: { material: 'xlpe', wall: 'thin' },
      colour: { base: 'black' },
    },
    fromNode: circuit?.from.nodeId ?? ends[0]?.id ?? '',
    fromCavity: circuit?.from.cavity ?? '',
    toNode: circuit?.to.nodeId ?? ends[1]?.id ?? '',
    toCavity: circuit?.to.cavity ?? '',
    fuse: String(circuit?.fuseA ?? ''),
    load: String(circuit?.loadA ?? ''),
    pairWith: circuit?.pairWith ?? '',
    isShielded: circuit?.shield !== undefined,
    drain: String(circuit?.shield?.drainMm2 ?? ''),
  };
}

export type CircuitWrongs = Partial<Record<'number' | 'fromCavity' | 'toCavity' | 'fuse' | 'load' | 'drain', string>>;

/** What the form has fields for, or works out. */
const MADE_HERE = [
  'id',
  'number',
  'function',
  'kind',
  'wire',
  'from',
  'to',
  'runIds',
  'fuseA',
  'loadA',
  'pairWith',
  'shield',
] as const;

/** The circuit that a draft describes, or what is wrong with its fields. The way through the harness follows from its ends. */
export function circuitOf(
  draft: CircuitDraft,
  before: Circuit | undefined,
  harness: Harness,
): { readonly ok: true; readonly circuit: Circuit } | { readonly ok: false; readonly wrong: CircuitWrongs } {
  const number = draft.number.trim();
  const others = harness.circuits.filter((one) => one.id !== before?.id);
  const wrong: { -readonly [K in keyof CircuitWrongs]: CircuitWrongs[K] } = {};
  if (number === '' || number.length > 20) wrong.number = 'Enter a number of 1 to 20 characters.';
  else if (others.some((one) => one.number === number))
    wrong.number = `Circuit ${number} is there already: give it another number.`;
  for (const [key, nodeId, cavity] of [
    ['fromCavity', draft.fromNode, draft.fromCavity.trim()],
    ['toCavity', draft.toNode, draft.toCavity.trim()],
  ] as const) {
    // A stud, a splice or an open end takes several wires; a cavity takes one.
    const taken = harness.nodes.some((node) => node.id === nodeId && node.kind !== 'connector')
      ? undefined
      : others.find((one) => [one.from, one.to].some((end) => end.nodeId === nodeId && end.cavity === cavity));
    if (cavity === '' || cavity.length > 10) wrong[key] = 'Enter its cavity, 1 to 10 characters.';
    else if (taken) wrong[key] = `Cavity ${cavity} holds circuit ${taken.number} already.`;
  }
  const amps = (key: 'fuse' | 'load', least: number): number | undefined => {
    if (draft[key].trim() === '') return undefined;
    const value = numberOf(draft[key]);
    if (!(value >= least && value <= 5000)) wrong[key] = `Enter a current from ${least} to 5000 A, or leave it empty.`;
    return value;
  };
  const [fuseA, loadA] = [amps('fuse', 0.01), amps('load', 0)];
  const drainMm2 = draft.drain.trim() === '' ? undefined : numberOf(draft.drain);
  if (draft.isShielded && drainMm2 !== undefined && !(drainMm2 >= 0.05 && drainMm2 <= 120))
    wrong.drain = 'Enter its copper from 0.05 to 120 mm², or leave it empty.';
  if (Object.keys(wrong).length > 0) return { ok: false, wrong };
  const from = { nodeId: draft.fromNode, cavity: draft.fromCavity.trim() };
  const to = { nodeId: draft.toNode, cavity: draft.toCavity.trim() };
  const sameWay = before?.from.nodeId === from.nodeId && before.to.nodeId === to.nodeId;
  const wanted = circuitIdFrom(number);
  const id =
    before?.id ??
    (harness.circuits.some((one) => one.id === wanted) ? `${wanted}-${harness.circuits.length + 1}` : wanted);
  return {
    ok: true,
    circuit: {
      ...(before ? restOf(before, MADE_HERE) : {}),
      id,
      number,
      function: draft.function.trim() === '' ? `Circuit ${number}` : draft.function.trim(),
      kind: draft.kind,
      wire: draft.wire,
      from,
      to,
      runIds: sameWay ? before.runIds : [],
      ...(fuseA === undefined ? {} : { fuseA }),
      ...(loadA === undefined ? {} : { loadA }),
      ...(draft.pairWith === '' ? {} : { pairWith: draft.pairWith }),
      ...(draft.isShielded ? { shield: drainMm2 === undefined ? {} : { drainMm2 } } : {}),
    },
  };
}
