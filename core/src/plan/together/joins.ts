import { isAtCavity, type EarlierRepair } from '../../damage/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { Decided } from '../types.ts';
import { slackTakenMm, type Extent } from './extent.ts';
import { joinedWork, leaderOf, lengthMm, lostBy, mayJoin } from './work.ts';
import { type LineContext, type DecidedWork, shareOf } from './shared.ts';
import type { Slack } from './slack.ts';

/**
 * Up to this length findings are joined into one repair because that saves splices, mm; a place with no room is joined
 * whatever its length.
 */
const JOINED_AT_MOST_MM = 400;

const DUST_MM = 1e-6;

/** The distance that two neighbours on one wire keep: a splice from a cover the layout's own, all else nothing. */
export const gapMm = (a: Extent, b: Extent, { figures }: Practice): number =>
  a.isCover === b.isCover ? 0 : figures.betweenBodiesMm;

/** Whether two works on one wire, the first to the left, find room beside each other. */
const fit = (a: Extent, b: Extent, practice: Practice): boolean =>
  a.leastRightMm + gapMm(a, b, practice) <= b.mostLeftMm + DUST_MM;

/** Whether a work cuts its wire along the run or at its end. */
const cuts = ({ decision }: Decided): boolean => decision.method !== undefined || decision.takesMm !== undefined;

/**
 * Whether work at one end of a circuit leaves nothing to do for other findings at the same cavity: a new lead or
 * terminal for what is mended by one, a pigtail for all.
 */
function takesAtCavity(a: DecidedWork, b: DecidedWork): boolean {
  const [one, other] = [leaderOf(a.work), leaderOf(b.work)];
  if (!isAtCavity(one) || !isAtCavity(other) || one.at.nodeId !== other.at.nodeId) return false;
  if ([a, b].some(({ decided }) => decided.decision.approach === 'pigtail')) return true;
  return [a, b].every(({ decided }) =>
    decided.decision.ways.some(({ way }) => way === 'newTerminal' || way === 'relead'),
  );
}

/** The first two neighbours that need each other's room, or that one piece of work at a cavity mends. */
export function clashOf(decided: readonly DecidedWork[], practice: Practice): readonly [number, number] | undefined {
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
export function cutInto(
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
 * Of neighbours that together would need fewer splices, those that save most; then those with the shorter stretch.
 * Three that follow each other may save what no two of them do.
 */
export function savingOf(
  decided: readonly DecidedWork[],
  context: LineContext,
  slack: Slack,
): readonly number[] | undefined {
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
