import type { Router } from 'express';
import Joi from 'joi';
import { practiceById, type Practice } from '@mendum/core';
import { practiceSchema } from '@mendum/core/interchange';
import { JobEntity, PracticeEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import type { Planner } from '../planning/planner.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { keepForBegun, listPractices } from './effects.ts';

const practiceBody = writeBody({ practice: practiceSchema.required() });
const effectBody = Joi.object({ practice: practiceSchema.required() });

/** @throws AppError BAD_INPUT for the id of a ready practice, which stays as it is */
function mustBeOwn(id: string): void {
  if (practiceById(id))
    throw new AppError('BAD_INPUT', `"${id}" is a ready practice and stays as it is.`, {
      field: '/practice/id',
      hint: 'Make a copy of it, and change the copy.',
    });
}

/** Ready practices and a shop's own: listed, copied, changed, taken away; and what a change would alter, before it is saved. */
export function practiceRoutes(router: Router, db: Database, planner: Planner): void {
  router.get('/practices', async (_req, res) => {
    res.json(await db.read(listPractices));
  });

  router.post('/practices/effect', async (req, res) => {
    const { practice } = checked<{ practice: Practice }>(effectBody, req);
    res.json(await planner.ask('effects', { practice }));
  });

  router.post('/practices', async (req, res) => {
    const input = checked<WriteHead & { practice: Practice }>(practiceBody, req);
    const { practice } = input;
    mustBeOwn(practice.id);
    const answer = await writeOnce(db, input, 'practice made', input, async ({ manager, audit }) => {
      if (await manager.existsBy(PracticeEntity, { id: practice.id }))
        throw new AppError('BAD_INPUT', `There is a practice "${practice.id}" already.`, {
          field: '/practice/id',
          hint: 'Give the copy another name.',
        });
      await manager.insert(PracticeEntity, {
        id: practice.id,
        version: 1,
        kept: false,
        body: { ...practice, version: 1 },
      });
      await audit('practice made', null, { id: practice.id, name: practice.name });
      return { status: 201, body: { id: practice.id, practiceVersion: 1 } };
    });
    res.status(answer.status).json(answer.body);
  });

  router.put('/practices/:practiceId', async (req, res) => {
    const input = checked<WriteHead & { practice: Practice }>(practiceBody, req);
    const id = param(req, 'practiceId');
    mustBeOwn(id);
    const answer = await writeOnce(db, input, 'practice changed', { id, input }, async ({ manager, audit }) => {
      const row = await manager.findOneBy(PracticeEntity, { id, kept: false });
      if (!row) throw new AppError('NOT_FOUND', `There is no practice "${id}".`);
      mustBeCurrent(`Practice ${row.body.name}`, input.practice.version, row.version, row.body, input.practice);
      await keepForBegun(manager, row.body);
      const version = row.version + 1;
      await manager.update(PracticeEntity, { id }, { version, body: { ...input.practice, id, version } });
      await audit('practice changed', null, { id, from: row.body, to: input.practice });
      return { status: 200, body: { id, practiceVersion: version } };
    });
    res.status(answer.status).json(answer.body);
  });

  router.delete('/practices/:practiceId', async (req, res) => {
    const input = checked<WriteHead>(writeBody(), req);
    const id = param(req, 'practiceId');
    mustBeOwn(id);
    const answer = await writeOnce(db, input, 'practice removed', { id, input }, async ({ manager, audit }) => {
      if (!(await manager.existsBy(PracticeEntity, { id, kept: false })))
        throw new AppError('NOT_FOUND', `There is no practice "${id}".`);
      const jobs = await manager.find(JobEntity, {
        where: { practiceId: id, status: 'open' },
        select: { number: true },
      });
      if (jobs.length > 0)
        throw new AppError('PRACTICE_USED', `Job ${jobs.map((job) => job.number).join(', ')} is planned by it.`);
      await manager.update(PracticeEntity, { id }, { kept: true });
      await audit('practice removed', null, { id });
      return { status: 200, body: { id } };
    });
    res.status(answer.status).json(answer.body);
  });
}
