import type { Request, Response, Router } from 'express';
import type Joi from 'joi';
import type { Plan } from '@mendum/core';
import { JobEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type Answer, type WriteHead, type WriteWork } from '../http/writes.ts';
import { loadJob, mustBeOpen, planOf, type StoredJob } from './store.ts';

/** A change to an open job: the checked body, the job as it stands, and its plan when asked for. */
export interface Change<T> extends WriteWork {
  readonly input: T & WriteHead;
  readonly stored: StoredJob;
  readonly plan: () => Plan;
  readonly req: Request;
}

interface ChangeRoute<T> {
  readonly method: 'post' | 'put' | 'delete';
  /** Below /jobs/:jobId. */
  readonly path: string;
  readonly what: string;
  readonly fields?: Joi.SchemaMap;
  /** Work on the bench, readings and decisions wait for the gate; survey does not. */
  readonly behindGate: boolean;
  readonly work: (change: Change<T>) => Promise<Answer>;
}

/** Registers one kind of change to a job: checked, done once, in one transaction, with the job open and its gate as the change needs it. */
export function changeRoute<T>(router: Router, db: Database, route: ChangeRoute<T>): void {
  const schema = writeBody(route.fields);
  router[route.method](`/jobs/:jobId${route.path}`, async (req: Request, res: Response) => {
    const input = checked<T & WriteHead>(schema, req);
    const answer = await writeOnce(db, input, route.what, { params: req.params, input }, async (work) => {
      const stored = await loadJob(work.manager, param(req, 'jobId'));
      mustBeOpen(stored);
      let made: Plan | undefined;
      const plan = (): Plan => (made ??= planOf(stored));
      if (route.behindGate && !plan().gate.open) {
        throw new AppError(
          'GATE_CLOSED',
          `The gate of job ${stored.row.number} is closed: ${plan()
            .gate.missing.filter((need) => need.stops)
            .map((need) => need.because)
            .join(' ')}`,
        );
      }
      const done = await route.work({ ...work, input, stored, plan, req });
      await work.manager.update(JobEntity, { id: stored.row.id }, { updatedAt: work.now });
      return done;
    });
    res.status(answer.status).json(answer.body);
  });
}

/** @throws AppError STALE with what is stored, unless both versions agree */
export function mustBeCurrent(what: string, sent: number, stored: number, now: unknown, yours: unknown): void {
  if (sent === stored) return;
  throw new AppError(
    'STALE',
    `${what} is at version ${stored}, and yours was made from version ${sent}: it was not saved.`,
    { field: '/version', details: { stored: now, storedVersion: stored, yours } },
  );
}

/** Whether anything was ticked, read or made again on a finding's splices, in any make. */
export const hasWork = ({ job, ticks, readings }: StoredJob, findingId: string): boolean =>
  job.redos.some((redo) => redo.findingId === findingId) ||
  ticks.some((tick) => tick.done && tick.spliceId.startsWith(`${findingId}:`)) ||
  readings.some((reading) => reading.spliceId.startsWith(`${findingId}:`));
