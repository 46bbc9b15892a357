import type { WorkShare } from '../../approach/index.ts';
import { isAtCavity, type EarlierRepair, type Finding, type Stretch } from '../../damage/index.ts';
import type { Run } from '../../harness/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { Job } from '../../job/index.ts';
import type { Decided } from '../types.ts';
import { extentOf, slackTakenMm, spareTakenMm, type Extent } from './extent.ts';
import type { Slack } from './slack.ts';
import { leaderOf, lengthMm, lostBy, type Work } from './work.ts';

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

export interface DecidedWork {
  readonly work: Work;
  readonly decided: Decided;
  readonly extent: Extent | undefined;
}

/** What a work shares with the others: of the slack what they leave, at a cavity no more than its own tail gives. */
export function shareOf(work: Work, slack: Slack, othersTakeMm: number, within: Stretch | undefined): WorkShare {
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

/**
 * Decides works that share one amount of slack: those begun first, then the smaller losses, so that the larger loss
 * gets the insert and most slack is left.
 */
export function decideShared(
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
