import { figure } from '../units/index.ts';
import type { Range, Stocked } from './stocked.ts';

/** A part of any kind, as far as all kinds are alike. */
export interface AnyPart extends Stocked {
  readonly kind: string;
}

/** One of the words that a field may hold, and how it is read out. */
export interface FieldChoice {
  readonly value: string;
  readonly words: string;
}

/**
 * A figure or word that a kind of part has: where it stands in the part, what it is called, in what unit, within which
 * limits.
 */
export interface PartField {
  /** Path in the part, with a dot where it is nested. */
  readonly path: string;
  readonly title: string;
  readonly unit?: 'mm' | 'mm²' | 'A';
  /** `text` is a name or number as it stands on the part, `leads` its wires one by one. */
  readonly type: 'number' | 'whole' | 'choice' | 'text' | 'leads';
  /** It is above this, or at least this where `fromIsAllowed`. */
  readonly from: number;
  readonly fromIsAllowed?: boolean;
  readonly to: number;
  /** Path of the field that it has to be above. */
  readonly above?: string;
  readonly choices?: readonly FieldChoice[];
  readonly optional?: boolean;
}

/** Where a part is listed on the shelf, in the order of the list. */
export const SHELF_GROUPS = {
  butts: 'Butts and step-downs',
  clips: 'Clips and caps',
  sleeves: 'Sleeves and tape',
  solder: 'Solder',
  terminals: 'Terminals',
  seals: 'Seals and plugs',
  housings: 'Housings and pigtails',
} as const;
export type ShelfGroup = keyof typeof SHELF_GROUPS;

/**
 * All that is to be said of one kind of part: what it is called, where it is listed, what is stamped on it, what is
 * usual.
 */
export interface PartKind<P extends AnyPart = AnyPart> {
  readonly kind: P['kind'];
  readonly words: string;
  readonly group: ShelfGroup;
  readonly fields: readonly PartField[];
  /** What a part takes, in a few words. */
  fits(part: P): string;
  /** What is wrong with its fields together. */
  problem?(this: void, part: P): string | undefined;
  /** One of each usual size; none is there until a shop counts it. */
  readonly usual: readonly P[];
  /** One stick, roll or reel does for many joints; of all others a joint or a cavity takes one each. */
  readonly isBulk?: boolean;
  /** The bore that takes both ends of a joint as they are, of a part that has one. */
  boreOf?(part: P): Range;
}

/** Lists parted by kind so far: a list is never changed, and the same one is asked for every method. */
const PARTED = new WeakMap<readonly AnyPart[], Map<string, readonly AnyPart[]>>();

function partedByKind(parts: readonly AnyPart[]): ReadonlyMap<string, readonly AnyPart[]> {
  const known = PARTED.get(parts);
  if (known) return known;
  const made = new Map<string, AnyPart[]>();
  for (const part of parts) {
    const list = made.get(part.kind);
    if (list) list.push(part);
    else made.set(part.kind, [part]);
  }
  PARTED.set(parts, made);
  return made;
}

/** The parts of one kind, in their order. */
export const ofKind = <P extends AnyPart>(parts: readonly AnyPart[], { kind }: PartKind<P>): readonly P[] =>
  (partedByKind(parts).get(kind) ?? []) as readonly P[];

/** "1.04–2.63 mm²". */
export const rangeInWords = (range: Range): string => `${figure(range.minMm2)}–${figure(range.maxMm2)} mm²`;

const MOST_MM = 500;
const MOST_MM2 = 500;
const MOST_JACKET_MM = 100;
const MOST_SIGNS = 60;

/** A length or a thickness: above 0, to 500 mm, where nothing else is said. */
export const mmField = (path: string, title: string, from = 0, to = MOST_MM): PartField => ({
  path,
  title,
  unit: 'mm',
  type: 'number',
  from,
  to,
});
/** A range of copper; its upper limit is above its lower one. */
export const rangeFields = (path: string, title = 'Copper'): readonly PartField[] => [
  {
    path: `${path}.minMm2`,
    title: `${title} from`,
    unit: 'mm²',
    type: 'number',
    from: 0,
    fromIsAllowed: true,
    to: MOST_MM2,
  },
  {
    path: `${path}.maxMm2`,
    title: `${title} to`,
    unit: 'mm²',
    type: 'number',
    from: 0,
    to: MOST_MM2,
    above: `${path}.minMm2`,
  },
];
/** Jackets that something takes. @param optional whether a part may have none */
export const jacketFields = (optional = false, path = 'jacketMm', title = 'Jacket'): readonly PartField[] => [
  { ...mmField(`${path}.minMm`, `${title} from`, 0, MOST_JACKET_MM), fromIsAllowed: true, optional },
  { ...mmField(`${path}.maxMm`, `${title} to`, 0, MOST_JACKET_MM), above: `${path}.minMm`, optional },
];
/** Copper of each wire, mm². */
export const areaField = (path: string, title: string): PartField => ({
  path,
  title,
  unit: 'mm²',
  type: 'number',
  from: 0,
  to: MOST_MM2,
});
/** A count, both limits allowed. */
export const countField = (path: string, title: string, from: number, to: number): PartField => ({
  path,
  title,
  type: 'whole',
  from,
  fromIsAllowed: true,
  to,
});
/** One of some words. */
export const choiceField = (path: string, title: string, choices: readonly FieldChoice[]): PartField => ({
  path,
  title,
  type: 'choice',
  from: 0,
  to: 0,
  choices,
});

/** A name or number as it stands on the part, to 60 signs; a part may be without. */
export const textField = (path: string, title: string): PartField => ({
  path,
  title,
  type: 'text',
  from: 0,
  to: MOST_SIGNS,
  optional: true,
});

/** The same field, which a part may be without. */
export const mayLack = (field: PartField): PartField => ({ ...field, optional: true });

/** Of every part that stands for its kind: nothing is there, and its figures are the usual ones. */
export const usual = { quantity: 0, figuresFrom: 'usual' } as const;
