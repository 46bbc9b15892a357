import type { Router } from 'express';
import { practiceById } from '@mendum/core/practice';
import { sentSchema } from '@mendum/core/interchange';
import type { ArgsOf } from '@mendum/core/operations';
import { JobEntity, PracticeEntity, SettingEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked } from '../http/handle.ts';
import { mustBeAt, read, register, write, writeReady } from '../http/serve.ts';
import type { Planner } from '../planning/planner.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { keepForBegun, listPractices } from './effects.ts';
import { loadPractice } from './load.ts';

/** @throws AppError BAD_INPUT for the id of a ready practice, which stays as it is */
function mustBeOwn(id: string): void {
  if (practiceById(id))
    throw new AppError('BAD_INPUT', `"${id}" is a ready practice and stays as it is.`, {
      field: '/practice/id',
      hint: 'Make a copy of it, and change the copy.',
    });
}

/**
 * Ready practices and a shop's own: listed, copied, changed, taken away; and what a change would alter, before it is
 * saved.
 */
export function practiceRoutes(router: Router, db: Database, planner: Planner): void {
  read(router, 'practice', async ({ args: { practiceId, version } }) => {
    const practice = await db.read((manager) => loadPractice(manager, practiceId));
    mustBeAt('The practice', version, practice.version);
    return practice;
  });
  read(router, 'practices', () => db.read(listPractices));

  const effect = sentSchema('practiceEffect');
  register(router, 'practiceEffect', async (req, res) => {
    res.json(await planner.ask('effects', checked<ArgsOf<'practiceEffect'>>(effect, req)));
  });

  writeReady(
    router,
    db,
    'addPractice',
    'practice made',
    ({ practice }) => mustBeOwn(practice.id),
    async ({ args: { practice }, manager, audit }) => {
      const { id, name } = practice;
      if (await manager.existsBy(PracticeEntity, { id }))
        throw new AppError('BAD_INPUT', `There is a practice "${id}" already.`, {
          field: '/practice/id',
          hint: 'Give the copy another name.',
        });
      await manager.insert(PracticeEntity, { id, version: 1, kept: false, body: { ...practice, version: 1 } });
      await audit('practice made', null, { id, name });
      return { id, practiceVersion: 1 };
    },
  );

  writeReady(
    router,
    db,
    'changePractice',
    'practice changed',
    ({ practiceId }) => mustBeOwn(practiceId),
    async ({ args: { practiceId: id, practice }, manager, audit }) => {
      const row = await manager.findOneBy(PracticeEntity, { id, kept: false });
      if (!row) throw new AppError('NOT_FOUND', `There is no practice "${id}".`);
      mustBeCurrent(`Practice ${row.body.name}`, practice.version, row.version, row.body, practice);
      await keepForBegun(manager, row.body);
      const version = row.version + 1;
      await manager.update(PracticeEntity, { id }, { version, body: { ...practice, id, version } });
      await audit('practice changed', null, { id, from: row.body, to: practice });
      return { id, practiceVersion: version };
    },
  );

  writeReady(
    router,
    db,
    'removePractice',
    'practice removed',
    ({ practiceId }) => mustBeOwn(practiceId),
    async ({ args: { practiceId: id }, manager, audit }) => {
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
      return { id };
    },
  );

  write(router, db, 'setUsualPractice', 'usual practice chosen', async ({ args: { practiceId }, manager, audit }) => {
    if (!practiceById(practiceId) && !(await manager.existsBy(PracticeEntity, { id: practiceId, kept: false })))
      throw new AppError('NOT_FOUND', `There is no practice "${practiceId}".`);
    await manager.upsert(SettingEntity, { id: 'usualPractice', value: practiceId }, ['id']);
    await audit('usual practice chosen', null, { practiceId });
    return { id: practiceId };
  });
}
