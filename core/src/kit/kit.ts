import { GENERIC_PARTS, type Catalogue, type Part } from '../catalogue/index.ts';
import { figure } from '../units/index.ts';
import { colourInWords, wireInWords, type WireSpec } from '../wire/index.ts';
import { cutSticks, type CutList, type Piece } from './cutting.ts';
import { cutWire } from './wireCuts.ts';

/** What one splice or cover takes. Lengths in mm. */
export interface KitNeed {
  readonly spliceId: string;
  /** It was used up in a mishap, and is of no use any more. */
  readonly isSpent?: boolean | undefined;
  readonly partIds: readonly string[];
  readonly sleeveCuts: readonly { readonly partId: string; readonly cutMm: number }[];
  readonly tapeMm: readonly { readonly partId: string; readonly lengthMm: number }[];
  readonly toolNames: readonly string[];
  /** Parts of which one serves all needs that name the same thing, as a housing does for its connector. */
  readonly sharedPartIds?: readonly { readonly partId: string; readonly per: string }[] | undefined;
  readonly wire?:
    | {
        readonly circuitNumber: string;
        readonly spec: WireSpec;
        readonly lengthMm: number;
        readonly stockId?: string | undefined;
        readonly tag: boolean;
      }
    | undefined;
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

/** What one wire or sleeve is cut from, piece by piece. */
export interface CutGroup {
  readonly id: string;
  readonly name: string;
  readonly from: 'stick' | 'reel';
  readonly list: CutList;
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
  /** From which stick or reel each piece comes, so that as little as possible is begun. */
  readonly cutGroups: readonly CutGroup[];
  readonly tools: readonly string[];
  /** Numbers of circuits that have no answer yet: what they take is not counted, or may change with what is decided. */
  readonly unanswered: readonly string[];
  /** Somebody has counted the shelf that it is held against; else nothing is known of what is there. */
  readonly counted: boolean;
  /** Everything is there, and nothing is left uncounted. */
  readonly ready: boolean;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

function lineOf(
  part: Part | undefined,
  id: string,
  need: number,
  unit: string,
  catalogue: Catalogue,
  spent = 0,
): KitLine {
  const have = catalogue.parts.find((listed) => listed.id === id)?.quantity ?? 0;
  const short = have < need;
  return {
    id,
    name: part?.name ?? id,
    need,
    have,
    unit,
    state: short ? 'short' : 'have',
    note: [short ? `Order ${need - have}.` : '', spent > 0 ? `${spent} of these spent in a mishap.` : '']
      .filter((words) => words !== '')
      .join(' '),
  };
}

/**
 * Kit list and cut list for a whole job, counted together and held against the shelf.
 * @param unanswered numbers of circuits whose parts are not counted, or about which somebody has to decide first
 */
export function kitFor(needs: readonly KitNeed[], catalogue: Catalogue, unanswered: readonly string[] = []): Kit {
  const known = new Map([...GENERIC_PARTS, ...catalogue.parts].map((part) => [part.id, part]));
  const pieces = new Map<string, number>();
  const spent = new Map<string, number>();
  const cuts = new Map<string, { mm: number; spliceId: string }[]>();
  const tapes = new Map<string, number>();
  for (const id of new Set(
    needs.flatMap((need) => (need.sharedPartIds ?? []).map(({ partId, per }) => `${per}\n${partId}`)),
  )) {
    const partId = id.slice(id.indexOf('\n') + 1);
    pieces.set(partId, (pieces.get(partId) ?? 0) + 1);
  }
  for (const need of needs) {
    const bulk = new Set([...need.sleeveCuts, ...need.tapeMm].map((one) => one.partId));
    for (const id of need.partIds)
      if (!bulk.has(id) && known.get(id)?.kind !== 'solder') {
        pieces.set(id, (pieces.get(id) ?? 0) + 1);
        if (need.isSpent) spent.set(id, (spent.get(id) ?? 0) + 1);
      }
    for (const { partId, cutMm } of need.sleeveCuts)
      cuts.set(partId, [...(cuts.get(partId) ?? []), { mm: cutMm, spliceId: need.spliceId }]);
    for (const { partId, lengthMm } of need.tapeMm) tapes.set(partId, (tapes.get(partId) ?? 0) + lengthMm);
    for (const id of need.partIds) if (known.get(id)?.kind === 'solder') tapes.set(id, 1);
  }
  const lines: KitLine[] = [...pieces].map(([id, need]) =>
    lineOf(known.get(id), id, need, 'piece', catalogue, spent.get(id)),
  );
  const cutGroups: CutGroup[] = [];
  for (const [id, list] of cuts) {
    const part = known.get(id);
    const stick = part?.kind === 'sleeve' ? part.stickMm : 1200;
    const cutList = cutSticks(
      list.map((cut, index): Piece => ({ id: `${cut.spliceId} ${index + 1}`, mm: cut.mm })),
      stick,
    );
    cutGroups.push({ id, name: part?.name ?? id, from: 'stick', list: cutList });
    lines.push(lineOf(part, id, cutList.begun, 'stick', catalogue));
  }
  for (const id of tapes.keys())
    lines.push(lineOf(known.get(id), id, 1, known.get(id)?.kind === 'solder' ? 'reel' : 'roll', catalogue));
  const wires = needs.flatMap((need) => (need.wire ? [need.wire] : []));
  const wireGroups = groupsOfWire(wires, catalogue);
  cutGroups.push(...wireGroups);
  lines.push(...wireGroups.map((group) => wireLine(group, wires, catalogue)));
  return {
    lines,
    sleeveCuts: [...cuts].flatMap(([id, list]) =>
      [...new Set(list.map((cut) => cut.mm))]
        .sort((a, b) => b - a)
        .map((cutMm) => ({
          name: known.get(id)?.name ?? id,
          cutMm,
          pieces: list.filter((one) => one.mm === cutMm).length,
        })),
    ),
    wireCuts: wires.map((wire) => ({
      circuitNumber: wire.circuitNumber,
      words: wireInWords(wire.spec),
      colour: colourInWords(wire.spec.colour),
      lengthMm: wire.lengthMm,
      tag: wire.tag,
    })),
    cutGroups,
    tools: [...new Set(needs.flatMap((need) => need.toolNames))],
    unanswered,
    counted: catalogue.uncounted !== true,
    ready: catalogue.uncounted !== true && unanswered.length === 0 && lines.every((line) => line.state !== 'short'),
  };
}

type WireNeed = NonNullable<KitNeed['wire']>;

/** What makes wire the same: size, jacket and colour. Other colours are never cut for one another. */
const wireKey = (spec: WireSpec): string => `${wireInWords(spec)}, ${colourInWords(spec.colour)}`;

/** The inserts of each wire, cut from its reels, rests and scrap on hand. */
function groupsOfWire(wires: readonly WireNeed[], catalogue: Catalogue): CutGroup[] {
  return [...new Set(wires.map((wire) => wireKey(wire.spec)))].map((key): CutGroup => {
    const pieces = wires
      .filter((wire) => wireKey(wire.spec) === key)
      .map((wire, index): Piece => ({
        id: `circuit ${wire.circuitNumber}${index > 0 && wires.filter((other) => other.circuitNumber === wire.circuitNumber).length > 1 ? ` (${index + 1})` : ''}`,
        mm: Math.ceil(wire.lengthMm - 1e-6),
      }));
    const reels = catalogue.wires
      .filter((item) => wireKey(item.wire) === key && item.lengthMm > 0)
      .map((item) => ({ id: item.id, lengthMm: item.lengthMm }));
    return { id: `wire ${key}`, name: `Wire ${key}`, from: 'reel', list: cutWire(pieces, reels) };
  });
}

/** The first pieces of several, each with its length. */
const inWords = (pieces: readonly Piece[]): string => {
  const first = pieces.slice(0, 4).map((piece) => figure(piece.mm, 0));
  return `${first.join(' + ')}${pieces.length > 4 ? ` and ${pieces.length - 4} more` : ''} mm`;
};

/** What is said of pieces that a cut list does not have: those that cannot be cut, and those that found no place. */
export const notCut = ({ missing, open }: Pick<CutList, 'missing' | 'open'>): string =>
  [
    missing.length > 0 ? `Find ${inWords(missing)}, each in one piece, from a scrap harness or reel.` : '',
    open.length > 0
      ? `${inWords(open)} found no place in the rests; that they have none is not proved. Try it, or take a longer reel.`
      : '',
  ]
    .filter((words) => words !== '')
    .join(' ');

function wireLine({ id, name, list }: CutGroup, wires: readonly WireNeed[], catalogue: Catalogue): KitLine {
  const own = wires.filter((wire) => `wire ${wireKey(wire.spec)}` === id);
  const need = sum(own.map((wire) => Math.ceil(wire.lengthMm - 1e-6)));
  const have = sum(catalogue.wires.filter((item) => `wire ${wireKey(item.wire)}` === id).map((item) => item.lengthMm));
  const tag = own.some((wire) => wire.tag);
  const short = list.missing.length + list.open.length > 0;
  const note = short ? notCut(list) : tag ? 'Another colour: tag both ends with the circuit number.' : '';
  return { id, name, need, have, unit: 'mm', state: short ? 'short' : tag ? 'instead' : 'have', note };
}
