import { jacketClusters, type WorkShare } from '../../approach/index.ts';
import { isAtCavity, type EarlierRepair, type Finding, type Stretch } from '../../damage/index.ts';
import type { Run } from '../../harness/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { Decided, Job } from '../types.ts';
import { extentOf, slackTakenMm, spareTakenMm, type Extent } from './extent.ts';
import { joinedWork, leaderOf, lengthMm, lostBy, mayJoin, type Work } from './work.ts';

/** Up to this length findings are joined into one repair because that saves splices, mm; a place with no room is joined whatever its length. */
export const JOINED_AT_MOST_MM = 400;

/** The wire of one circuit along one run, with all that is found on it and what was repaired on it earlier. */
export interface Line {
  readonly run: Run;
  readonly findings: readonly Finding[];
  readonly earlier: readonly EarlierRepair[];
}

/** What deciding a line asks of the job: one finding decided with its share, and where splices are made already. */
export interface LineContext {
  readonly job: Pick<Job, 'pins' | 'held'>;
  readonly practice: Practice;
  readonly decide: (finding: Finding, share: WorkShare) => Decided | undefined;
}

/** Slack of a wire between its fixed points, the run's ends; mm. */
interface Slack {
  readonly mm: number;
  readonly known: boolean;
}

/** One amount for all: the least that was measured along the run; what a tail gives at its cavity counts where nothing else was measured. */
function slackOf(findings: readonly Finding[]): Slack {
  const measured = (of: readonly Finding[]): number[] =>
    of.flatMap((one) => (one.slackMm === undefined ? [] : [one.slackMm]));
  const along = measured(findings.filter((one) => !isAtCavity(one)));
  const all = along.length > 0 ? along : measured(findings);
  return all.length > 0 ? { mm: Math.min(...all), known: true } : { mm: 0, known: false };
}

interface DecidedWork {
  readonly work: Work;
  readonly decided: Decided;
  readonly extent: Extent | undefined;
}

const DUST_MM = 1e-6;

/** What a work shares with the others: of the slack what they leave, at a cavity no more than its own tail gives. */
function shareOf(work: Work, slack: Slack, othersTakeMm: number, within: Stretch | undefined): WorkShare {
  const leader = leaderOf(work);
  const tailMm = isAtCavity(leader) && leader.slackMm !== undefined ? leader.slackMm : Infinity;
  return {
    takes: work.findings.filter((one) => one.id !== leader.id),
    cutsOut: work.cutsOut,
    slackMm: Math.max(0, Math.min(tailMm, slack.mm - othersTakeMm)),
    slackKnown: slack.known,
    othersTakeMm,
    within,
  };
}

/** Decides works that share one amount of slack: those begun first, then the smaller losses, so that the larger loss gets the insert and most slack is left. */
function decideShared(
  works: readonly Work[],
  withins: readonly (Stretch | undefined)[],
  { run }: Line,
  context: LineContext,
  slack: Slack,
): DecidedWork[] | undefined {
  const { job, practice, decide } = context;
  const order = works
    .map((work, at) => ({ work, at }))
    .sort(
      (a, b) =>
        Number(a.work.begunBy === undefined) - Number(b.work.begunBy === undefined) ||
        lengthMm(lostBy(a.work)) - lengthMm(lostBy(b.work)) ||
        a.at - b.at,
    );
  const takes = new Map<number, number>();
  // What goes first leaves less to the others; once all takes are known, each may use what is left for cutting back.
  for (const isFirst of [true, false]) {
    const results: DecidedWork[] = [];
    let spentMm = 0;
    for (const { work, at } of order) {
      const others = [...takes].filter(([other]) => other !== at).reduce((sum, [, mm]) => sum + mm, 0);
      const decided = decide(leaderOf(work), shareOf(work, slack, others + spentMm, withins[at]));
      if (!decided) return undefined;
      const takesMm = slackTakenMm(decided.decision);
      takes.set(at, takesMm);
      if (!isFirst) spentMm += spareTakenMm(decided.decision);
      const pins = job.pins.filter((pin) => pin.findingId === decided.finding.id);
      results[at] = { work, decided, extent: extentOf(decided.decision, lostDamage(work), run, practice, pins) };
    }
    if (!isFirst || works.length === 1) return results;
  }
  return undefined;
}

/** The visible damage of a work: what a cover goes over. */
const lostDamage = ({ findings }: Work): Stretch => ({
  fromMm: Math.min(...findings.map((one) => one.fromMm)),
  toMm: Math.max(...findings.map((one) => one.toMm)),
});

/** The distance that two neighbours on one wire keep: a splice from a cover the layout's own, all else nothing. */
const gapMm = (a: Extent, b: Extent, { figures }: Practice): number =>
  a.isCover === b.isCover ? 0 : figures.betweenBodiesMm;

/** Whether two works on one wire, the first to the left, find room beside each other. */
const fit = (a: Extent, b: Extent, practice: Practice): boolean =>
  a.leastRightMm + gapMm(a, b, practice) <= b.mostLeftMm + DUST_MM;

/** Whether a work cuts its wire along the run or at its end. */
const cuts = ({ decision }: Decided): boolean => decision.method !== undefined || decision.takesMm !== undefined;

/** Whether work at one end of a circuit leaves nothing to do for other findings at the same cavity: a new lead or terminal for what is mended by one, a pigtail for all. */
function takesAtCavity(a: DecidedWork, b: DecidedWork): boolean {
  const [one, other] = [leaderOf(a.work), leaderOf(b.work)];
  if (!isAtCavity(one) || !isAtCavity(other) || one.at.nodeId !== other.at.nodeId) return false;
  if ([a, b].some(({ decided }) => decided.decision.approach === 'pigtail')) return true;
  return [a, b].every(({ decided }) =>
    decided.decision.ways.some(({ way }) => way === 'newTerminal' || way === 'relead'),
  );
}

/** The first two neighbours that need each other's room, or that one piece of work at a cavity mends. */
function clashOf(decided: readonly DecidedWork[], practice: Practice): readonly [number, number] | undefined {
  for (const [at, a] of decided.entries()) {
    for (const [to, b] of decided.entries()) {
      if (to <= at || !mayJoin(a.work, b.work)) continue;
      if (takesAtCavity(a, b)) return [at, to];
      if (a.extent && b.extent && !fit(a.extent, b.extent, practice)) return [at, to];
    }
  }
  return undefined;
}

/** An earlier repair that a work cuts into, or comes too near to: it is cut out with it. */
function cutInto(
  decided: readonly DecidedWork[],
  earlier: readonly EarlierRepair[],
  practice: Practice,
): readonly [number, EarlierRepair] | undefined {
  const { betweenBodiesMm } = practice.figures;
  for (const [at, { work, decided: one, extent }] of decided.entries()) {
    if (!extent || work.begunBy !== undefined) continue;
    const lost = one.decision.lost;
    for (const repair of earlier) {
      const apartMm = Math.max(repair.fromMm - lost.toMm, lost.fromMm - repair.toMm);
      const isBefore = repair.toMm + repair.fromMm < lost.toMm + lost.fromMm;
      const there: Extent = { leastRightMm: repair.toMm, mostLeftMm: repair.fromMm, isCover: repair.kind === 'cover' };
      const fits = isBefore ? fit(there, extent, practice) : fit(extent, there, practice);
      if (!fits || (repair.kind === 'splice' && cuts(one) && apartMm < betweenBodiesMm - DUST_MM)) return [at, repair];
    }
  }
  return undefined;
}

/**
 * Of neighbours that together would need fewer splices, those that save most; then those with the shorter stretch. Three that follow each
 * other may save what no two of them do.
 */
function savingOf(decided: readonly DecidedWork[], context: LineContext, slack: Slack): readonly number[] | undefined {
  const splices = ({ decision }: Decided): number => decision.method?.splices ?? 0;
  let best: { readonly works: readonly number[]; readonly saves: number; readonly mm: number } | undefined;
  for (const [at, first] of decided.entries()) {
    let work = first.work;
    const group = [at];
    for (const [after, next] of decided.slice(at + 1).entries()) {
      if (!cuts(first.decided) || !cuts(next.decided) || !mayJoin(work, next.work)) break;
      work = joinedWork(work, next.work);
      const mm = lengthMm(lostBy(work));
      if (mm > JOINED_AT_MOST_MM + DUST_MM) break;
      group.push(at + 1 + after);
      const apart = group.reduce((sum, one) => sum + (decided[one] ? splices(decided[one].decided) : 0), 0);
      // One splice at least is left.
      if (apart - 1 < Math.max(1, best?.saves ?? 0)) continue;
      const others = decided
        .filter((_, other) => !group.includes(other))
        .reduce((sum, one) => sum + slackTakenMm(one.decided.decision), 0);
      const together = context.decide(leaderOf(work), shareOf(work, slack, others, undefined));
      if (!together?.decision.method) continue;
      const saves = apart - splices(together);
      if (saves > 0 && (!best || saves > best.saves || (saves === best.saves && mm < best.mm)))
        best = { works: [...group], saves, mm };
    }
  }
  return best?.works;
}

const middle = (mm: number, fromMm: number, toMm: number): number => Math.min(Math.max(mm, fromMm), toMm);

/** What of the wire is free for each work: up to the next one on either side, and to earlier repairs. */
function withinsOf(decided: readonly DecidedWork[], { earlier }: Line, practice: Practice): (Stretch | undefined)[] {
  const { betweenBodiesMm } = practice.figures;
  return decided.map(({ extent: own, work, decided: { decision } }, at) => {
    if (!own || own.isCover) return undefined;
    let [fromMm, toMm] = [-Infinity, Infinity];
    for (const [other, { extent, decided: there }] of decided.entries()) {
      if (other === at || !extent) continue;
      const apart = gapMm(own, extent, practice);
      if (other < at) {
        const mid = (there.decision.lost.toMm + decision.lost.fromMm) / 2;
        fromMm = Math.max(
          fromMm,
          extent.isCover
            ? extent.leastRightMm + apart
            : middle(mid, extent.leastRightMm, Math.max(extent.leastRightMm, own.mostLeftMm)),
        );
      } else {
        const mid = (decision.lost.toMm + there.decision.lost.fromMm) / 2;
        toMm = Math.min(
          toMm,
          extent.isCover
            ? extent.mostLeftMm - apart
            : middle(mid, Math.min(own.leastRightMm, extent.mostLeftMm), extent.mostLeftMm),
        );
      }
    }
    for (const repair of earlier) {
      if (decided.some((one) => one.work.cutsOut.includes(repair))) continue;
      // From an earlier splice the wanted distance where there is room for it; from a cover always.
      const isCover = repair.kind === 'cover';
      if (repair.fromMm + repair.toMm < decision.lost.fromMm + decision.lost.toMm)
        fromMm = Math.max(
          fromMm,
          isCover
            ? repair.toMm + betweenBodiesMm
            : middle(repair.toMm + betweenBodiesMm, repair.toMm, Math.max(repair.toMm, own.mostLeftMm)),
        );
      else
        toMm = Math.min(
          toMm,
          isCover
            ? repair.fromMm - betweenBodiesMm
            : middle(repair.fromMm - betweenBodiesMm, Math.min(repair.fromMm, own.leastRightMm), repair.fromMm),
        );
    }
    const isFree = fromMm === -Infinity && toMm === Infinity;
    return isFree || work.begunBy !== undefined ? undefined : { fromMm, toMm };
  });
}

/** Works as they are found: what is begun stays what it is, jackets through twice at one place are one, each other finding is one by itself. */
function firstWorks({ findings }: Line, { job, practice }: LineContext): Work[] {
  const begun = (job.held ?? []).flatMap(({ findingId, takes = [] }): Work[] =>
    findings.some((one) => one.id === findingId)
      ? [
          {
            findings: findings.filter((one) => one.id === findingId || takes.includes(one.id)),
            cutsOut: [],
            begunBy: findingId,
          },
        ]
      : [],
  );
  const open = findings.filter((one) => !begun.some((work) => work.findings.includes(one)));
  return [...begun, ...jacketClusters(open, practice).map((group): Work => ({ findings: group, cutsOut: [] }))];
}

const inOrder = (works: readonly Work[]): Work[] =>
  [...works].sort((a, b) => lostBy(a).fromMm - lostBy(b).fromMm || lostBy(a).toMm - lostBy(b).toMm);

/** The neighbour with which a work that finds no room is made one: the nearer of those that may be. */
function nearestOf(works: readonly Work[], at: number): number | undefined {
  const own = works[at];
  if (!own) return undefined;
  const stretch = lostBy(own);
  return works
    .map((work, other) => ({ work, other }))
    .filter(({ work, other }) => Math.abs(other - at) === 1 && mayJoin(own, work))
    .map(({ work, other }) => ({
      other,
      apartMm: Math.max(lostBy(work).fromMm - stretch.toMm, stretch.fromMm - lostBy(work).toMm),
    }))
    .sort((a, b) => a.apartMm - b.apartMm)[0]?.other;
}

/** Decisions of a line, those of findings that go with others among them. */
const allOf = (decided: readonly DecidedWork[], { decide }: LineContext): Decided[] =>
  decided.flatMap(({ work, decided: leading }) => [
    leading,
    ...leading.share.takes.flatMap(
      (taken) => decide(taken, { ...leading.share, takes: [], cutsOut: [], takenBy: leaderOf(work) }) ?? [],
    ),
  ]);

/**
 * Decides all findings of one wire along one run together: one amount of slack; a relead, a pigtail's lead or an insert takes away what lies
 * on the stretch that it replaces; findings are joined where that saves splices or where their bodies have no room beside each other;
 * earlier repairs are there already. No two works are given the same millimetre of the wire.
 */
export function decideLine(line: Line, context: LineContext): Decided[] {
  const { practice } = context;
  const slack = slackOf(line.findings);
  let works = inOrder(firstWorks(line, context));
  for (;;) {
    const join = (together: readonly number[]): void => {
      const [first, ...rest] = works.filter((_, at) => together.includes(at));
      if (first) works = inOrder([...works.filter((_, at) => !together.includes(at)), rest.reduce(joinedWork, first)]);
    };
    const free = decideShared(
      works,
      works.map(() => undefined),
      line,
      context,
      slack,
    );
    if (!free) return [];
    const left = line.earlier.filter((repair) => !works.some((work) => work.cutsOut.includes(repair)));
    const into = cutInto(free, left, practice);
    if (into) {
      const [cutting, repair] = into;
      works = works.map((work, at) => (at === cutting ? { ...work, cutsOut: [...work.cutsOut, repair] } : work));
      continue;
    }
    const pair = clashOf(free, practice) ?? savingOf(free, context, slack);
    if (pair) {
      join(pair);
      continue;
    }
    const withins = withinsOf(free, line, practice);
    if (withins.every((one) => one === undefined)) return allOf(free, context);
    const bounded = decideShared(works, withins, line, context, slack);
    if (!bounded) return [];
    const crowded = bounded.findIndex(
      ({ decided }, at) => !decided.decision.method && free[at]?.decided.decision.method !== undefined,
    );
    const neighbour = crowded < 0 ? undefined : nearestOf(works, crowded);
    const clash: readonly [number, number] | undefined =
      neighbour === undefined
        ? clashOf(bounded, practice)
        : [Math.min(crowded, neighbour), Math.max(crowded, neighbour)];
    if (!clash) return allOf(bounded, context);
    join(clash);
  }
}
