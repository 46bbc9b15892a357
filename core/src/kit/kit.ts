import { GENERIC_PARTS, type Catalogue, type Part } from '../catalogue/index.ts';
import { colourInWords, wireInWords, type WireSpec } from '../wire/index.ts';
import { sticksNeeded } from './sticks.ts';

/** What one splice or cover takes. Lengths in mm. */
export interface KitNeed {
  readonly spliceId: string;
  readonly partIds: readonly string[];
  readonly sleeveCuts: readonly { readonly partId: string; readonly cutMm: number }[];
  readonly tapeMm: readonly { readonly partId: string; readonly lengthMm: number }[];
  readonly toolNames: readonly string[];
  /** Parts of which one serves all needs that name the same thing, as a housing does for its connector. */
  readonly sharedPartIds?: readonly { readonly partId: string; readonly per: string }[] | undefined;
  readonly wire?: { readonly circuitNumber: string; readonly spec: WireSpec; readonly lengthMm: number; readonly stockId?: string | undefined; readonly tag: boolean } | undefined;
}

/** One line of the kit list: `have` all, `short` of some, or something `instead`. */
export interface KitLine {
  readonly id: string;
  readonly name: string;
  readonly need: number;
  readonly have: number;
  /** What is counted, one of it: piece, stick, roll, reel; or mm. */
  readonly unit: string;
  readonly state: 'have' | 'short' | 'instead';
  readonly note: string;
}

export interface SleeveCut {
  readonly name: string;
  readonly cutMm: number;
  readonly pieces: number;
}

export interface WireCut {
  readonly circuitNumber: string;
  readonly words: string;
  readonly colour: string;
  readonly lengthMm: number;
  readonly tag: boolean;
}

export interface Kit {
  readonly lines: readonly KitLine[];
  readonly sleeveCuts: readonly SleeveCut[];
  readonly wireCuts: readonly WireCut[];
  readonly tools: readonly string[];
  readonly ready: boolean;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

function lineOf(part: Part | undefined, id: string, need: number, unit: string, catalogue: Catalogue): KitLine {
  const have = catalogue.parts.find((listed) => listed.id === id)?.quantity ?? 0;
  const short = have < need;
  return { id, name: part?.name ?? id, need, have, unit, state: short ? 'short' : 'have', note: short ? `Order ${need - have}.` : '' };
}

/** Kit list and cut list for a whole job, counted together and held against the shelf. */
export function kitFor(needs: readonly KitNeed[], catalogue: Catalogue): Kit {
  const known = new Map([...GENERIC_PARTS, ...catalogue.parts].map((part) => [part.id, part]));
  const pieces = new Map<string, number>();
  const cuts = new Map<string, number[]>();
  const tapes = new Map<string, number>();
  for (const id of new Set(needs.flatMap((need) => (need.sharedPartIds ?? []).map(({ partId, per }) => `${per}\n${partId}`)))) {
    const partId = id.slice(id.indexOf('\n') + 1);
    pieces.set(partId, (pieces.get(partId) ?? 0) + 1);
  }
  for (const need of needs) {
    const bulk = new Set([...need.sleeveCuts, ...need.tapeMm].map((one) => one.partId));
    for (const id of need.partIds) if (!bulk.has(id) && known.get(id)?.kind !== 'solder') pieces.set(id, (pieces.get(id) ?? 0) + 1);
    for (const { partId, cutMm } of need.sleeveCuts) cuts.set(partId, [...(cuts.get(partId) ?? []), cutMm]);
    for (const { partId, lengthMm } of need.tapeMm) tapes.set(partId, (tapes.get(partId) ?? 0) + lengthMm);
    for (const id of need.partIds) if (known.get(id)?.kind === 'solder') tapes.set(id, 1);
  }
  const lines: KitLine[] = [...pieces].map(([id, need]) => lineOf(known.get(id), id, need, 'piece', catalogue));
  for (const [id, list] of cuts) {
    const part = known.get(id);
    const stick = part?.kind === 'sleeve' ? part.stickMm : 1200;
    lines.push(lineOf(part, id, sticksNeeded(list, stick), 'stick', catalogue));
  }
  for (const id of tapes.keys()) lines.push(lineOf(known.get(id), id, 1, known.get(id)?.kind === 'solder' ? 'reel' : 'roll', catalogue));
  const wires = needs.flatMap((need) => (need.wire ? [need.wire] : []));
  lines.push(...wireLines(wires, catalogue));
  return {
    lines,
    sleeveCuts: [...cuts].flatMap(([id, list]) =>
      [...new Set(list)].sort((a, b) => b - a).map((cutMm) => ({ name: known.get(id)?.name ?? id, cutMm, pieces: list.filter((one) => one === cutMm).length })),
    ),
    wireCuts: wires.map((wire) => ({ circuitNumber: wire.circuitNumber, words: wireInWords(wire.spec), colour: colourInWords(wire.spec.colour), lengthMm: wire.lengthMm, tag: wire.tag })),
    tools: [...new Set(needs.flatMap((need) => need.toolNames))],
    ready: lines.every((line) => line.state !== 'short'),
  };
}

/** One line for each wire of the stock that is drawn on, and one for each wire that has to be found. */
function wireLines(wires: readonly NonNullable<KitNeed['wire']>[], catalogue: Catalogue): KitLine[] {
  const groups = new Map<string, NonNullable<KitNeed['wire']>[]>();
  for (const wire of wires) {
    const key = wire.stockId ?? `order ${wireInWords(wire.spec)} ${colourInWords(wire.spec.colour)}`;
    groups.set(key, [...(groups.get(key) ?? []), wire]);
  }
  return [...groups].map(([key, group]): KitLine => {
    const stock = catalogue.wires.find((item) => item.id === key);
    const need = Math.ceil(sum(group.map((wire) => wire.lengthMm)));
    const have = stock?.lengthMm ?? 0;
    const [first] = group;
    const name = first ? `Wire ${wireInWords(first.spec)}, ${colourInWords(first.spec.colour)}` : key;
    const state = have < need ? 'short' : group.some((wire) => wire.tag) ? 'instead' : 'have';
    const note = state === 'short' ? `Find ${need - have} mm more, from a scrap harness or reel.` : state === 'instead' ? 'Another colour: tag both ends with the circuit number.' : '';
    return { id: key, name, need, have, unit: 'mm', state, note };
  });
}
