import {
  GENERIC_PARTS,
  isPerJoint,
  partsOf,
  type Catalogue,
  type Part,
  type Tool,
  type ToolTask,
} from '../catalogue/index.ts';
import type { Practice } from '../practice/index.ts';
import { holds, sumAreaMm2, type JointWires } from '../sizing/index.ts';
import { wireFacts, type WireFacts } from '../wire/index.ts';
import type { Method, RankedMethod, ShelfFacts, Site, SizedJoint, Sizing } from './types.ts';

/** The joints of a repair with one splice, or with an insert between two. */
function jointsWanted(site: Site, splices: 1 | 2): JointWires[] {
  const own = wireFacts(site.wire);
  const far = wireFacts(site.farWire);
  const branches = site.branchWires.map(wireFacts);
  const insert = wireFacts(site.insertWire);
  if (site.lead) return site.lead.atStart ? [{ left: [insert], right: [far] }] : [{ left: [own], right: [insert] }];
  if (splices === 1) return [{ left: [own], right: [far, ...branches] }];
  return [
    { left: [own], right: [insert] },
    { left: [insert], right: [far, ...branches] },
  ];
}

export type Failure = Extract<Sizing, { readonly ok: false }>;

export interface Sized {
  readonly joints: readonly SizedJoint[];
  readonly parts: readonly Part[];
}

/** Sizes every joint from one set of parts; the first failure speaks for all. */
function sizeAll(
  method: Method,
  wanted: readonly JointWires[],
  site: Pick<Site, 'duty' | 'freedEndMm'>,
  parts: readonly Part[],
  practice: Practice,
): Sized | Failure {
  const joints: SizedJoint[] = [];
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
    joints.push(sized.joint);
  }
  return { joints, parts };
}

/**
 * A catalogue under a practice, made ready once for a whole plan: what is there for one splice and for two, and the joints sized so
 * far, since many circuits of a harness are of the same wire.
 */
export interface ReadyShelf {
  readonly catalogue: Catalogue;
  readonly practice: Practice;
  readonly stockedFor: { readonly 1: readonly Part[]; readonly 2: readonly Part[] };
  readonly sized: Map<string, Sized | Failure>;
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
    stockedButts: [...partsOf(stocked, 'sealedButt'), ...partsOf(stocked, 'plainButt')],
  };
}

/** Makes a catalogue ready for one plan. */
export function readyShelf(catalogue: Catalogue, practice: Practice): ReadyShelf {
  const stocked = (splices: number): Part[] =>
    catalogue.parts.filter((part) => part.quantity >= (isPerJoint(part) ? splices : 1));
  return {
    catalogue,
    practice,
    stockedFor: { 1: stocked(1), 2: stocked(2) },
    sized: new Map(),
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

/** First from what is on the shelf, then from what is listed, then from what exists; so a missing part can be named. */
export function sizeFromShelf(
  method: Method,
  { joints, key: wiresKey }: Wanted,
  site: Site,
  splices: 1 | 2,
  shelf: ReadyShelf,
): Sized | Failure {
  const key = `${method.id} ${site.duty} ${splices} ${method.window ? (site.freedEndMm ?? '') : ''} ${wiresKey}`;
  const known = shelf.sized.get(key);
  if (known) return known;
  let outcome: Sized | Failure = { ok: false, lacks: 'barrel', because: 'Nothing is listed.' };
  for (const parts of [shelf.stockedFor[splices], shelf.catalogue.parts, GENERIC_PARTS]) {
    outcome = sizeAll(method, joints, site, parts, shelf.practice);
    if ('joints' in outcome || FIXED.has(outcome.lacks)) break;
  }
  shelf.sized.set(key, outcome);
  return outcome;
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
export function pickTools(method: Method, site: Site, { joints, key: wiresKey }: Wanted, shelf: ReadyShelf): Tooled {
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
          range === undefined || (BY_TOTAL.has(task) ? totals : sums.flat()).every((area) => holds(range, area)),
      )
      .sort((a, b) => rankOfTool(a, site.asOf) - rankOfTool(b, site.asOf) || a.id.localeCompare(b.id));
    if (able[0]) tools.push(able[0]);
    else missing.push(task);
  }
  const tooled = { tools, missing };
  shelf.tooled.set(key, tooled);
  return tooled;
}

/** Dies of these close round all wires at once: their range is for the copper in all. */
const BY_TOTAL: ReadonlySet<ToolTask> = new Set<ToolTask>(['crimpClip', 'crimpMultiClip', 'crimpCap']);

/** The joints wanted at a site, with their key. */
export function wantedAt(site: Site, splices: 1 | 2): Wanted {
  const joints = jointsWanted(site, splices);
  return { joints, key: jointsKey(joints) };
}
