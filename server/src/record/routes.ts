import { randomUUID } from 'node:crypto';
import { stringify } from 'csv-stringify/sync';
import type { Router } from 'express';
import Joi from 'joi';
import { recordColumns, recordRow, type SpliceRecord } from '@mendum/core';
import type { DueBack, KeptRecord } from '@mendum/core/interchange';
import { RecordEntity } from '../db/entities.ts';
import { standing } from './standing.ts';
import type { RecordRow } from '../db/rows.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, param, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { ChangedMeanwhile, plannedRoute } from '../jobs/plannedChange.ts';
import { loadJob, touch } from '../jobs/store.ts';
import type { Planner } from '../planning/planner.ts';

const recordRowOf = (jobId: string, body: SpliceRecord, replacesId: string | null): RecordRow => ({
  id: randomUUID(),
  jobId,
  spliceId: body.spliceId,
  circuitNumber: body.circuitNumber,
  temporaryUntil: body.temporaryUntil ?? null,
  replacesId,
  body,
  signedBy: body.signedBy,
  signedAt: body.signedAt,
});

/** Signing, correcting and giving out records. Nothing here changes a row that is there. */
export function recordRoutes(router: Router, db: Database, planner: Planner, today: () => string): void {
  plannedRoute<{ version: number; note?: string }, 'records'>(router, db, planner, {
    method: 'post',
    path: '/sign',
    what: 'signed',
    behindGate: true,
    fields: { version: Joi.number().integer().min(1).required(), note: Joi.string().trim().max(2000).allow('') },
    asks: ({ input, stored, now }) => {
      mustBeCurrent('The job', input.version, stored.row.version, stored.row.status, 'signed');
      return ['records', { jobId: stored.row.id, signed: { by: input.by, at: now, note: input.note ?? '' } }];
    },
    work: async ({ input, stored, answer: { records, readingIds }, manager, now, audit }) => {
      mustBeCurrent('The job', input.version, stored.row.version, stored.row.status, 'signed');
      if (readingIds.join() !== stored.readings.map(({ id }) => id).join()) throw new ChangedMeanwhile();
      for (const record of records) await manager.insert(RecordEntity, recordRowOf(stored.row.id, record, null));
      await audit('signed', stored.row.id, { records: records.length });
      return {
        status: 201,
        body: { version: await touch(manager, stored.row, now, { status: 'signed' }), records: records.length },
      };
    },
  });

  const correctionBody = writeBody({ text: Joi.string().trim().min(3).max(2000).required() });
  router.post('/records/:recordId/corrections', async (req, res) => {
    const input = checked<WriteHead & { text: string }>(correctionBody, req);
    const recordId = param(req, 'recordId');
    const answer = await writeOnce(
      db,
      input,
      'record corrected',
      { recordId, input },
      async ({ manager, now, audit }) => {
        const old = await manager.findOneBy(RecordEntity, { id: recordId });
        if (!old) throw new AppError('NOT_FOUND', `There is no record "${recordId}".`);
        if (await manager.existsBy(RecordEntity, { replacesId: recordId }))
          throw new AppError('STALE', 'This record has been corrected already.', {
            hint: 'Correct the newest one instead.',
          });
        const row = recordRowOf(
          old.jobId,
          { ...old.body, note: input.text, signedBy: input.by, signedAt: now },
          old.id,
        );
        await manager.insert(RecordEntity, row);
        await audit('record corrected', old.jobId, { recordId, text: input.text });
        return { status: 201, body: { id: row.id } };
      },
    );
    res.status(answer.status).json(answer.body);
  });

  router.get('/jobs/:jobId/record.pdf', async (req, res) => {
    const { name, content } = await planner.ask('sheet', { jobId: param(req, 'jobId'), at: new Date().toISOString() });
    res.attachment(name).type('application/pdf').send(Buffer.from(content));
  });

  const signedRecords = async (jobId: string): Promise<{ number: string; records: RecordRow[] }> => {
    const { row, records } = await db.read((manager) => loadJob(manager, jobId));
    if (records.length === 0)
      throw new AppError(
        'RECORD_REFUSED',
        `Job ${row.number} is not signed yet: it has no record to export as a table.`,
        { hint: 'Sign it in Record; the PDF shows the work as it stands.' },
      );
    return { number: row.number, records: standing(records) };
  };

  router.get('/jobs/:jobId/record.csv', async (req, res) => {
    const { number, records } = await signedRecords(param(req, 'jobId'));
    const csv = stringify(
      records.map((record) => recordRow(record.body)),
      { header: true, columns: [...recordColumns], bom: true, escape_formulas: true },
    );
    res.attachment(`job-${number}.csv`).type('text/csv').send(csv);
  });

  router.get('/jobs/:jobId/record.json', async (req, res) => {
    const { number, records } = await signedRecords(param(req, 'jobId'));
    const kept = records.map(({ id, spliceId, replacesId, body }): KeptRecord => ({
      id,
      spliceId,
      replacesId: replacesId ?? undefined,
      body,
    }));
    res
      .attachment(`job-${number}-record.json`)
      .type('application/json')
      .send(`${JSON.stringify({ format: 'mendum-record', version: 1, records: kept }, null, 2)}\n`);
  });

  router.get('/due', async (_req, res) => {
    const records = standing(await db.read((manager) => manager.find(RecordEntity)));
    const due = records.flatMap((record): DueBack[] =>
      record.temporaryUntil === null
        ? []
        : [
            {
              recordId: record.id,
              jobId: record.jobId,
              until: record.temporaryUntil,
              overdue: record.temporaryUntil < today(),
              body: record.body,
            },
          ],
    );
    res.json(due.sort((a, b) => a.until.localeCompare(b.until)));
  });
}
