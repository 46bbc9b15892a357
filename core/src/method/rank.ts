import { lackNamed, lackOfSize, TOOL_TASKS } from '../catalogue/index.ts';
import { familyOf, METHODS, type AnyMethod, type SizedJoint } from '../family/index.ts';
import { splicesFromSlack } from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import {
  pickTools,
  sizeFromShelf,
  wantedAt,
  type Prepared,
  type ToRank,
  type Failure,
  type ReadyShelf,
} from './ready.ts';
import { missingParts } from './missing.ts';
import { needsAt } from './pick.ts';
import { hasRoom } from './room.ts';
import type { Source } from './source.ts';
import { deciding, equalTo, ONLY_ONE, statusOf } from './standing.ts';
import { CARE_RULES } from './rules/care.ts';
import { orderOf, PREFERENCES } from './rules/preference.ts';
import { PLACE_RULES, PRACTICE_RULES } from './rules/place.ts';
import { SHELF_RULES } from './rules/shelf.ts';
import type { MethodCase, MethodStatus, RankedMethod, Rule, RuleHit, Site } from './types.ts';

/** Every rule that bars, warns or requires, in the order in which they are shown. */
export const RULES: readonly Rule[] = [...PLACE_RULES, ...PRACTICE_RULES, ...SHELF_RULES, ...CARE_RULES];

const NO_ROOM: Omit<RuleHit, 'because'> = {
  ruleId: 'place.noRoom',
  verdict: 'refuse',
  overridable: false,
  source: 'geometry of the harness; practice figure: distances kept clear',
  allowedIf: 'a keep-out were moved, or the stub beside the connector released',
};

function noRoomSentence(site: Site, joints: readonly SizedJoint[]): string {
  const body = Math.max(...joints.map((joint) => joint.bodyLengthMm));
  const near = site.keepOuts
    .map((keep) => keep.name)
    .filter((name) => name !== '')
    .join(', ');
  return `Its body of ${figure(body, 1)} mm finds no legal place beside the loss at ${figure(site.lost.fromMm, 0)}–${figure(site.lost.toMm, 0)} mm (kept clear: ${near}).`;
}

/** Free wire beyond this is as good as any, mm: no sleeve and no parking wants more. */
const FREE_ENOUGH_MM = 500;

/** One method sized with the fewest splices that its reach and the keep-outs allow. */
function prepare(method: AnyMethod, site: Site, shelf: ReadyShelf, wanted: ToRank['wanted']): Prepared {
  const build = (splices: 1 | 2): Prepared => {
    const sized = sizeFromShelf(method, wanted[splices], site, splices, shelf);
    return {
      method,
      splices,
      sized,
      freeMm: Math.min(FREE_ENOUGH_MM, needsAt(site, splices).freeMm),
      room: !('joints' in sized) || (sized.arePlaced && (sized.joints.length === 1 || hasRoom(site, sized.joints))),
    };
  };
  if (site.lead) return build(1);
  if (!site.twoRequired) {
    const one = build(1);
    const reach = 'joints' in one.sized ? one.sized.joints[0]?.reach : undefined;
    const reaches =
      reach !== undefined && splicesFromSlack(site.lost.toMm - site.lost.fromMm, site.slackMm, reach) === 1;
    // What holds no joint of one splice may hold both of an insert, whose own wire is another one.
    if (!reach && !method.leavesWhole) {
      const two = build(2);
      return 'joints' in two.sized ? two : one;
    }
    if (!reach || method.leavesWhole || (reaches && one.room)) return one;
  }
  return build(2);
}

/** Splices that even a barrel with no lap needs here. */
const leastSplices = ({ lead, twoRequired, lost, slackMm }: Site, { leavesWhole }: AnyMethod): 1 | 2 =>
  lead || leavesWhole ? 1 : twoRequired ? 2 : splicesFromSlack(lost.toMm - lost.fromMm, slackMm, { kind: 'butt' });

const SIZING_RULES: Record<Failure['lacks'], string> = {
  barrel: 'size.noPartHolds',
  sleeve: 'sleeve.none',
  wires: 'size.tooManyWires',
  solid: 'solid.interlaced',
  duty: 'tap.cannotRejoin',
};

/** Where a sizing that failed got its figures. */
const BARRED_FROM: Record<Failure['lacks'], Source> = {
  barrel: 'stamped on the part, else usual: copper range, 2 % at both limits',
  sleeve: 'practice figure: how a sleeve slides and grips',
  wires: 'trade practice',
  solid: 'trade practice',
  duty: 'trade practice',
};

/** What rules look at, and what bars the method before they do. */
function caseOf(
  { method, splices, sized, room, freeMm }: Prepared,
  site: Site,
  shelf: ReadyShelf,
  wanted: ToRank['wanted'],
): { where: MethodCase; barred: RuleHit[] } {
  const { tools, missing } = pickTools(method, site, wanted[splices], shelf);
  const joints = 'joints' in sized ? sized.joints : [];
  const where: MethodCase = {
    method,
    family: familyOf(method.id),
    site,
    practice: shelf.practice,
    catalogue: shelf.catalogue,
    facts: shelf.facts,
    wires: wanted[splices].joints,
    joints,
    splices,
    freeMm,
    tools,
    missingTasks: missing,
    passed: 'joints' in sized ? sized.passed : [],
    missingParts: 'joints' in sized ? missingParts(joints, shelf.facts, sized.parts) : [],
  };
  if (!('joints' in sized))
    return {
      where,
      barred: [
        {
          ruleId: SIZING_RULES[sized.lacks],
          verdict: 'refuse',
          because: sized.because,
          source: BARRED_FROM[sized.lacks],
          overridable: false,
          orders: sized.wanted && [
            lackOfSize(sized.wanted.name, sized.wanted.takes, site.placeC, leastSplices(site, method)),
          ],
        },
      ],
    };
  return { where, barred: room ? [] : [{ ...NO_ROOM, because: noRoomSentence(site, joints) }] };
}

/** Refused methods stand in the plain order of methods: what they would have been good at no longer counts. */
const compareRefused = (a: MethodCase, b: MethodCase): number => orderOf(a) - orderOf(b);

/** Rules that the shop has switched off say nothing; a refusal that no practice may lift cannot be switched off. */
export const isSwitchable = (rule: Pick<Rule, 'overridable' | 'verdict'>): boolean =>
  rule.overridable && rule.verdict !== 'shelf';

/** What each preference holds against a method, in their order. */
const penaltiesOf = (where: MethodCase): number[] =>
  PREFERENCES.map((preference) => (where.practice.off.includes(preference.id) ? 0 : preference.penalty(where)));

function comparePenalties(a: readonly number[], b: readonly number[]): number {
  for (const [index, penalty] of a.entries()) {
    const difference = penalty - (b[index] ?? 0);
    if (Math.abs(difference) > 1e-9) return difference;
  }
  return 0;
}

const lower = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** The preference that decided between two, told from the better one's side or from the other's. */
const decider = (better: MethodCase, worse: MethodCase, isBest: boolean): RuleHit | undefined => {
  const rule = PREFERENCES.find(
    (preference) =>
      !better.practice.off.includes(preference.id) &&
      Math.abs(preference.penalty(better) - preference.penalty(worse)) > 1e-9,
  );
  return (
    rule && {
      ruleId: rule.id,
      verdict: 'prefer',
      because: isBest
        ? rule.because(better, worse)
        : (rule.against?.(better, worse) ??
          `After ${lower(better.method.name)}: ${lower(rule.because(better, worse))}`),
      source: rule.source,
      overridable: true,
    }
  );
};

const STATUS_ORDER: Record<MethodStatus, number> = { allowed: 0, shelf: 1, refused: 2 };

/**
 * Ranks every method at a site, the refused ones too: allowed first by the order of preference, then those that only
 * lack something on the shelf, then those that a rule refuses. Each carries the rules that spoke and the sentence that
 * decided. Pure: the same site, practice and catalogue always give the same ranking; what the shelf remembers is only
 * what it would work out again.
 */
export function rankMethods(site: Site, shelf: ReadyShelf): readonly RankedMethod[] {
  const wanted = { 1: wantedAt(site, 1, shelf), 2: wantedAt(site, 2, shelf) };
  const prepared = METHODS.map((method) => shelf.alike.prepared(prepare(method, site, shelf, wanted)));
  return shelf.ranked.recall({ prepared: shelf.alike.list(prepared), site, wanted }, (seen) => rank(seen, shelf));
}

/** What the wire itself forbids is said before what no part of its size would hold. */
const isOfWire = (hit: RuleHit): boolean => hit.isOfWire === true;

/** A ranking is of a place, and of how each method stands there before any rule is asked. */
function rank({ prepared, site, wanted }: ToRank, shelf: ReadyShelf): RankedMethod[] {
  const { practice } = shelf;
  const rules =
    practice.off.length === 0 ? RULES : RULES.filter((rule) => !(isSwitchable(rule) && practice.off.includes(rule.id)));
  const judged = prepared.map((one) => {
    const { where, barred } = caseOf(one, site, shelf, wanted);
    // A method that cannot do this at all is not asked about the place as well.
    const asked = barred.some((hit) => hit.ruleId === 'tap.cannotRejoin') && !where.family.temporary ? [] : rules;
    const spoken = asked.flatMap((rule): RuleHit[] => {
      const because = rule.speaks(where);
      if (because === undefined) return [];
      return [
        {
          ruleId: rule.id,
          verdict: rule.verdict,
          because,
          source: rule.source,
          overridable: rule.overridable,
          allowedIf: rule.allowedIf,
          isOfWire: rule.isOfWire,
          orders: rule.orders?.(where),
        },
      ];
    });
    const hits = [...spoken.filter(isOfWire), ...barred, ...spoken.filter((hit) => !isOfWire(hit))];
    return { where, hits, status: statusOf(hits) };
  });
  const firstSoldered = judged
    .filter(({ where, status }) => where.family.joins === 'solder' && status === 'allowed')
    .sort((a, b) => orderOf(a.where) - orderOf(b.where))[0];
  const cases = judged
    .map((one) => (one === firstSoldered ? { ...one, where: { ...one.where, firstOfSoldered: true } } : one))
    .map((one) => ({ ...one, penalties: one.status === 'refused' ? [] : penaltiesOf(one.where) }))
    .sort(
      (a, b) =>
        STATUS_ORDER[a.status] - STATUS_ORDER[b.status] ||
        (a.status === 'refused' ? compareRefused(a.where, b.where) : comparePenalties(a.penalties, b.penalties)),
    );

  const [best, second] = cases;
  // What the best is told apart from: the first allowed one that is made another way, which says more than its own
  // like.
  const unlike = cases.find(
    ({ where, status }, index) =>
      index > 0 &&
      status === 'allowed' &&
      where.family.joins === 'crimp' &&
      !where.family.openEnded &&
      where.family !== best?.where.family,
  );
  const possible = cases.filter(({ status }) => status !== 'refused');
  const firstIfStocked = possible.reduce<(typeof possible)[number] | undefined>(
    (first, one) => (first && comparePenalties(first.penalties, one.penalties) <= 0 ? first : one),
    undefined,
  );
  return cases.map((one, index) => {
    const { where, hits, status } = one;
    const rival = index === 0 ? (unlike ?? second) : best;
    const decided =
      status !== 'allowed' || !best || !rival || rival.status !== 'allowed'
        ? undefined
        : index === 0
          ? decider(where, rival.where, true)
          : decider(best.where, where, false);
    return {
      methodId: where.method.id,
      name: where.method.name,
      status,
      splices: where.splices,
      joints: where.joints,
      hits: decided ? [...hits, decided] : hits,
      because: sentence(one, rival?.status === 'allowed' ? rival.where : undefined, decided),
      toolNames: where.tools.map((tool) => tool.name),
      crimpTool: where.tools.find((tool) =>
        tool.tasks.some((task) => TOOL_TASKS[task].isCrimp && where.method.tasks.includes(task)),
      ),
      lacks: [...where.missingParts, ...where.missingTasks.map((task) => lackNamed(TOOL_TASKS[task].tool))],
      passed: where.passed,
      usableWithReason:
        where.joints.length > 0 &&
        hits.every((hit) => (hit.verdict !== 'refuse' && hit.verdict !== 'shelf') || hit.overridable),
      firstIfStocked: one === firstIfStocked,
    };
  });
}

/** Why a method stands where it stands, beside the allowed one that it is told apart from. */
function sentence(
  { status, hits }: { readonly status: MethodStatus; readonly hits: readonly RuleHit[] },
  rival: MethodCase | undefined,
  decided: RuleHit | undefined,
): string {
  if (status !== 'allowed') return deciding(hits)?.because ?? '';
  if (decided) return decided.because;
  return rival ? equalTo(lower(rival.method.name)) : ONLY_ONE;
}
