import { randomUUID } from 'node:crypto';
import type Sqlite from 'better-sqlite3';
import type { AnswerOf } from '@mendum/core/operations';
import sharp from 'sharp';
import type { Client, Told } from './client.ts';

/** Where each sort of write leaves its row, and the line that it leaves in the log. */
const SORTS = {
  person: { row: 'SELECT 1 FROM person WHERE name = ?', all: 'SELECT COUNT(*) FROM person', line: 'at the bench' },
  job: { row: 'SELECT 1 FROM job WHERE id = ?', all: 'SELECT COUNT(*) FROM job', line: 'job opened' },
  finding: { row: 'SELECT 1 FROM finding WHERE id = ?', all: 'SELECT COUNT(*) FROM finding', line: 'finding added' },
  photo: { row: 'SELECT 1 FROM photo WHERE id = ?', all: 'SELECT COUNT(*) FROM photo', line: 'photo added' },
} as const;
type Sort = keyof typeof SORTS;
const EVERY = Object.keys(SORTS) as readonly Sort[];

/** A write that a server said it had saved. */
export interface Acknowledged {
  readonly writeId: string;
  readonly sort: Sort;
  /** By which its row is found. */
  readonly id: string;
}

const PICTURE = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#884422' } })
  .png()
  .toBuffer();
/** Every so many findings one gets a photo. */
const PHOTO_EVERY = 20;

/**
 * What one person writes on a job of their own, one after the other, until the server does not answer any more.
 * @param kept takes what was acknowledged
 */
export async function writesUntilGone(client: Client, who: string, kept: Acknowledged[]): Promise<void> {
  const gone = (): undefined => undefined;
  /** @returns the answer, where there was one */
  const write = async (
    sort: Sort,
    ask: (writeId: string) => Promise<Told>,
    idOf: (told: Told) => string,
  ): Promise<Told | undefined> => {
    const writeId = randomUUID();
    const told = await ask(writeId).catch(gone);
    if (told && told.status !== 201) throw new Error(`${sort}: ${JSON.stringify(told)}`);
    if (told) kept.push({ writeId, sort, id: idOf(told) });
    return told;
  };
  const made = ({ body }: Told): string => (body as { readonly id: string }).id;
  const demo = ((await client.get('/jobs?search=0146').catch(gone))?.body as AnswerOf<'jobs'> | undefined)?.items.find(
    ({ number }) => number === '0146',
  );
  const job = demo && ((await client.get(`/jobs/${demo.id}`).catch(gone))?.body as AnswerOf<'job'> | undefined);
  const harnessId = job?.harnessId;
  const opened =
    harnessId &&
    (await write('job', (writeId) => client.write('POST', '/jobs', { writeId, title: 'K', harnessId }), made));
  if (!opened) return;
  const findings = `/jobs/${made(opened)}/findings`;
  for (let turn = 0; ; turn += 1) {
    const id = `K-${who}-${turn}`;
    const finding = { id, circuitId: 'C26', runId: 'R1', kind: 'corroded', fromMm: 1 + 3 * turn, toMm: 2 + 3 * turn };
    const done =
      (await write(
        'person',
        (writeId) => client.write('POST', '/people', { writeId, by: id }),
        () => id,
      )) &&
      (await write(
        'finding',
        (writeId) => client.write('POST', findings, { writeId, finding }),
        () => id,
      )) &&
      (turn % PHOTO_EVERY !== 1 ||
        (await write(
          'photo',
          (writeId) => client.send(`${findings}/${id}/photos?writeId=${writeId}&by=Ines`, 'image/png', PICTURE),
          made,
        )));
    if (!done) return;
  }
}

/** How many rows of each sort there are before anybody writes. */
export type Before = Readonly<Record<Sort, number>>;
const count = (db: Sqlite.Database, sql: string, ...values: readonly string[]): number =>
  db
    .prepare(sql)
    .pluck()
    .get(...values) as number;
export const countedIn = (db: Sqlite.Database): Before =>
  Object.fromEntries(EVERY.map((sort) => [sort, count(db, SORTS[sort].all)])) as Record<Sort, number>;

/** What is missing of acknowledged writes, and what is half done, in the database of a server that was killed. */
export function notWhole(db: Sqlite.Database, before: Before, kept: readonly Acknowledged[]): string[] {
  const receipt = db.prepare('SELECT 1 FROM receipt WHERE writeId = ?');
  const missing = kept.flatMap(({ sort, id, writeId }) =>
    db.prepare(SORTS[sort].row).get(id) === undefined || receipt.get(writeId) === undefined
      ? [`${sort} ${id} was acknowledged and is not there`]
      : [],
  );
  const halves = EVERY.flatMap((sort) => {
    const rows = count(db, SORTS[sort].all) - before[sort];
    const lines = count(db, 'SELECT COUNT(*) FROM audit WHERE what = ?', SORTS[sort].line);
    return rows === lines ? [] : [`${rows} of ${sort} were added, and ${lines} lines say so`];
  });
  const lines = count(db, 'SELECT COUNT(*) FROM audit');
  const receipts = count(db, 'SELECT COUNT(*) FROM receipt');
  const versions = count(
    db,
    `SELECT COUNT(*) FROM job WHERE title = 'K' AND version <> 1 +
      (SELECT COUNT(*) FROM audit WHERE jobId = job.id AND what <> 'job opened')`,
  );
  return [
    ...missing,
    ...halves,
    ...(lines === receipts ? [] : [`${lines} lines of the log and ${receipts} receipts`]),
    ...(versions === 0 ? [] : [`${versions} jobs whose version is not what was done to them`]),
  ];
}
