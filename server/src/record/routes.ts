import type { Router } from 'express';
import { keepRecord } from '../chain/append.ts';
import { nameKey, whyNotSigned, type SentOf } from '@mendum/core/operations';
import { JobEntity, RecordEntity } from '../db/entities.ts';
import { endRepairs } from './good.ts';
import { historyOf } from './history.ts';
import { listDue, listRecords } from './lists.ts';
import { corrected, recordRowOf } from './rows.ts';
import { sheetPhotos } from './sheetPhotos.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { file, read, write } from '../http/serve.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { ChangedMeanwhile, plannedRoute } from '../jobs/plannedChange.ts';
import { usualPractice } from '../practices/load.ts';
import { touch, type StoredJob } from '../jobs/store.ts';
import { settleTodos } from '../todo/store.ts';
import { takeLengths } from '../harnesses/grow.ts';
import type { Planner } from '../planning/planner.ts';

/** Nothing is signed that whoever signs has not seen: neither of the job nor of what it is planned by. @throws AppError STALE */
function mustBeAsSeen({ row, harnessVersion, practice, catalogue }: StoredJob, seen: SentOf<'sign'>): void {
  mustBeCurrent('The job', seen.version, row.version, row.status, 'signed');
  const by = [
    ['The harness', seen.harnessVersion, harnessVersion],
    ['The practice', seen.practiceVersion, practice.version],
    ['The shelf', seen.shelfVersion, catalogue.version],
  ] as const;
  for (const [what, sent, stored] of by) mustBeCurrent(what, sent, stored, row.status, 'signed');
}

/** Signing, correcting and giving out records. Nothing here changes a row that is there. */
export function recordRoutes(
  router: Router,
  db: Database,
  planner: Planner,
  photosDir: string,
  today: () => string,
): void {
  plannedRoute(router, db, planner, {
    name: 'sign',
    what: 'signed',
    behindGate: true,
    asks: ({ input, stored, now }) => {
      mustBeAsSeen(stored, input);
      const { by, note = '', procedure, checkedBy } = input;
      if (checkedBy !== undefined && nameKey(checkedBy) === nameKey(by))
        throw new AppError('BAD_INPUT', `${by} signs it: who looked at it as well is somebody else.`, {
          field: '/checkedBy',
        });
      return ['records', { jobId: stored.row.id, signed: { by, at: now, note, procedure, checkedBy } }];
    },
    work: async ({
      input,
      stored,
      asking: { who },
      answer: { records, readingIds, left, grown },
      manager,
      now,
      audit,
    }) => {
      mustBeAsSeen(stored, input);
      const rules = [stored.practice.signing, (await usualPractice(manager)).signing];
      const why = who && whyNotSigned(who, rules, stored);
      if (why !== undefined)
        throw new AppError('NOT_ALLOWED', why, { hint: 'The practice says so; nothing was signed.' });
      if (readingIds.join() !== stored.readings.map(({ id }) => id).join()) throw new ChangedMeanwhile();
      for (const record of records) await keepRecord(manager, recordRowOf(stored.row.id, record));
      endRepairs(manager, stored.row.id, records, now);
      const { harnessId, id } = stored.row;
      settleTodos(manager, { id, harnessId, findings: stored.job.findings }, left, { by: input.by, at: now });
      await audit('signed', stored.row.id, { records: records.length });
      const signedIn = await touch(manager, stored.row, now, { status: 'signed' });
      const lengthKept = await takeLengths(manager, stored, grown, now);
      if (grown.length > 0)
        await audit(lengthKept === undefined ? 'harness grown' : 'harness not grown', id, {
          grown,
          because: lengthKept,
        });
      return {
        version: signedIn,
        records: records.length,
        ...(lengthKept === undefined ? {} : { lengthKept }),
      };
    },
  });

  write(
    router,
    db,
    'correctRecord',
    'record corrected',
    async ({ args: { recordId, text, by }, manager, now, audit }) => {
      const old = await manager.findOneBy(RecordEntity, { id: recordId });
      if (!old) throw new AppError('NOT_FOUND', `There is no record "${recordId}".`);
      if (await manager.existsBy(RecordEntity, { replacesId: recordId }))
        throw new AppError('STALE', 'This record has been corrected already.', {
          hint: 'Correct the newest one instead.',
        });
      const row = corrected(old, { by, at: now, text });
      await keepRecord(manager, row);
      await audit('record corrected', old.jobId, { recordId, text });
      await touch(manager, await manager.findOneByOrFail(JobEntity, { id: old.jobId }), now);
      return { id: row.id };
    },
  );

  file(router, 'recordSheet', async ({ args: { jobId, paper, form }, res }) => {
    const photos = form === 'short' ? { photos: [], more: 0 } : await sheetPhotos(db, photosDir, jobId);
    const at = new Date().toISOString();
    const { name, content } = await planner.ask('sheet', { jobId, at, paper, form, ...photos });
    res.attachment(name).type('application/pdf').send(Buffer.from(content));
  });

  read(router, 'chain', () => planner.ask('chain', { at: new Date().toISOString() }));
  read(router, 'allRecords', ({ args }) => db.read((manager) => listRecords(manager, args)));
  read(router, 'comebacks', ({ args: { by, from, to } }) => planner.ask('comebacks', { asked: { by, from, to } }));
  read(router, 'harnessHistory', ({ args: { harnessId } }) => db.read((manager) => historyOf(manager, harnessId)));
  read(router, 'due', ({ args }) => db.read((manager) => listDue(manager, args, today())));
}
