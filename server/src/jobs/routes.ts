import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { NOTHING_YET, type Job } from '@mendum/core/job';
import { checkConnector, checkQuick, quickConnectorJob, quickJob } from '@mendum/core/quick';
import { readJobFile, writeJobFile } from '@mendum/core/interchange';
import { HarnessEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { insertHarness, loadHarness } from '../harnesses/store.ts';
import { file, mustBeAt, read, write, writeReady } from '../http/serve.ts';
import type { Planner } from '../planning/planner.ts';
import { usualPractice } from '../practices/load.ts';
import { insertJob, keepOwnShelf, loadJob, nextNumber, shelfOf } from './store.ts';
import { settled } from './underWay.ts';
import { jobState, listJobs } from './views.ts';

/** Refuses what cannot be in what was tapped. @throws AppError BAD_INPUT naming the first */
function mustHold(
  tapped: string,
  problems: readonly { readonly field: string; readonly message: string; readonly hint: string }[],
): void {
  const [problem] = problems;
  if (problem)
    throw new AppError('BAD_INPUT', problem.message, { field: `/${tapped}/${problem.field}`, hint: problem.hint });
}

/**
 * Opens a job from what was tapped, made safe, on a harness of its own, however like another one it is: what was
 * repaired on that one is not on this.
 */
async function beginOf(manager: EntityManager, job: Job, isolation: NonNullable<Job['gate']['isolation']>) {
  const harnessId = await insertHarness(manager, job.machine, job.harness);
  const begun = {
    ...job,
    number: await nextNumber(manager),
    asOf: isolation.at.slice(0, 10),
    gate: { isolation },
  };
  return insertJob(manager, begun, await usualPractice(manager), isolation.by, isolation.at, harnessId);
}

/** Listing, opening, importing and exporting jobs. */
export function jobRoutes(router: Router, db: Database, planner: Planner): void {
  read(router, 'jobs', ({ args }) => db.read((manager) => listJobs(manager, args)));

  read(router, 'job', async ({ args: { jobId } }) => {
    await settled(jobId);
    const stored = await db.read((manager) => loadJob(manager, jobId));
    if (stored.row.status === 'open') planner.prepare?.(jobId);
    return jobState(stored);
  });

  read(router, 'jobShelf', async ({ args: { jobId, version } }) => {
    const shelf = await db.read((manager) => shelfOf(manager, jobId));
    mustBeAt('The shelf', version, shelf.version);
    return shelf;
  });

  file(router, 'plan', async ({ args, res }) => {
    res.type('application/json').send(await planner.ask('plan', args));
  });

  file(router, 'jobFile', async ({ args: { jobId }, res }) => {
    const { job, practice, catalogue, row } = await db.read((manager) => loadJob(manager, jobId));
    res
      .attachment(`job-${row.number}.json`)
      .type('application/json')
      .send(`${JSON.stringify(writeJobFile(job, practice, catalogue), null, 2)}\n`);
  });

  write(router, db, 'openJob', 'job opened', async ({ args: { title, harnessId, by }, manager, now, audit }) => {
    if (!(await manager.existsBy(HarnessEntity, { id: harnessId })))
      throw new AppError('NOT_FOUND', `There is no harness "${harnessId}".`, { field: '/harnessId' });
    const { machine, harness } = await loadHarness(manager, harnessId);
    const job = {
      id: '',
      number: await nextNumber(manager),
      title,
      asOf: now.slice(0, 10),
      machine,
      harness,
      ...NOTHING_YET,
    };
    const made = await insertJob(manager, job, await usualPractice(manager), by, now, harnessId);
    await audit('job opened', made.id, { title });
    return made;
  });

  write(router, db, 'beginQuick', 'quick repair begun', async ({ args: { quick, how, by }, manager, now, audit }) => {
    mustHold('quick', checkQuick(quick));
    const made = await beginOf(manager, quickJob(quick), { how, by, at: now });
    await audit('quick repair begun', made.id, { quick });
    return made;
  });

  write(router, db, 'beginConnector', 'connector begun', async ({ args, manager, now, audit }) => {
    const { connector, how, by } = args;
    mustHold('connector', checkConnector(connector));
    const made = await beginOf(manager, quickConnectorJob(connector), { how, by, at: now });
    await audit('connector begun', made.id, { connector });
    return made;
  });

  writeReady(
    router,
    db,
    'importJob',
    'job imported',
    ({ text }) => readJobFile(text),
    async ({ args: { by }, ready: { job, practice, catalogue }, manager, now, audit }) => {
      const made = await insertJob(manager, job, practice, by, now);
      await keepOwnShelf(manager, made.id, catalogue);
      await audit('job imported', made.id, { number: job.number });
      return made;
    },
  );
}
