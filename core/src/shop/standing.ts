import type { Job } from '../job/index.ts';
import type { Kit } from '../kit/index.ts';
import { allMakes, leftFindings, makesOf, minutesOf, type FindingPlan, type Plan } from '../plan/index.ts';
import { maySign, standingOf, type Reading, type Standing } from '../prove/index.ts';
import type { Doubt, JobStanding, Need } from './types.ts';
import { workedMinutes } from './worked.ts';

/** A job as it is stored, as far as its standing goes. */
export interface ToStand {
  readonly job: Pick<Job, 'id' | 'number' | 'title' | 'machine' | 'harness'>;
  readonly plan: Pick<Plan, 'findings' | 'kit' | 'pieces'>;
  readonly readings: readonly Reading[];
  /** When something was ticked or read, ms. */
  readonly atMs: readonly number[];
  readonly updatedAt: string;
  /** It brought a shelf of its own: what it takes is not taken from that of the shop. */
  readonly ownShelf: boolean;
}

const needsOf = ({ lines }: Kit): Need[] =>
  lines.map(({ id, name, unit, need, have, state }) => ({ id, name, unit, need, have, short: state === 'short' }));

const missingOf = ({ lines, counted }: Kit): string[] =>
  counted ? lines.filter(({ state }) => state === 'short').map(({ name, note }) => `${name}. ${note}`) : [];

/** How an open job stands. */
export function jobStanding({ job, plan, readings, atMs, updatedAt, ownShelf }: ToStand): JobStanding {
  const number = new Map(job.harness.circuits.map((circuit) => [circuit.id, circuit.number]));
  const circuitOf = ({ circuitId }: FindingPlan): string => number.get(circuitId) ?? circuitId;
  const readOf = (made: { readonly id: string; readonly make: number }): Reading[] =>
    readings.filter(({ spliceId, make }) => spliceId === made.id && make === made.make);
  const standing = new Map<string, Standing>(
    allMakes(plan as Plan).map((made) => [made.id, standingOf(made.checks, readOf(made)).standing]),
  );
  const standings = [...standing.values()];
  const doubts = plan.findings.flatMap((finding): Doubt[] => [
    ...finding.asks
      .filter(({ does }) => does !== 'order')
      .map(({ words, at }) => ({ circuit: circuitOf(finding), words, at })),
    ...makesOf(finding)
      .filter(({ id }) => standing.get(id) === 'failed')
      .map(() => ({ circuit: circuitOf(finding), words: 'A reading did not pass: make it again.' })),
  ]);
  const isMade = standings.length > 0 && standings.every(maySign) && leftFindings(plan).length === 0;
  const orders = plan.findings.flatMap((finding) =>
    finding.asks.filter(({ does }) => does === 'order').map(({ words }) => `Circuit ${circuitOf(finding)}: ${words}`),
  );
  return {
    jobId: job.id,
    harnessId: job.harness.id,
    number: job.number,
    title: job.title,
    machine: job.machine.name,
    updatedAt,
    makes: standings.length,
    proved: standings.filter(maySign).length,
    toSign: isMade && doubts.length === 0,
    doubts,
    needs: ownShelf || isMade || !plan.kit.counted ? [] : needsOf(plan.kit),
    missing: isMade ? [] : [...new Set([...orders, ...missingOf(plan.kit)])],
    uncounted: !plan.kit.counted,
    plannedMin: [...minutesOf(plan).values()].reduce((sum, one) => sum + one, 0),
    workedMin: workedMinutes(atMs),
  };
}
