import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { checkFinding, NOTHING_YET, type Job } from '@mendum/core/job';
import { findingOf } from '@mendum/core/layout';
import { foundAgain, type SpliceRecord, type Temporary } from '@mendum/core/record';
import { keepRecord } from '../chain/append.ts';
import { FindingEntity, GoodEntity, HarnessEntity, JobEntity, RecordEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { rowsBy } from '../db/prepared.ts';
import type { RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { loadHarness } from '../harnesses/store.ts';
import { write } from '../http/serve.ts';
import { repairsOn } from '../jobs/earlier.ts';
import { insertJob, nextNumber, touch } from '../jobs/store.ts';
import { loadPractice } from '../practices/load.ts';
import { corrected } from './rows.ts';

/** The splice, cover or work at a cavity that a record is of, by which corrections of it are told from other repairs. */
type Made = Pick<RecordRow, 'jobId' | 'spliceId'>;

/** What ended a repair, or nothing. */
const endOf = (manager: EntityManager, { jobId, spliceId }: Made) =>
  rowsBy(manager)
    .find(GoodEntity, { jobId, spliceId })
    .find(({ endedAt }) => endedAt !== null);

/** The job that ended a repair, and when. */
export function endedBy(manager: EntityManager, made: Made) {
  const end = endOf(manager, made);
  const number = end && rowsBy(manager).value(JobEntity, 'number', { id: end.byJobId });
  return end && number !== undefined ? { id: end.byJobId, number, at: end.endedAt ?? '' } : undefined;
}

/** The open job that sets out to make a repair good. */
export function madeGoodIn(manager: EntityManager, { jobId, spliceId }: Made) {
  const rows = rowsBy(manager);
  const [job] = rows
    .find(GoodEntity, { jobId, spliceId })
    .flatMap(({ byJobId }) => rows.one(JobEntity, { id: byJobId, status: 'open' }) ?? []);
  return job && { id: job.id, number: job.number };
}

/**
 * Keeps which repairs of other jobs were ended by records that are signed now: those that were cut out, and, by a repair
 * that is not a temporary one itself, those that it makes good.
 */
export function endRepairs(
  manager: EntityManager,
  byJobId: string,
  signed: readonly SpliceRecord[],
  endedAt: string,
): void {
  const rows = rowsBy(manager);
  const ids = signed.flatMap(({ cutsOut = [], makesGood = [], temporaryUntil }) =>
    temporaryUntil === undefined ? [...cutsOut, ...makesGood] : cutsOut,
  );
  for (const id of new Set(ids)) {
    const old = rows.one(RecordEntity, { id });
    if (!old || old.jobId === byJobId) continue;
    const at = { jobId: old.jobId, spliceId: old.spliceId, byJobId };
    if (rows.has(GoodEntity, at)) rows.update(GoodEntity, at, { endedAt });
    else rows.insert(GoodEntity, { ...at, endedAt });
  }
}

/** @throws AppError NOT_FOUND; STALE for one that was corrected; NOT_DUE for one that is not temporary, or was ended */
function mustBeDue(manager: EntityManager, id: string): RecordRow {
  const rows = rowsBy(manager);
  const row = rows.one(RecordEntity, { id });
  if (!row) throw new AppError('NOT_FOUND', `There is no record "${id}".`);
  if (rows.has(RecordEntity, { replacesId: id }))
    throw new AppError('STALE', 'This record has been corrected already.', { hint: 'Take the newest one instead.' });
  if (row.temporaryUntil === null)
    throw new AppError('NOT_DUE', 'This repair is not a temporary one: there is nothing to make good.');
  const end = endedBy(manager, row);
  if (end) throw new AppError('NOT_DUE', `This repair was ended by job ${end.number} already.`);
  return row;
}

/** The records of one repair that come back together: all that was made for one finding of a job. */
export function partsOf(manager: EntityManager, row: RecordRow): readonly RecordRow[] {
  const findingId = findingOf(row.spliceId);
  const all = rowsBy(manager).find(RecordEntity, { jobId: row.jobId }, 'chainRow');
  const replaced = new Set(all.map(({ replacesId }) => replacesId));
  return all.filter(
    (one) =>
      findingOf(one.spliceId) === findingId &&
      !replaced.has(one.id) &&
      one.temporaryUntil !== null &&
      endOf(manager, one) === undefined,
  );
}

/** A job that begins with what is found where a temporary repair is made good. @throws AppError NOT_DUE where it is gone */
async function jobToMakeGood(manager: EntityManager, row: RecordRow, now: string, by: string) {
  const rows = rowsBy(manager);
  const before = rows.one(JobEntity, { id: row.jobId });
  const then = rows.one(FindingEntity, { jobId: row.jobId, id: findingOf(row.spliceId) });
  const kept = before && rows.one(HarnessEntity, { id: before.harnessId });
  const own = kept && (kept.keptFor === null ? kept : rows.one(HarnessEntity, { id: kept.keptFor }));
  if (!before || !then || !own) throw new AppError('NOT_FOUND', 'The job of this record is not there any more.');
  const repairs = repairsOn(manager, own, () => true);
  const parts = partsOf(manager, row);
  const { machine, harness } = await loadHarness(manager, own.id);
  const finding = foundAgain(
    parts.map(({ id, jobId, spliceId, body }): Temporary => ({
      recordId: id,
      body,
      onWire: repairs.get(`${jobId} ${spliceId}`),
    })),
    then.body,
  );
  const job: Job = {
    id: '',
    number: await nextNumber(manager),
    title: `Make good: circuit ${row.circuitNumber}, job ${before.number}`,
    asOf: now.slice(0, 10),
    machine,
    harness,
    ...NOTHING_YET,
  };
  const [problem] = checkFinding(finding, job, '/finding');
  if (problem)
    throw new AppError('NOT_DUE', `This repair is not where it was made any more: ${problem.message}`, {
      hint: 'If it is gone, say so, and it is closed.',
    });
  const practice = await loadPractice(manager, before.practiceId);
  const made = await insertJob(manager, { ...job, findings: [finding] }, practice, by, now, own.id);
  for (const { jobId, spliceId } of parts)
    rows.insert(GoodEntity, { jobId, spliceId, byJobId: made.id, endedAt: null });
  return made;
}

/** Temporary repairs that come back: made good, put off, or gone. */
export function goodRoutes(router: Router, db: Database, today: () => string): void {
  write(router, db, 'makeGood', 'make good begun', async ({ args: { recordId, by }, manager, now, audit }) => {
    const row = mustBeDue(manager, recordId);
    const open = madeGoodIn(manager, row);
    if (open)
      throw new AppError('NOT_DUE', `Job ${open.number} makes this repair good already.`, {
        hint: 'Go on there.',
        details: { jobId: open.id },
      });
    const made = await jobToMakeGood(manager, row, now, by);
    await audit('make good begun', made.id, { recordId });
    return made;
  });

  write(
    router,
    db,
    'setDue',
    'due day changed',
    async ({ args: { recordId, until, because, by }, manager, now, audit }) => {
      const old = mustBeDue(manager, recordId);
      const from = old.temporaryUntil ?? '';
      if (until !== null && until < today())
        throw new AppError('BAD_INPUT', `${until} is past: today is ${today()}.`, {
          field: '/until',
          hint: 'Give today or a later day, or make it good.',
        });
      if (until !== null && until <= from)
        throw new AppError('BAD_INPUT', `It is due back on ${from} already: ${until} is not later.`, {
          field: '/until',
          hint: 'Give a later day, or make it good.',
        });
      const putOff = until === null ? old.body.putOff : (old.body.putOff ?? 0) + 1;
      const text = until === null ? `Not there any more: ${because}` : `Put off from ${from} to ${until}: ${because}`;
      // What is due with it moves with it: it is one repair.
      const others = partsOf(manager, old).filter((one) => one.id !== old.id && one.temporaryUntil === from);
      const change = { temporaryUntil: until ?? undefined, ...(putOff ? { putOff } : {}) };
      const said = { by, at: now, text };
      const row = corrected(old, said, change);
      await keepRecord(manager, row);
      for (const other of others) await keepRecord(manager, corrected(other, said, change));
      await audit('due day changed', old.jobId, { recordId, from, until, because });
      const job = rowsBy(manager).one(JobEntity, { id: old.jobId });
      if (job) await touch(manager, job, now);
      return { id: row.id };
    },
  );
}
