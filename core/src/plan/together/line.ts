import { jacketClusters } from '../../approach/index.ts';
import type { Stretch } from '../../damage/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { Decided } from '../types.ts';
import { joinedWork, leaderOf, lostBy, mayJoin, type Work } from './work.ts';
import { type Line, type LineContext, type DecidedWork, decideShared } from './shared.ts';
import { slackOf } from './slack.ts';
import { gapMm, clashOf, cutInto, savingOf } from './joins.ts';

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

/**
 * Works as they are found: what is begun stays what it is, jackets through twice at one place are one, each other
 * finding is one by itself.
 */
function firstWorks({ findings, earlier }: Line, { job, practice }: LineContext): Work[] {
  const begun = (job.held ?? []).flatMap(({ findingId, takes = [], cutsOut = [] }): Work[] =>
    findings.some((one) => one.id === findingId)
      ? [
          {
            findings: findings.filter((one) => one.id === findingId || takes.includes(one.id)),
            cutsOut: earlier.filter(({ id }) => cutsOut.includes(id)),
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
 * Decides all findings of one wire along one run together: one amount of slack; a relead, a pigtail's lead or an insert
 * takes away what lies on the stretch that it replaces; findings are joined where that saves splices or where their
 * bodies have no room beside each other; earlier repairs are there already. No two works are given the same millimetre
 * of the wire.
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
