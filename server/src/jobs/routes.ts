import type { Router } from 'express';
import Joi from 'joi';
import { CRIMP_FIRST, practiceById } from '@mendum/core';
import { readJobFile, writeJobFile } from '@mendum/core/interchange';
import { HarnessEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { loadHarness } from '../harnesses/store.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import type { Planner } from '../planning/planner.ts';
import { insertJob, keepOwnShelf, loadJob, nextNumber } from './store.ts';
import { jobSummaries, jobView } from './views.ts';

const newJobBody = writeBody({
  title: Joi.string().trim().min(1).max(200).required(),
  harnessId: Joi.string().min(1).max(80).required(),
});
const importBody = writeBody({ text: Joi.string().min(1).max(5_000_000).required() });

/** Listing, opening, importing and exporting jobs. */
export function jobRoutes(router: Router, db: Database, planner: Planner): void {
  router.get('/jobs', async (_req, res) => {
    res.json(await db.read(jobSummaries));
  });

  router.get('/jobs/:jobId', async (req, res) => {
    const jobId = param(req, 'jobId');
    res.json(jobView(await db.read((manager) => loadJob(manager, jobId))));
    planner.prepare?.(jobId);
  });

  router.get('/jobs/:jobId/plan', async (req, res) => {
    res.type('application/json').send(await planner.ask('plan', { jobId: param(req, 'jobId') }));
  });

  router.get('/jobs/:jobId/file', async (req, res) => {
    const { job, practice, catalogue, row } = await db.read((manager) => loadJob(manager, param(req, 'jobId')));
    res
      .attachment(`job-${row.number}.json`)
      .type('application/json')
      .send(`${JSON.stringify(writeJobFile(job, practice, catalogue), null, 2)}\n`);
  });

  router.post('/jobs', async (req, res) => {
    const input = checked<WriteHead & { title: string; harnessId: string }>(newJobBody, req);
    const answer = await writeOnce(db, input, 'job opened', input, async ({ manager, now, audit }) => {
      if (!(await manager.existsBy(HarnessEntity, { id: input.harnessId })))
        throw new AppError('NOT_FOUND', `There is no harness "${input.harnessId}".`, { field: '/harnessId' });
      const { machine, harness } = await loadHarness(manager, input.harnessId);
      const number = await nextNumber(manager);
      const job = {
        id: '',
        number,
        title: input.title,
        asOf: now.slice(0, 10),
        machine,
        harness,
        findings: [],
        gate: {},
        choices: [],
        pins: [],
        redos: [],
      };
      const made = await insertJob(
        manager,
        job,
        practiceById('crimpFirst') ?? CRIMP_FIRST,
        input.by,
        now,
        input.harnessId,
      );
      await audit('job opened', made.id, { title: input.title });
      return { status: 201, body: made };
    });
    res.status(answer.status).json(answer.body);
  });

  router.post('/jobs/import', async (req, res) => {
    const input = checked<WriteHead & { text: string }>(importBody, req);
    const { job, practice, catalogue } = readJobFile(input.text);
    const answer = await writeOnce(db, input, 'job imported', input, async ({ manager, now, audit }) => {
      const made = await insertJob(manager, job, practice, input.by, now);
      await keepOwnShelf(manager, made.id, catalogue);
      await audit('job imported', made.id, { number: job.number });
      return { status: 201, body: made };
    });
    res.status(answer.status).json(answer.body);
  });
}
