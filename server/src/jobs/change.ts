import type { Router } from 'express';
import { gateOf } from '@mendum/core/job';
import { findingOf } from '@mendum/core/layout';
import { OPERATIONS, type AnswerOf, type WriteName } from '@mendum/core/operations';
import { JobEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { rowsBy } from '../db/prepared.ts';
import { AppError } from '../errors.ts';
import { register, sentOf, type Sent } from '../http/serve.ts';
import { writeOnce, type Answer, type WriteHead, type WriteWork } from '../http/writes.ts';
import type { Asking } from '../people/asking.ts';
import { loadJob, mustBeOpen, type StoredJob } from './store.ts';
import { underWay } from './underWay.ts';

/** What changes something of one job. */
export type ChangeName = {
  [N in WriteName]: (typeof OPERATIONS)[N]['path'] extends `/jobs/:jobId/${string}` ? N : never;
}[WriteName];

/** A change to an open job: what was asked, and the job as it stands. */
export interface Change<N extends ChangeName> extends WriteWork {
  readonly input: Sent<N>['args'];
  readonly stored: StoredJob;
  readonly asking: Asking;
  /** The version of the job that comes of it. */
  readonly next: number;
}

/** What kind of change an operation is. */
export interface ChangeKind<N extends ChangeName> {
  readonly name: N;
  readonly what: string;
  /** Work on the bench, readings and decisions wait for the gate; survey does not. */
  readonly behindGate: boolean;
}

/** @throws AppError JOB_SIGNED, GATE_CLOSED */
export function mustTakeChanges(stored: StoredJob, { behindGate }: { readonly behindGate: boolean }): void {
  mustBeOpen(stored);
  if (!behindGate) return;
  const { open, missing } = gateOf(stored.job);
  if (!open)
    throw new AppError(
      'GATE_CLOSED',
      `The gate of job ${stored.row.number} is closed: ${missing
        .filter((need) => need.stops)
        .map((need) => need.because)
        .join(' ')}`,
    );
}

/** Every change names its job in its address. */
type WithJob = WriteHead & { readonly jobId: string };

/** One change on its way, with the way to its job. */
export interface SentChange<N extends ChangeName> extends Sent<N> {
  readonly load: (manager: WriteWork['manager']) => Promise<StoredJob>;
}

/** Registers a kind of change; how it is done is left to `handle`. */
export function changeBy<N extends ChangeName>(
  router: Router,
  { name }: ChangeKind<N>,
  handle: (sent: SentChange<N>) => Promise<Answer>,
): void {
  const read = sentOf(name);
  register(router, name, async (req, res) => {
    const sent = read(req);
    const { jobId } = sent.args as WriteHead as WithJob;
    const answer = await underWay(jobId, handle({ ...sent, load: (manager) => loadJob(manager, jobId) }));
    res.status(answer.status).json(answer.body);
  });
}

/** Does a change once, in one transaction, with the job open and its gate as the change needs it. */
export const changeOnce = <N extends ChangeName>(
  db: Database,
  kind: ChangeKind<N>,
  { args, asking, content, load }: SentChange<N>,
  work: (change: Change<N>) => Promise<AnswerOf<N>>,
  now = new Date().toISOString(),
): Promise<Answer> =>
  writeOnce(
    db,
    args,
    kind.what,
    content,
    async (write) => {
      const stored = await load(write.manager);
      mustTakeChanges(stored, kind);
      const next = stored.row.version + 1;
      const body = await work({ ...write, input: args, stored, asking, next });
      rowsBy(write.manager).update(JobEntity, { id: stored.row.id }, { version: next, updatedAt: write.now });
      return { status: OPERATIONS[kind.name].status, body };
    },
    now,
  );

/** Registers one kind of change to a job that asks nothing of its plan. */
export function changeRoute<N extends ChangeName>(
  router: Router,
  db: Database,
  route: ChangeKind<N> & { readonly work: (change: Change<N>) => Promise<AnswerOf<N>> },
): void {
  changeBy<N>(router, route, (sent) => changeOnce(db, route, sent, route.work));
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

/**
 * @param at what this would undo, with the versions of the job that came of it
 * @param field in which the version stands that was seen
 * @throws AppError STALE where one of them is later than what its author has seen
 */
export function mustHaveSeen(
  what: string,
  seen: number,
  at: readonly { readonly jobVersion: number }[],
  now: unknown,
  yours: unknown,
  field = '/version',
): void {
  const latest = Math.max(0, ...at.map(({ jobVersion }) => jobVersion));
  if (latest <= seen) return;
  throw new AppError(
    'STALE',
    `${what} was changed at version ${latest} of the job, and yours was made from version ${seen}: it was not saved.`,
    { field, details: { stored: now, storedVersion: latest, yours } },
  );
}

/** Whether anything was ticked, read or made again on a finding's splices, in any make. */
export const hasWork = ({ job, ticks, readings }: StoredJob, findingId: string): boolean =>
  job.redos.some((redo) => redo.findingId === findingId) ||
  ticks.some((tick) => tick.done && findingOf(tick.spliceId) === findingId) ||
  readings.some((reading) => findingOf(reading.spliceId) === findingId);
