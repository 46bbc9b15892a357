import {
  GENERIC_PARTS,
  isPerJoint,
  kindOf,
  partsOf,
  TOOL_TASKS,
  type Catalogue,
  type Part,
  type Tool,
} from '../catalogue/index.ts';
import type { Practice } from '../practice/index.ts';
import { holds, sumAreaMm2, type JointWires } from '../sizing/index.ts';
import { jointsWanted } from './wanted.ts';
import { needsAt, pickFor, type Picked } from './pick.ts';
import type { WireFacts } from '../wire/index.ts';
import type { AnyMethod, SizedJoint, Sizing, ToolTask } from '../family/index.ts';
import type { RankedMethod, ShelfFacts, Site } from './types.ts';

export type Failure = Extract<Sizing, { readonly ok: false }>;

export interface Sized {
  readonly joints: readonly SizedJoint[];
  /** Each of its joints finds a legal place by itself. */
  readonly arePlaced: boolean;
  readonly parts: readonly Part[];
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
 * A catalogue under a practice, made ready once for a whole plan: what is there for one splice and for two, and the joints sized so
 * far, since many circuits of a harness are of the same wire.
 */
export interface ReadyShelf {
  readonly catalogue: Catalogue;
  readonly practice: Practice;
  /** What parts are taken from: what is there, what is listed, what exists; so that a missing part can be named. */
  readonly tiers: readonly (readonly Part[])[];
  readonly sized: Map<string, Choices | Failure>;
  /** A number for each sized joint, as long as the shelf lives. */
  readonly numberOf: (joint: SizedJoint) => number;
  readonly tooled: Map<string, Tooled>;
  readonly ranked: Map<string, readonly RankedMethod[]>;
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

/** Numbers things in the order in which they are first asked for. */
function numbering(): (joint: SizedJoint) => number {
  const numbers = new WeakMap<SizedJoint, number>();
  let last = 0;
  return (joint) => {
    const known = numbers.get(joint);
    if (known !== undefined) return known;
    last += 1;
    numbers.set(joint, last);
    return last;
  };
}

/** Whether two lines are the same part, however many there are and wherever they lie. */
function isSamePart(one: Part, other: Part): boolean {
  const figures = (part: Part): string =>
    JSON.stringify({ ...part, quantity: 0, place: undefined, figuresFrom: 'usual', colour: undefined });
  return figures(one) === figures(other);
}

/** What is there; what is listed, where that is more; what exists, where that is more still. */
function tiersOf({ parts }: Catalogue): readonly (readonly Part[])[] {
  const stocked = parts.filter((part) => part.quantity >= 1);
  const byId = new Map(parts.map((part) => [part.id, part]));
  const isListed = GENERIC_PARTS.every((part) => {
    const own = byId.get(part.id);
    return own !== undefined && isSamePart(own, part);
  });
  return [stocked, ...(stocked.length < parts.length ? [parts] : []), ...(isListed ? [] : [GENERIC_PARTS])];
}

/** Makes a catalogue ready for one plan. */
export function readyShelf(catalogue: Catalogue, practice: Practice): ReadyShelf {
  return {
    catalogue,
    practice,
    tiers: tiersOf(catalogue),
    sized: new Map(),
    numberOf: numbering(),
    tooled: new Map(),
    ranked: new Map(),
    facts: shelfFacts(catalogue),
  };
}

const wireKey = (wire: WireFacts): string =>
  `${wire.areaMm2}/${wire.conductorMm}/${wire.jacketMm}/${String(wire.solid)}`;
const jointsKey = (joints: readonly JointWires[]): string =>
  joints.map((joint) => `${joint.left.map(wireKey).join('+')}|${joint.right.map(wireKey).join('+')}`).join(' ');

/** The joints of a repair, and the key under which what was worked out for them is remembered. */
export interface Wanted {
  readonly joints: readonly JointWires[];
  readonly key: string;
}

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

/**
 * A method's joints for a site, each part picked for its place: first from what is on the shelf, then from what is listed, then from what
 * exists. A part that would have to be ordered and stands the place goes before one that lies there and does not.
 */
export function sizeFromShelf(
  method: AnyMethod,
  { joints: wanted, key: wiresKey }: Wanted,
  site: Site,
  splices: 1 | 2,
  shelf: ReadyShelf,
): Sized | Failure {
  const key = `${method.id} ${site.duty} ${method.window ? (site.freedEndMm ?? '') : ''} ${wiresKey}`;
  const needs = needsAt(site, splices);
  let failure: Failure = { ok: false, lacks: 'barrel', because: 'Nothing is listed.' };
  let best: (Sized & { readonly refused: number }) | undefined;
  for (const [tier, parts] of shelf.tiers.entries()) {
    const tierKey = `${tier} ${key}`;
    const choices = shelf.sized.get(tierKey) ?? sizeAll(method, wanted, site, parts, shelf.practice);
    shelf.sized.set(tierKey, choices);
    if ('ok' in choices) {
      failure = choices;
      if (FIXED.has(choices.lacks)) break;
      continue;
    }
    const picked: Picked[] = [];
    for (const [at, all] of choices.entries()) {
      const side = choices.length === 1 ? 'only' : at === 0 ? 'left' : 'right';
      const taken = picked.map((one) => one.joint);
      // Of what is used up by the first joint another is wanted: it is named as what is missing.
      const left = all.filter((joint) => isLeft(joint, taken, shelf));
      const one = pickFor(needs, tier === 0 && left.length > 0 ? left : all, side);
      if (one) picked.push(one);
    }
    if (picked.length < choices.length) continue;
    const refused = picked.reduce((sum, { misses }) => sum + misses.refused, 0);
    if (!best || refused < best.refused)
      best = {
        joints: picked.map(({ joint }) => joint),
        arePlaced: picked.every(({ misses }) => misses.isPlaced),
        parts,
        refused,
      };
    if (refused === 0) break;
  }
  return best ?? failure;
}

export function missingParts(joints: readonly SizedJoint[], { byId }: ShelfFacts, parts: readonly Part[]): string[] {
  const uses = new Map<string, number>();
  for (const joint of joints) {
    for (const id of new Set(joint.usesPartIds)) uses.set(id, (uses.get(id) ?? 0) + 1);
  }
  return [...uses].flatMap(([id, count]) => {
    const listed = byId.get(id);
    const part = listed ?? parts.find((other) => other.id === id);
    return (listed?.quantity ?? 0) >= (part && !isPerJoint(part) ? 1 : count) ? [] : [part?.name ?? id];
  });
}

const rankOfTool = (tool: Tool, asOf: string | undefined): number =>
  (tool.ratchet ? 0 : 2) +
  (tool.calibratedUntil !== undefined && (asOf === undefined || tool.calibratedUntil >= asOf) ? 0 : 1);

interface Tooled {
  readonly tools: readonly Tool[];
  readonly missing: readonly ToolTask[];
}

/** The best tool for each task of a method, and the tasks for which there is none. */
export function pickTools(method: AnyMethod, site: Site, { joints, key: wiresKey }: Wanted, shelf: ReadyShelf): Tooled {
  const key = `${method.id} ${site.asOf ?? ''} ${wiresKey}`;
  const known = shelf.tooled.get(key);
  if (known) return known;
  const sums = joints.map((joint) => [sumAreaMm2(joint.left), sumAreaMm2(joint.right)] as const);
  // On a bared window the main wire runs through and counts once.
  const totals = sums.map(([left, right]) => (method.window ? right : left + right));
  const tools: Tool[] = [];
  const missing: ToolTask[] = [];
  for (const task of method.tasks) {
    const able = shelf.catalogue.tools
      .filter((tool) => tool.tasks.includes(task))
      .filter(
        ({ range }) =>
          range === undefined ||
          (TOOL_TASKS[task].isByTotal ? totals : sums.flat()).every((area) => holds(range, area)),
      )
      .sort((a, b) => rankOfTool(a, site.asOf) - rankOfTool(b, site.asOf) || a.id.localeCompare(b.id));
    if (able[0]) tools.push(able[0]);
    else missing.push(task);
  }
  const tooled = { tools, missing };
  shelf.tooled.set(key, tooled);
  return tooled;
}

/** The joints wanted at a site, with their key. */
export function wantedAt(site: Site, splices: 1 | 2): Wanted {
  const joints = jointsWanted(site, splices);
  return { joints, key: jointsKey(joints) };
}
