import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { CRIMP_FIRST } from '@mendum/core/practice';
import { keepAudit } from '../chain/append.ts';
import { seedDemo } from '../demo/seed.ts';
import {
  ChoiceEntity,
  ENTITIES,
  FindingEntity,
  GoodEntity,
  HarnessEntity,
  JobEntity,
  PinEntity,
  PracticeEntity,
  ReceiptEntity,
  RecordEntity,
  SettingEntity,
} from './entities.ts';
import { FacePhotoEntity, PhotoEntity } from './photoEntities.ts';
import { openDatabase, type Database } from './open.ts';
import { ParcelEntity, ParcelFileEntity, ParcelRecordEntity, ShareEntity } from './parcelEntities.ts';
import { TodoEntity } from './todoEntities.ts';
import { AccountEntity, SignInEntity } from './peopleEntities.ts';

/** What a table has when it is made: where records and audit lines end. */
const NEW_ROWS: Readonly<Record<string, number>> = { setting: 1 };
/** Tables that are made anew from the records that are there. */
const OF_RECORDS: ReadonlySet<string> = new Set(['found']);
const AT = '2031-05-20T09:00:00.000Z';
let db: Database;

const CABLE = { id: 'W1', name: 'W1', outerMm: 8.2, runIds: ['R1'], coreIds: ['C1'], spares: [{}, {}] };

/** A database with something in every table. */
async function filledAnew(): Promise<Database> {
  const db = await openDatabase(':memory:');
  await seedDemo(db, new Date(AT));
  await db.write(async (manager) => {
    const { jobId, id: findingId } = await manager.findOneByOrFail(FindingEntity, {});
    const said = { by: 'Ines', at: AT };
    await manager.insert(ChoiceEntity, {
      id: randomUUID(),
      jobId,
      findingId,
      use: 'clipSleeve',
      terminal: null,
      reason: 'Slim.',
      ...said,
    });
    await manager.insert(PinEntity, { jobId, findingId, side: 'only', centreMm: 400, runId: null });
    await keepAudit(manager, { ...said, what: 'ticks', jobId, detail: {} });
    const [from, by] = await manager.find(JobEntity);
    await manager.insert(GoodEntity, { jobId: from?.id, spliceId: 'F1:only', byJobId: by?.id, endedAt: AT });
    await manager.insert(ReceiptEntity, { writeId: randomUUID(), at: AT, digest: 'x', status: 200, body: {} });
    await manager.insert(SettingEntity, { id: 'usualPractice', value: 'own' });
    await manager.insert(PracticeEntity, { id: 'own', version: 1, kept: false, body: CRIMP_FIRST });
    const harness = await manager.findOneByOrFail(HarnessEntity, {});
    await manager.update(HarnessEntity, { id: harness.id }, { cables: [CABLE] });
    const account = {
      name: 'Ines',
      nameKey: 'ines',
      role: 'admin',
      active: true,
      secret: 'x',
      mustChange: false,
      since: AT,
    } as const;
    const accountId = randomUUID();
    await manager.insert(AccountEntity, { ...account, id: accountId });
    const signIn = { tokenHash: 'x', device: 'tablet', shared: true, since: AT, seen: AT };
    await manager.insert(SignInEntity, { ...signIn, id: randomUUID(), accountId });
    const photo = { id: randomUUID(), name: 'a.jpg', type: 'image/jpeg', sizeBytes: 9, widthPx: 3, heightPx: 3 };
    const parcelId = 'a'.repeat(64);
    await manager.insert(ParcelEntity, { id: parcelId, shop: 'Else', manifest: '{}', records: 1, signed: 0, ...said });
    await manager.insert(ParcelFileEntity, { parcelId, name: 'records.json', content: Buffer.from('{}') });
    const { body } = await manager.findOneByOrFail(RecordEntity, {});
    await manager.insert(ParcelRecordEntity, {
      parcelId,
      chainRow: 3,
      recordId: 'R',
      folder: 'jobs/1',
      body,
      text: 'x',
    });
    const shared = { id: randomUUID(), keyHash: 'x', jobId, spliceId: 'F1:only', until: AT, endedAt: null };
    await manager.insert(ShareEntity, { ...shared, ...said });
    await manager.insert(TodoEntity, { id: randomUUID(), harnessId: harness.id, words: 'Chafed', ...said });
    await manager.insert(PhotoEntity, { ...photo, jobId, findingId, ...said, removed: false });
    const ofFace = { harnessId: harness.id, nodeId: 'X1', version: 1, side: 'wire', marks: [] } as const;
    await manager.insert(FacePhotoEntity, { ...photo, ...ofFace, ...said, id: randomUUID(), removed: false });
  });
  return db;
}
beforeEach(async () => {
  db = await filledAnew();
});
afterEach(() => db.close());

const query = <T>(sql: string): Promise<T[]> => db.source.query<T[]>(sql);
/** By table: how many rows are in it. */
async function rows(): Promise<ReadonlyMap<string, number>> {
  const tables = await query<{ name: string }>(
    `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> 'migrations' AND name NOT LIKE 'found\\_words%' ESCAPE '\\'`,
  );
  const counts = new Map<string, number>();
  for (const { name } of tables)
    counts.set(name, (await query<{ n: number }>(`SELECT COUNT(*) AS n FROM "${name}"`))[0]?.n ?? 0);
  return counts;
}
const isSound = async (): Promise<boolean> =>
  (await query('PRAGMA foreign_key_check')).length === 0 &&
  JSON.stringify(await query('PRAGMA integrity_check')) === '[{"integrity_check":"ok"}]';

describe('migrations, with something in every table', () => {
  it('every table has something in it here', async () => {
    const counts = await rows();
    expect([...counts.keys()].sort()).toEqual(ENTITIES.map(({ options }) => options.name).sort());
    expect([...counts].filter(([, count]) => count === 0)).toEqual([]);
  });
  it('what records are found by is made from them as it was kept with them', async () => {
    const texts = () => query('SELECT * FROM "found" ORDER BY "chainRow"');
    const before = await texts();
    await db.source.undoLastMigration();
    await db.source.runMigrations();
    expect(await texts()).toEqual(before);
  });
  it('from every step down and up again: what has a table keeps its rows, and all is sound', async () => {
    const before = await rows();
    for (let steps = 1; steps <= db.source.migrations.length; steps += 1) {
      for (let down = 0; down < steps; down += 1) await db.source.undoLastMigration();
      const below = await rows();
      for (const [table, count] of below) expect([table, count]).toEqual([table, before.get(table)]);
      expect(await isSound()).toBe(true);
      await db.source.runMigrations();
      const after = await rows();
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      for (const [table, count] of after)
        expect([table, count]).toEqual([
          table,
          below.get(table) ?? NEW_ROWS[table] ?? (OF_RECORDS.has(table) ? after.get('record') : 0),
        ]);
      expect(await isSound()).toBe(true);
      const gone = [...after].filter(([table, count]) => count < (before.get(table) ?? 0)).map(([table]) => table);
      if (gone.length > 0) {
        await db.close();
        db = await filledAnew();
      }
    }
  });
});
