import { GENERIC_PARTS, isPerJoint, kindOf, partsOf, type Catalogue, type Part } from '../catalogue/index.ts';
import type { Practice } from '../practice/index.ts';
import { MOST_IN_A_JOINT, sumAreaMm2, type JointWires } from '../sizing/index.ts';
import { alike } from './alike.ts';
import { rememberByReads, type Remembered } from './byReads.ts';
import { toolsFor, type Tooled } from './tools.ts';
import { jointsWanted } from './wanted.ts';
import { needsAt, pickFor, whyPassed, type Picked, type PlaceNeeds } from './pick.ts';
import type { WireFacts } from '../wire/index.ts';
import type { AnyMethod, SizedJoint, Sizing } from '../family/index.ts';
import type { RankedMethod, ShelfFacts, Site } from './types.ts';

export type Failure = Extract<Sizing, { readonly ok: false }>;

export interface Sized {
  readonly joints: readonly SizedJoint[];
  /** Each of its joints finds a legal place by itself. */
  readonly arePlaced: boolean;
  readonly parts: readonly Part[];
  /** Why parts that go before these by their size are not taken here, each by its name. */
  readonly passed: readonly string[];
}

/** By joint: everything that holds its copper, best by size first. */
type Choices = readonly (readonly SizedJoint[])[];

/** Sizes every joint from one set of parts; the first failure speaks for all. */
function sizeAll(
  method: AnyMethod,
  wanted: readonly JointWires[],
  site: Pick<Site, 'duty' | 'freedEndMm'>,
  parts: readonly Part[],
  practice: Practice,
): Choices | Failure {
  const choices: (readonly SizedJoint[])[] = [];
  const amongUnlike =
    wanted.length > 1 && wanted.some(({ left, right }) => Math.abs(sumAreaMm2(left) - sumAreaMm2(right)) > 1e-9);
  for (const wires of wanted) {
    const count = wires.left.length + wires.right.length;
    if (count > MOST_IN_A_JOINT)
      return {
        ok: false,
        lacks: 'wires',
        because: `${count} wires meet here; one joint takes ${MOST_IN_A_JOINT} at most: join them in groups, or on a ground bar or stud.`,
      };
    const sized = method.size({
      wires,
      duty: site.duty,
      parts,
      practice,
      amongUnlike,
      freedEndMm: method.window ? site.freedEndMm : undefined,
    });
    if (!sized.ok) return sized;
    choices.push(sized.joints);
  }
  return choices;
}

/**
 * A catalogue under a practice, made ready once for a whole plan: what is there for one splice and for two, and the
 * joints sized so far, since many circuits of a harness are of the same wire.
 */
export interface ReadyShelf {
  readonly catalogue: Catalogue;
  readonly practice: Practice;
  /** What parts are taken from: what is there, what is listed, what exists; so that a missing part can be named. */
  readonly tiers: readonly (readonly Part[])[];
  /** What is the same is the same thing: joints picked, methods prepared. */
  readonly alike: Alikes;
  readonly wanted: Map<string, Wanted>;
  /** Rankings so far, each by what the rules read of its place. */
  readonly ranked: Remembered<ToRank, readonly RankedMethod[]>;
  readonly facts: ShelfFacts;
}

function shelfFacts(catalogue: Catalogue): ShelfFacts {
  const sleeves = [...partsOf(catalogue.parts, 'sleeve'), ...partsOf(GENERIC_PARTS, 'sleeve')].filter(
    (part) => part.series !== 'single2to1',
  );
  const stocked = catalogue.parts.filter((part) => part.quantity > 0);
  return {
    byId: new Map(catalogue.parts.map((part) => [part.id, part])),
    bestSleeveC: Math.max(...sleeves.map((part) => part.ratedC)),
    bores: stocked.flatMap((part) => kindOf(part.kind).boreOf?.(part) ?? []),
  };
}

/**
 * How one method stands at a site before any rule is asked: its splices, its joints if they can be sized, and whether
 * they find room.
 */
export interface Prepared {
  readonly method: AnyMethod;
  readonly splices: 1 | 2;
  readonly sized: Sized | Failure;
  readonly room: boolean;
  /** Free wire beside it, mm, as far as any sleeve could want it. */
  readonly freeMm: number;
}

/** What is the same is the same thing, by the shape of the thing. */
interface Alikes {
  readonly joints: (of: readonly SizedJoint[]) => readonly SizedJoint[];
  readonly sized: (of: Sized) => Sized;
  readonly wanted: (of: Wanted) => Wanted;
  readonly prepared: (of: Prepared) => Prepared;
  readonly list: (of: readonly Prepared[]) => readonly Prepared[];
}

/** All that a ranking is made from, besides the shelf. */
export interface ToRank {
  readonly site: Site;
  readonly wanted: { readonly 1: Wanted; readonly 2: Wanted };
  readonly prepared: readonly Prepared[];
}

/** Whether two lines are the same part, however many there are and wherever they lie. */
function isSamePart(one: Part, other: Part): boolean {
  const figures = (part: Part): string =>
    JSON.stringify({ ...part, quantity: 0, place: undefined, figuresFrom: 'usual', colour: undefined });
  return figures(one) === figures(other);
}

const TIERS = new WeakMap<readonly Part[], readonly (readonly Part[])[]>();

/**
 * What is there; what is listed, where that is more; what exists, where that is more still. Told once of a list, which
 * is never changed.
 */
function tiersOf({ parts }: Catalogue): readonly (readonly Part[])[] {
  const known = TIERS.get(parts);
  if (known) return known;
  const stocked = parts.filter((part) => part.quantity >= 1);
  const byId = new Map(parts.map((part) => [part.id, part]));
  const isListed = GENERIC_PARTS.every((part) => {
    const own = byId.get(part.id);
    return own !== undefined && isSamePart(own, part);
  });
  const tiers = [stocked, ...(stocked.length < parts.length ? [parts] : []), ...(isListed ? [] : [GENERIC_PARTS])];
  TIERS.set(parts, tiers);
  return tiers;
}

/** Makes a catalogue ready for one plan. */
export function readyShelf(catalogue: Catalogue, practice: Practice): ReadyShelf {
  const firsts = new WeakSet<object>();
  return {
    catalogue,
    practice,
    tiers: tiersOf(catalogue),
    alike: {
      joints: alike(firsts),
      sized: alike(firsts),
      wanted: alike(firsts),
      prepared: alike(firsts),
      list: alike(firsts),
    },
    wanted: new Map(),
    ranked: rememberByReads((value) => firsts.has(value)),
    facts: shelfFacts(catalogue),
  };
}

const wireKey = (wire: WireFacts): string =>
  `${wire.areaMm2}/${wire.conductorMm}/${wire.jacketMm}/${String(wire.solid)}`;
const jointsKey = (joints: readonly JointWires[]): string =>
  joints.map((joint) => `${joint.left.map(wireKey).join('+')}|${joint.right.map(wireKey).join('+')}`).join(' ');

/** The joints of a repair, what they are for, and what was worked out for them so far. */
export interface Wanted extends Pick<Site, 'duty' | 'freedEndMm'> {
  readonly joints: readonly JointWires[];
  /** By method: what each tier of the shelf has for them. */
  readonly sized: Map<AnyMethod, (Choices | Failure)[]>;
  readonly tooled: Map<string, Tooled>;
}

const NOTHING_LISTED: Failure = { ok: false, lacks: 'barrel', because: 'Nothing is listed.' };

/** What no other part would mend: the number of wires and the duty. */
const FIXED: ReadonlySet<Failure['lacks']> = new Set(['wires', 'solid', 'duty']);

/** Whether what is taken already leaves enough of a joint's parts for another joint. */
function isLeft(joint: SizedJoint, taken: readonly SizedJoint[], { facts }: ReadyShelf): boolean {
  return joint.usesPartIds.every((id) => {
    const part = facts.byId.get(id);
    const used = taken.filter((other) => other.usesPartIds.includes(id)).length;
    return !part || !isPerJoint(part) || part.quantity > used;
  });
}

/** A joint of each wanted one, picked for its place from what one tier has; nothing where some joint has none. */
function pickAll(
  choices: Choices,
  needs: PlaceNeeds,
  isStock: boolean,
  shelf: ReadyShelf,
): readonly Picked[] | undefined {
  const [only, other] = choices;
  const first = only && pickFor(needs, only, other ? 'left' : 'only');
  if (!first) return undefined;
  if (!other) return [first];
  // Of what is used up by the first joint another is wanted: it is named as what is missing.
  const left = isStock ? other.filter((joint) => isLeft(joint, [first.joint], shelf)) : other;
  const second = pickFor(needs, left.length > 0 ? left : other, 'right');
  return second && [first, second];
}

/**
 * A method's joints for a site, each part picked for its place: first from what is on the shelf, then from what is
 * listed, then from what exists. A part that would have to be ordered and stands the place goes before one that lies
 * there and does not.
 */
export function sizeFromShelf(
  method: AnyMethod,
  wanted: Wanted,
  site: Site,
  splices: 1 | 2,
  shelf: ReadyShelf,
): Sized | Failure {
  const needs = needsAt(site, splices);
  const firsts: Choices[] = [];
  let failure: Failure = NOTHING_LISTED;
  let best:
    { readonly picked: readonly Picked[]; readonly parts: readonly Part[]; readonly refused: number } | undefined;
  for (const [tier, parts] of shelf.tiers.entries()) {
    const choices = choicesOf(method, wanted, tier, parts, shelf.practice);
    if ('ok' in choices) {
      failure = choices;
      if (FIXED.has(choices.lacks)) break;
      continue;
    }
    firsts.push(choices);
    const picked = pickAll(choices, needs, tier === 0, shelf);
    if (!picked) continue;
    const refused = picked.reduce((sum, { misses }) => sum + misses.refused, 0);
    if (!best || refused < best.refused) best = { picked, parts, refused };
    if (refused === 0) break;
  }
  if (!best) return failure;
  const joints = shelf.alike.joints(best.picked.map(({ joint }) => joint));
  const arePlaced = best.picked.every(({ misses }) => misses.isPlaced);
  return shelf.alike.sized({ joints, arePlaced, parts: best.parts, passed: passedOver(firsts, best.picked, needs) });
}

/** Why what goes first by size on each tier is not what was picked. */
function passedOver(firsts: readonly Choices[], picked: readonly Picked[], needs: PlaceNeeds): readonly string[] {
  const [side, other] = picked.length > 1 ? (['left', 'right'] as const) : (['only', 'only'] as const);
  return [
    ...new Set(
      firsts.flatMap((choices) =>
        choices.flatMap(([first], index) => {
          const taken = picked[index]?.joint;
          if (!first || !taken || first.partId === taken.partId) return [];
          return whyPassed(needs, first, index === 0 ? side : other) ?? [];
        }),
      ),
    ),
  ];
}

/** Everything that a tier has for the wanted joints, worked out once. */
function choicesOf(
  method: AnyMethod,
  { joints, duty, freedEndMm, sized }: Wanted,
  tier: number,
  parts: readonly Part[],
  practice: Practice,
): Choices | Failure {
  const byTier = sized.get(method) ?? [];
  const known = byTier[tier];
  if (known) return known;
  const made = sizeAll(method, joints, { duty, freedEndMm }, parts, practice);
  byTier[tier] = made;
  sized.set(method, byTier);
  return made;
}

/** Tools for a method at a site, and what there is none for: worked out once for all sites that want the same. */
export function pickTools(method: AnyMethod, site: Site, { joints, tooled: known }: Wanted, shelf: ReadyShelf): Tooled {
  const key = `${method.id} ${site.asOf ?? ''}`;
  const before = known.get(key);
  if (before) return before;
  const tooled = toolsFor(method, joints, shelf.catalogue.tools, site.asOf);
  known.set(key, tooled);
  return tooled;
}

/** The joints wanted at a site: the same thing for all sites that want the same. */
export function wantedAt(site: Site, splices: 1 | 2, shelf: ReadyShelf): Wanted {
  const { duty, freedEndMm } = site;
  const joints = jointsWanted(site, splices);
  const key = `${duty} ${freedEndMm ?? ''} ${jointsKey(joints)}`;
  const known = shelf.wanted.get(key);
  if (known) return known;
  const made = shelf.alike.wanted({ joints, duty, freedEndMm, sized: new Map(), tooled: new Map() });
  shelf.wanted.set(key, made);
  return made;
}
