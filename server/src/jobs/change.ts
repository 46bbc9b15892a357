import type { Request, Response, Router } from 'express';
import type Joi from 'joi';
import { gateState } from '@mendum/core';
import { JobEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type Answer, type WriteHead, type WriteWork } from '../http/writes.ts';
import { loadJob, mustBeOpen, type StoredJob } from './store.ts';

/** A change to an open job: the checked body and the job as it stands. */
export interface Change<T> extends WriteWork {
  readonly input: T & WriteHead;
  readonly stored: StoredJob;
  readonly req: Request;
}

/** What kind of change a route takes. */
export interface ChangeKind {
  readonly method: 'post' | 'put' | 'delete';
  /** Below /jobs/:jobId. */
  readonly path: string;
  readonly what: string;
  readonly fields?: Joi.SchemaMap;
  /** Work on the bench, readings and decisions wait for the gate; survey does not. */
  readonly behindGate: boolean;
}

/** One change on its way: its checked body, and what it is known by. */
export interface Sent<T> {
  readonly input: T & WriteHead;
  readonly content: unknown;
  readonly req: Request;
  readonly load: (manager: WriteWork['manager']) => Promise<StoredJob>;
}

/** What the gate of a job still lacks, told without a plan. */
function gateOf({ job }: StoredJob) {
  const { circuits, runs } = job.harness;
  const found = new Set(job.findings.map(({ circuitId }) => circuitId));
  const at = new Set(job.findings.map(({ runId }) => runId));
  return gateState(
    job.gate,
    circuits.filter(({ id }) => found.has(id)),
    runs.filter(({ id }) => at.has(id)),
  );
}

/** @throws AppError JOB_SIGNED, GATE_CLOSED */
export function mustTakeChanges(stored: StoredJob, { behindGate }: ChangeKind): void {
  mustBeOpen(stored);
  if (!behindGate) return;
  const { open, missing } = gateOf(stored);
  if (!open)
    throw new AppError(
      'GATE_CLOSED',
      `The gate of job ${stored.row.number} is closed: ${missing
        .filter((need) => need.stops)
        .map((need) => need.because)
        .join(' ')}`,
    );
}

/** Registers a kind of change; how it is done is left to `handle`. */
export function register<T>(router: Router, kind: ChangeKind, handle: (sent: Sent<T>) => Promise<Answer>): void {
  const schema = writeBody(kind.fields);
  router[kind.method](`/jobs/:jobId${kind.path}`, async (req: Request, res: Response) => {
    const input = checked<T & WriteHead>(schema, req);
    const answer = await handle({
      input,
      content: { params: req.params, input },
      req,
      load: (manager) => loadJob(manager, param(req, 'jobId')),
    });
    res.status(answer.status).json(answer.body);
  });
}

/** Does a change once, in one transaction, with the job open and its gate as the change needs it. */
export const changeOnce = <T>(
  db: Database,
  kind: ChangeKind,
  { input, content, req, load }: Sent<T>,
  work: (change: Change<T>) => Promise<Answer>,
  now = new Date().toISOString(),
): Promise<Answer> =>
  writeOnce(
    db,
    input,
    kind.what,
    content,
    async (write) => {
      const stored = await load(write.manager);
      mustTakeChanges(stored, kind);
      const done = await work({ ...write, input, stored, req });
      await write.manager.update(JobEntity, { id: stored.row.id }, { updatedAt: write.now });
      return done;
    },
    now,
  );

/** Registers one kind of change to a job that asks nothing of its plan. */
export function changeRoute<T>(
  router: Router,
  db: Database,
  route: ChangeKind & { readonly work: (change: Change<T>) => Promise<Answer> },
): void {
  register<T>(router, route, (sent) => changeOnce(db, route, sent, route.work));
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
