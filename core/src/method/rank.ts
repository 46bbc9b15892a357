import { GENERIC_PARTS, isPerJoint, type Catalogue, type Part, type Tool, type ToolTask } from '../catalogue/index.ts';
import type { Practice } from '../practice/index.ts';
import {
  centreWindowOfLead, centreWindowOfOne, centreWindowsOfTwo, holds, legalCentres, splicesFromSlack, sumAreaMm2, type JointWires,
} from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import { wireFacts, type WireFacts } from '../wire/index.ts';
import { METHODS } from './kinds/index.ts';
import { PLACE_RULES, PRACTICE_RULES } from './rules/place.ts';
import { CARE_RULES } from './rules/care.ts';
import { orderOf, PREFERENCES } from './rules/preference.ts';
import { SHELF_RULES } from './rules/shelf.ts';
import type { Method, MethodCase, MethodStatus, RankedMethod, Rule, RuleHit, Site, SizedJoint, Sizing } from './types.ts';

/** Every rule that bars, warns or requires, in the order in which they are shown. */
export const RULES: readonly Rule[] = [...PLACE_RULES, ...PRACTICE_RULES, ...SHELF_RULES, ...CARE_RULES];

/** The joints of a repair with one splice, or with an insert between two. */
function jointsWanted(site: Site, splices: 1 | 2): JointWires[] {
  const own = wireFacts(site.wire);
  const far = wireFacts(site.farWire);
  const branches = site.branchWires.map(wireFacts);
  const insert = wireFacts(site.insertWire);
  if (site.lead) return site.lead.atStart ? [{ left: [insert], right: [far] }] : [{ left: [own], right: [insert] }];
  if (splices === 1) return [{ left: [own], right: [far, ...branches] }];
  return [{ left: [own], right: [insert] }, { left: [insert], right: [far, ...branches] }];
}

type Failure = Extract<Sizing, { readonly ok: false }>;

interface Sized {
  readonly joints: readonly SizedJoint[];
  readonly parts: readonly Part[];
}

/** Sizes every joint from one set of parts; the first failure speaks for all. */
function sizeAll(method: Method, wanted: readonly JointWires[], site: Pick<Site, 'duty' | 'freedEndMm'>, parts: readonly Part[], practice: Practice): Sized | Failure {
  const joints: SizedJoint[] = [];
  const amongUnlike = wanted.length > 1 && wanted.some(({ left, right }) => Math.abs(sumAreaMm2(left) - sumAreaMm2(right)) > 1e-9);
  for (const wires of wanted) {
    const sized = method.size({ wires, duty: site.duty, parts, practice, amongUnlike, freedEndMm: method.window ? site.freedEndMm : undefined });
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
}

/** Makes a catalogue ready for one plan. */
export function readyShelf(catalogue: Catalogue, practice: Practice): ReadyShelf {
  const stocked = (splices: number): Part[] => catalogue.parts.filter((part) => part.quantity >= (isPerJoint(part) ? splices : 1));
  return { catalogue, practice, stockedFor: { 1: stocked(1), 2: stocked(2) }, sized: new Map() };
}

const wireKey = (wire: WireFacts): string => `${wire.areaMm2}/${wire.conductorMm}/${wire.jacketMm}/${String(wire.solid)}`;
const jointsKey = (joints: readonly JointWires[]): string => joints.map((joint) => `${joint.left.map(wireKey).join('+')}|${joint.right.map(wireKey).join('+')}`).join(' ');

/** What no other part would mend: the number of wires and the duty. */
const FIXED: ReadonlySet<Failure['lacks']> = new Set(['wires', 'duty']);

/** First from what is on the shelf, then from what is listed, then from what exists; so a missing part can be named. */
function sizeFromShelf(method: Method, joints: readonly JointWires[], site: Site, splices: 1 | 2, shelf: ReadyShelf): Sized | Failure {
  const key = `${method.id} ${site.duty} ${splices} ${method.window ? (site.freedEndMm ?? '') : ''} ${jointsKey(joints)}`;
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

function missingParts(joints: readonly SizedJoint[], catalogue: Catalogue, parts: readonly Part[]): string[] {
  const uses = new Map<string, number>();
  for (const joint of joints) {
    for (const id of new Set(joint.usesPartIds)) uses.set(id, (uses.get(id) ?? 0) + 1);
  }
  return [...uses].flatMap(([id, count]) => {
    const listed = catalogue.parts.find((part) => part.id === id);
    const part = listed ?? parts.find((other) => other.id === id);
    return (listed?.quantity ?? 0) >= (part && !isPerJoint(part) ? 1 : count) ? [] : [part?.name ?? id];
  });
}

const rankOfTool = (tool: Tool, asOf: string | undefined): number =>
  (tool.ratchet ? 0 : 2) + (tool.calibratedUntil !== undefined && (asOf === undefined || tool.calibratedUntil >= asOf) ? 0 : 1);

/** Dies of these close round all wires at once: their range is for the copper in all. */
const BY_TOTAL: ReadonlySet<ToolTask> = new Set<ToolTask>(['crimpClip', 'crimpMultiClip', 'crimpCap']);

/** The best tool for each task of a method, and the tasks for which there is none. */
function pickTools(method: Method, site: Site, wanted: readonly JointWires[], catalogue: Catalogue): { tools: Tool[]; missing: ToolTask[] } {
  const sums = wanted.map((joint) => [sumAreaMm2(joint.left), sumAreaMm2(joint.right)] as const);
  const ends = sums.flat();
  const totals = sums.map(([left, right]) => left + right);
  const tools: Tool[] = [];
  const missing: ToolTask[] = [];
  for (const task of method.tasks) {
    const able = catalogue.tools
      .filter((tool) => tool.tasks.includes(task))
      .filter(({ range }) => range === undefined || (BY_TOTAL.has(task) ? (method.window ? totals.map((total, index) => total - (sums[index]?.[0] ?? 0)) : totals) : ends).every((area) => holds(range, area)))
      .sort((a, b) => rankOfTool(a, site.asOf) - rankOfTool(b, site.asOf) || a.id.localeCompare(b.id));
    if (able[0]) tools.push(able[0]);
    else missing.push(task);
  }
  return { tools, missing };
}

/** Whether the joints' bodies find a legal place, by their windows and the keep-outs; a circuit's own two never overlap. */
function hasRoom(site: Site, joints: readonly SizedJoint[]): boolean {
  const [first, second] = joints;
  if (!first) return false;
  if (!second) {
    const window = site.lead ? centreWindowOfLead(site.lost, site.lead.atStart, first.reach, site.lead.mostMm) : centreWindowOfOne(site.lost, site.slackMm, first.reach);
    return legalCentres(window, first.bodyLengthMm, site.keepOuts).length > 0;
  }
  const windows = centreWindowsOfTwo(site.lost, first.reach, second.reach);
  const leftmost = legalCentres(windows.left, first.bodyLengthMm, site.keepOuts)[0]?.fromMm;
  const rightmost = legalCentres(windows.right, second.bodyLengthMm, site.keepOuts).at(-1)?.toMm;
  if (leftmost === undefined || rightmost === undefined) return false;
  return rightmost - leftmost >= (first.bodyLengthMm + second.bodyLengthMm) / 2 - 1e-9;
}

const NO_ROOM: Omit<RuleHit, 'because'> = {
  ruleId: 'place.noRoom', verdict: 'refuse', overridable: false, source: 'keep-outs are never broken', allowedIf: 'a keep-out were moved, or the stub beside the connector released',
};

function noRoomSentence(site: Site, joints: readonly SizedJoint[]): string {
  const body = Math.max(...joints.map((joint) => joint.bodyLengthMm));
  const near = site.keepOuts.map((keep) => keep.name).filter((name) => name !== '').join(', ');
  return `Its body of ${figure(body, 1)} mm finds no legal place beside the loss at ${figure(site.lost.fromMm, 0)}–${figure(site.lost.toMm, 0)} mm (kept clear: ${near}).`;
}

/** One method sized with the fewest splices that its reach and the keep-outs allow. */
function caseOf(method: Method, site: Site, shelf: ReadyShelf, wantedFor: (splices: 1 | 2) => readonly JointWires[]): { where: MethodCase; barred: RuleHit[] } {
  const { catalogue, practice } = shelf;
  const build = (splices: 1 | 2): { where: MethodCase; barred: RuleHit[] } => {
    const wanted = wantedFor(splices);
    const sized = sizeFromShelf(method, wanted, site, splices, shelf);
    const { tools, missing } = pickTools(method, site, wanted, catalogue);
    const joints = 'joints' in sized ? sized.joints : [];
    const where: MethodCase = {
      method, site, practice, catalogue, joints, splices, tools, missingTasks: missing,
      missingParts: 'joints' in sized ? missingParts(joints, catalogue, sized.parts) : [],
    };
    if (!('joints' in sized)) {
      const ruleId = { barrel: 'size.noPartHolds', sleeve: 'sleeve.none', wires: 'size.tooManyWires', duty: 'tap.cannotRejoin' }[sized.lacks];
      return { where, barred: [{ ruleId, verdict: 'refuse', because: sized.because, source: 'an end whose copper no part holds', overridable: false }] };
    }
    if (!hasRoom(site, joints)) return { where, barred: [{ ...NO_ROOM, because: noRoomSentence(site, joints) }] };
    return { where, barred: [] };
  };
  if (site.lead) return build(1);
  if (!site.twoRequired) {
    const one = build(1);
    const reach = one.where.joints[0]?.reach;
    const reaches = reach !== undefined && splicesFromSlack(site.lost.toMm - site.lost.fromMm, site.slackMm, reach) === 1;
    if (!reach || method.family === 'tap' || method.window || (reaches && one.barred.length === 0)) return one;
  }
  return build(2);
}

/** Refused methods stand in the plain order of methods: what they would have been good at no longer counts. */
const compareRefused = (a: MethodCase, b: MethodCase): number => a.method.order.damp - b.method.order.damp;

/** Rules that the shop has switched off say nothing; a refusal that no practice may lift cannot be switched off. */
export const isSwitchable = (rule: Pick<Rule, 'overridable' | 'verdict'>): boolean => rule.overridable && rule.verdict !== 'shelf';

function comparePreference(a: MethodCase, b: MethodCase): number {
  for (const preference of PREFERENCES) {
    if (a.practice.off.includes(preference.id)) continue;
    const difference = preference.penalty(a) - preference.penalty(b);
    if (Math.abs(difference) > 1e-9) return difference;
  }
  return 0;
}

const lower = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** The preference that decided between two, told from the better one's side or from the other's. */
const decider = (better: MethodCase, worse: MethodCase, isBest: boolean): RuleHit | undefined => {
  const rule = PREFERENCES.find((preference) => !better.practice.off.includes(preference.id) && Math.abs(preference.penalty(better) - preference.penalty(worse)) > 1e-9);
  return rule && { ruleId: rule.id, verdict: 'prefer', because: isBest ? rule.because(better, worse) : (rule.against?.(better, worse) ?? `After ${lower(better.method.name)}: ${lower(rule.because(better, worse))}`), source: rule.source, overridable: true };
};

const statusOf = (hits: readonly RuleHit[]): MethodStatus =>
  hits.some((hit) => hit.verdict === 'refuse') ? 'refused' : hits.some((hit) => hit.verdict === 'shelf') ? 'shelf' : 'allowed';

const STATUS_ORDER: Record<MethodStatus, number> = { allowed: 0, shelf: 1, refused: 2 };

/**
 * Ranks every method at a site, the refused ones too: allowed first by the order of preference, then those that only lack
 * something on the shelf, then those that a rule refuses. Each carries the rules that spoke and the sentence that decided.
 * Pure: the same site, practice and catalogue always give the same ranking; what the shelf remembers is only what it would size again.
 */
export function rankMethods(site: Site, shelf: ReadyShelf): RankedMethod[] {
  const wanted = { 1: jointsWanted(site, 1), 2: jointsWanted(site, 2) };
  const { practice } = shelf;
  const rules = practice.off.length === 0 ? RULES : RULES.filter((rule) => !(isSwitchable(rule) && practice.off.includes(rule.id)));
  const judged = METHODS.map((method) => {
    const { where, barred } = caseOf(method, site, shelf, (splices) => wanted[splices]);
    const spoken = rules.flatMap((rule): RuleHit[] => {
      const because = rule.speaks(where);
      if (because === undefined) return [];
      return [{ ruleId: rule.id, verdict: rule.verdict, because, source: rule.source, overridable: rule.overridable, allowedIf: rule.allowedIf }];
    });
    const hits = [...barred, ...spoken];
    return { where, hits, status: statusOf(hits) };
  });
  const firstSoldered = judged.filter(({ where, status }) => where.method.family === 'soldered' && status === 'allowed').sort((a, b) => orderOf(a.where) - orderOf(b.where))[0];
  const cases = judged.map((one) => (one === firstSoldered ? { ...one, where: { ...one.where, firstOfSoldered: true } } : one)).sort((a, b) => STATUS_ORDER[a.status] - STATUS_ORDER[b.status] || (a.status === 'refused' ? compareRefused(a.where, b.where) : comparePreference(a.where, b.where)));

  const [best, second] = cases;
  // What the best is told apart from: the first allowed one that is made another way, which says more than its own like.
  const unlike = cases.find(({ where, status }, index) => index > 0 && status === 'allowed' && (where.method.family === 'closedBarrel' || where.method.family === 'openClip') && where.method.family !== best?.where.method.family);
  return cases.map(({ where, hits, status }, index) => {
    const rival = index === 0 ? (unlike ?? second) : best;
    const decided =
      status !== 'allowed' || !best || !rival || rival.status !== 'allowed'
        ? undefined
        : index === 0 ? decider(where, rival.where, true) : decider(best.where, where, false);
    return {
      methodId: where.method.id,
      name: where.method.name,
      family: where.method.family,
      status,
      splices: where.splices,
      joints: where.joints,
      hits: decided ? [...hits, decided] : hits,
      because: sentence(status, hits, decided, index === 0),
      toolNames: where.tools.map((tool) => tool.name),
      usableWithReason: where.joints.length > 0 && hits.every((hit) => (hit.verdict !== 'refuse' && hit.verdict !== 'shelf') || hit.overridable),
    };
  });
}

function sentence(status: MethodStatus, hits: readonly RuleHit[], decided: RuleHit | undefined, isBest: boolean): string {
  if (status !== 'allowed') return hits.find((hit) => hit.verdict === (status === 'refused' ? 'refuse' : 'shelf'))?.because ?? '';
  if (!decided) return isBest ? 'The only one that every rule allows here.' : '';
  return decided.because;
}
