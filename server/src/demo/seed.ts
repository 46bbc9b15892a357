import { keepRecord } from '../chain/append.ts';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { repairsNear, type Failure } from '@mendum/core/damage';
import type { Job } from '@mendum/core/job';
import { mishapCost, mishapOf, type MishapSaid, type Progress } from '@mendum/core/mishap';
import { allMakes, plan, type Plan, type SplicePlan } from '@mendum/core/plan';
import { BENCH_SOLDER, CRIMP_FIRST, type Practice } from '@mendum/core/practice';
import type { FunctionSeen, Check, ReadingValue } from '@mendum/core/prove';
import { buildRecords, functionsOf, RecordRefused } from '@mendum/core/record';
import {
  CatalogueEntity,
  FindingEntity,
  JobEntity,
  PersonEntity,
  ReadingEntity,
  RedoEntity,
  TickEntity,
} from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { inLocalTime } from '../record/when.ts';
import { findingRow, insertJob, loadJob, touch, type StoredJob } from '../jobs/store.ts';
import { noteTodo } from '../todo/store.ts';
import { harvesterJob, harvesterLampJob } from './harvester.ts';
import { ferryJob, tractorBrakeJob, tractorJob, tractorMotorJob, tugJob, tugSeatJob } from './others.ts';
import { resurfacerJob } from './resurfacer.ts';
import { tarnbeckShelf } from './shelf.ts';
import { pastJobs, type PastJob } from './years.ts';

type Good = {
  readonly [K in Check['kind']]: (check: Extract<Check, { kind: K }>, index: number) => ReadingValue | undefined;
};
/**
 * A reading of each kind that passes its check, with a little scatter that depends on nothing but the place in the row.
 */
const GOOD: Good = {
  look: () => ({ kind: 'look', answer: 'good' }),
  tug: ({ targetN }, index) => ({
    kind: 'tug',
    newtons: Math.round(targetN * (0.97 + 0.01 * (index % 4))),
    held: true,
  }),
  resistance: ({ limits }, index) => ({
    kind: 'resistance',
    milliohm: Math.round(1000 * limits.goodMilliohm * (0.72 + 0.05 * (index % 5))) / 1000,
  }),
  drop: () => undefined,
  path: () => undefined,
  height: () => undefined,
  unmeasured: () => undefined,
  compression: () => undefined,
  growth: () => undefined,
  throat: () => undefined,
  samples: () => undefined,
};
const goodReading = (check: Check, index: number): ReadingValue | undefined =>
  (GOOD[check.kind] as (check: Check, index: number) => ReadingValue | undefined)(check, index);

const HOUR_MS = 3_600_000;
const planOf = ({ job, practice, catalogue }: StoredJob): Plan => plan(job, practice, catalogue);

interface Finished {
  readonly job: Job;
  readonly practice: Practice;
  readonly by: string;
  readonly note: string;
  readonly failFirst: boolean;
  /** Why the earlier repair failed that this one is the comeback of. */
  readonly failed?: Failure | undefined;
}

/** What was found lies on an earlier repair, and somebody saw why that failed. */
async function sayFailed(manager: EntityManager, jobId: string, why: Failure): Promise<void> {
  const { job } = await loadJob(manager, jobId);
  for (const [position, found] of job.findings.entries()) {
    const [near] = repairsNear(found, job);
    if (near)
      await manager.save(
        FindingEntity,
        findingRow(jobId, { ...found, earlierSeen: [{ repairId: near.repair.id, failed: true, why }] }, position, 1),
      );
  }
}

/** All is made and read. @returns the plan that it was made by */
async function readAll(manager: EntityManager, jobId: string, by: string, at: string): Promise<Plan> {
  const stored = await loadJob(manager, jobId);
  const planned = planOf(stored);
  let sequence = stored.readings.length;
  for (const made of allMakes(planned)) {
    for (const step of made.steps)
      await manager.upsert(TickEntity, { jobId, stepId: step.id, spliceId: made.id, done: true, by, at }, [
        'jobId',
        'stepId',
      ]);
    for (const check of made.checks) {
      const value = goodReading(check, sequence);
      if (value)
        await manager.insert(ReadingEntity, {
          id: randomUUID(),
          jobId,
          spliceId: made.id,
          make: made.make,
          checkId: check.id,
          value,
          by,
          at,
          sequence,
        });
      sequence += 1;
    }
  }
  return planned;
}

/** The first make fails its tug, is cut out before its sleeve is shrunk, and costs wire. */
async function failOnce(manager: EntityManager, jobId: string, by: string, at: string): Promise<void> {
  const stored = await loadJob(manager, jobId);
  const [finding] = planOf(stored).findings;
  const splice: SplicePlan | undefined = finding?.splices[0];
  const tug = splice?.checks.find((check) => check.kind === 'tug');
  if (!finding || !splice || tug?.kind !== 'tug') return;
  await manager.insert(ReadingEntity, {
    id: randomUUID(),
    jobId,
    spliceId: splice.id,
    make: 1,
    checkId: tug.id,
    value: { kind: 'tug', newtons: Math.round(tug.targetN * 0.4), held: false },
    by,
    at,
    sequence: 0,
  });
  const made = (): Progress => ({ joined: true, sealed: false, wireCut: true });
  const said: MishapSaid = { kind: 'jointFailed', joined: true, sealed: false };
  const cost = mishapCost(finding, splice, said, made, stored.practice.figures);

  await manager.insert(RedoEntity, {
    id: randomUUID(),
    jobId,
    findingId: finding.findingId,
    lostFromMm: cost.lostFromMm,
    lostToMm: cost.lostToMm,
    mishap: mishapOf('jointFailed', cost),
    because: 'Let go under the tug: stripped short, wire not at the stop.',
    by,
    at,
    sequence: 0,
  });
}

/** What is mended did not work before, and all of it works after. */
const watched = (job: Job, planned: Plan, by: string, day: string): FunctionSeen[] =>
  functionsOf(job, planned, [], []).flatMap(({ circuit, opened }): FunctionSeen[] => [
    {
      circuitId: circuit.id,
      moment: 'before',
      answer: opened === undefined ? 'fails' : 'works',
      by,
      at: `${day}T07:15:00.000Z`,
    },
    { circuitId: circuit.id, moment: 'after', answer: 'works', by, at: `${day}T10:05:00.000Z` },
  ]);

async function finish(manager: EntityManager, { job, practice, by, note, failFirst, failed }: Finished): Promise<void> {
  const day = job.asOf ?? '';
  const { id } = await insertJob(manager, job, practice, by, `${day}T07:20:00.000Z`);
  if (failed) await sayFailed(manager, id, failed);
  if (failFirst) await failOnce(manager, id, by, `${day}T08:05:00.000Z`);
  const planned = await readAll(manager, id, by, `${day}T09:40:00.000Z`);
  const stored = await loadJob(manager, id);
  const signedAt = `${day}T10:15:00.000Z`;
  const functions = watched(stored.job, planned, by, day);
  for (const body of buildRecords(
    stored.job,
    planned,
    stored.readings,
    { by, at: signedAt, note },
    inLocalTime,
    functions,
    stored.catalogue,
  )) {
    await keepRecord(manager, {
      id: randomUUID(),
      jobId: id,
      spliceId: body.spliceId,
      circuitNumber: body.circuitNumber,
      temporaryUntil: body.temporaryUntil ?? null,
      replacesId: null,
      body,
      signedBy: by,
      signedAt,
    });
  }
  await touch(manager, stored.row, signedAt, { status: 'signed', functions });
}

/** A repair of the past; one that the rules of today would not sign was never made. */
async function finishIfItCan(manager: EntityManager, past: PastJob): Promise<void> {
  try {
    await manager.transaction((within) => finish(within, { ...past, practice: CRIMP_FIRST }));
  } catch (error) {
    if (!(error instanceof RecordRefused)) throw error;
  }
}

/** What somebody saw and left, by the job that was under way there. */
const LEFT = [
  ['0118', 'Boot of the lamp plug is torn: grease washed out', 'Ines Valdur'],
  ['0131', 'Cable ties in the ramp box are brittle: new ones with the next service', 'Marek Osei'],
] as const;

async function leaveToDo(manager: EntityManager, at: string): Promise<void> {
  for (const [number, words, by] of LEFT) {
    const job = await manager.findOneBy(JobEntity, { number });
    if (job) noteTodo(manager, { harnessId: job.harnessId, words, by, at, seenInJobId: job.id });
  }
}

/**
 * Puts the demo into an empty database: four open jobs and five finished repairs, dated from today. Every figure in
 * them is planned and ruled on by the same core as any other job.
 * @param withYears two years of repairs before them as well, for history and search to mean something
 * @returns whether anything was put in; a database with jobs is left alone
 */
export async function seedDemo(db: Database, today: Date, withYears = false): Promise<boolean> {
  return db.write(async (manager) => {
    if ((await manager.count(JobEntity)) > 0) return false;
    const since = today.toISOString();
    for (const name of ['Ines Valdur', 'Marek Osei']) await manager.insert(PersonEntity, { name, since });
    const shelf = tarnbeckShelf(today);
    await manager.insert(CatalogueEntity, { id: 'shelf', version: shelf.version, body: shelf });
    const finished: readonly Finished[] = [
      {
        job: harvesterLampJob(today),
        practice: CRIMP_FIRST,
        by: 'Ines Valdur',
        note: 'Machine back at work the same morning.',
        failFirst: false,
      },
      {
        job: tugSeatJob(today),
        practice: CRIMP_FIRST,
        by: 'Ines Valdur',
        note: 'Wrapped on the apron.',
        failFirst: false,
      },
      {
        job: tractorMotorJob(today),
        practice: CRIMP_FIRST,
        by: 'Marek Osei',
        note: 'Made again once; the strip stop of the tool was off.',
        failFirst: true,
      },
      { job: ferryJob(today), practice: BENCH_SOLDER, by: 'Marek Osei', note: '', failFirst: false },
      { job: tractorBrakeJob(today), practice: CRIMP_FIRST, by: 'Ines Valdur', note: '', failFirst: false },
    ];
    for (const past of withYears ? pastJobs(today) : []) {
      const parts = shelf.parts.map((part) => (part.kind === 'sealedButt' ? { ...part, lot: past.lot } : part));
      await manager.update(CatalogueEntity, { id: 'shelf' }, { body: { ...shelf, parts } });
      await finishIfItCan(manager, past);
    }
    await manager.update(CatalogueEntity, { id: 'shelf' }, { body: shelf });
    for (const one of finished) await finish(manager, one);
    const open: readonly (readonly [Job, string, number])[] = [
      [resurfacerJob(today), 'Ines Valdur', 6],
      [tugJob(today), 'Ines Valdur', 9],
      [tractorJob(today), 'Marek Osei', 8],
      [harvesterJob(today), 'Ines Valdur', 7],
    ];
    for (const [job, by, hour] of open) {
      // Whatever time it is now, they were opened before.
      const opened = Math.min(
        Date.parse(`${job.asOf ?? ''}T0${hour}:10:00.000Z`),
        today.getTime() - (10 - hour) * HOUR_MS,
      );
      await insertJob(manager, job, CRIMP_FIRST, by, new Date(opened).toISOString());
    }
    await leaveToDo(manager, since);
    return true;
  });
}
