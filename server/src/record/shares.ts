import { createHash, randomUUID } from 'node:crypto';
import { addDays, formatISO, parseISO } from 'date-fns';
import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import type { Share, SharedBody, SharedRecord } from '@mendum/core/operations';
import { proofWords, type SpliceRecord } from '@mendum/core/record';
import { RecordEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { ShareEntity } from '../db/parcelEntities.ts';
import { rowsBy } from '../db/prepared.ts';
import type { ShareRow } from '../db/parcelRows.ts';
import type { RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { read, write } from '../http/serve.ts';
import { endedBy } from './good.ts';
import { notReplaced } from './notReplaced.ts';

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');

/** @throws AppError NOT_FOUND */
function recordRow(manager: EntityManager, recordId: string): RecordRow {
  const row = rowsBy(manager).one(RecordEntity, { id: recordId });
  if (!row) throw new AppError('NOT_FOUND', `There is no record "${recordId}".`);
  return row;
}

const isOver = ({ until, endedAt }: ShareRow, today: string): boolean => endedAt !== null || until < today;

/** What whoever has the link is shown: no more than they came for. */
const sharedBody = (record: SpliceRecord): SharedBody => ({
  jobNumber: record.jobNumber,
  machine: record.machine,
  harness: record.harness,
  circuitNumber: record.circuitNumber,
  circuitFunction: record.circuitFunction,
  run: record.run,
  atMm: record.atMm,
  fromName: record.fromName,
  finding: record.finding,
  cause: record.cause,
  method: record.method,
  functionSeen: record.functionSeen,
  notMeasured: record.notMeasured,
  temporaryUntil: record.temporaryUntil,
  signedBy: record.signedBy,
  signedAt: record.signedAt,
});

/** A repair as a link shows it: as it counts by now. @throws AppError NOT_FOUND for a link that opens no more, or never did */
function sharedBy(manager: EntityManager, key: string, today: string): SharedRecord {
  const rows = rowsBy(manager);
  const share = rows.one(ShareEntity, { keyHash: hashOf(key) });
  const [row] =
    share && !isOver(share, today)
      ? notReplaced(rows.find(RecordEntity, { jobId: share.jobId, spliceId: share.spliceId }))
      : [];
  if (!share || !row)
    throw new AppError('NOT_FOUND', 'This link does not open any more.', {
      hint: 'Ask the workshop that sent it for a new one.',
    });
  const end = endedBy(manager, row);
  return {
    body: sharedBody(row.body),
    proved: proofWords(row.body),
    until: share.until,
    ...(end ? { endedOn: end.at.slice(0, 10) } : {}),
  };
}

/** Links by which one repair is shown to somebody outside, up to a day. */
export function shareRoutes(router: Router, db: Database, today: () => string): void {
  read(router, 'shares', ({ args: { recordId } }) =>
    db.read((manager) => {
      const { jobId, spliceId } = recordRow(manager, recordId);
      const found = rowsBy(manager).find(ShareEntity, { jobId, spliceId }, 'at');
      return Promise.resolve(
        found.map((row): Share => ({
          id: row.id,
          until: row.until,
          by: row.by,
          at: row.at,
          over: isOver(row, today()),
        })),
      );
    }),
  );

  write(
    router,
    db,
    'shareRecord',
    'repair shared',
    async ({ args: { recordId, days, key, by }, manager, now, audit }) => {
      const { jobId, spliceId } = recordRow(manager, recordId);
      const until = formatISO(addDays(parseISO(today()), days), { representation: 'date' });
      const id = randomUUID();
      await manager.insert(ShareEntity, {
        id,
        keyHash: hashOf(key),
        jobId,
        spliceId,
        until,
        by,
        at: now,
        endedAt: null,
      });
      await audit('repair shared', jobId, { recordId, until });
      return { id, until };
    },
  );

  write(router, db, 'endShare', 'sharing ended', async ({ args: { shareId }, manager, now, audit }) => {
    const share = await manager.findOneBy(ShareEntity, { id: shareId });
    if (!share) throw new AppError('NOT_FOUND', 'There is no such link.');
    if (share.endedAt === null) await manager.update(ShareEntity, { id: shareId }, { endedAt: now });
    await audit('sharing ended', share.jobId, { shareId });
    return { id: shareId };
  });

  read(router, 'sharedRecord', ({ args: { key } }) =>
    db.read((manager) => Promise.resolve(sharedBy(manager, key, today()))),
  );
}
