import { generateKeyPairSync } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import { keepAudit, signRows } from './append.ts';
import { hashOf, NOTHING_BEFORE } from './link.ts';
import { headOf, rowsOf } from './stored.ts';
import { walk } from './walk.ts';

let server: TestServer;
const ask = (sql: string, values: readonly unknown[] = []) => server.db.source.query<unknown[]>(sql, [...values]);
const walked = async (key?: Parameters<typeof walk>[2]) => walk(rowsOf(ask), await headOf(ask), key);
const audit = (what: string) =>
  keepAudit(server.db.source.manager, { at: '2031-05-20', by: 'Ines', what, jobId: null, detail: { what } });
/** As somebody would who has the file in their hands: without what guards it. */
async function byHand(...changes: readonly string[]): Promise<void> {
  for (const table of ['record', 'audit'])
    for (const verb of ['update', 'delete']) await ask(`DROP TRIGGER IF EXISTS "${table}_no_${verb}"`);
  for (const sql of changes) await ask(sql);
}
beforeEach(async () => {
  server = await startServer();
  for (let n = 1; n <= 6; n += 1) await audit(`line ${n}`);
});
afterEach(() => server.close());

it('is one chain of records and audit lines, whole to its head', async () => {
  const { whole, broken } = await walked();
  expect(broken).toBeUndefined();
  expect(whole).toEqual(await headOf(ask));
  const [{ n }] = (await ask('SELECT (SELECT COUNT(*) FROM record) + (SELECT COUNT(*) FROM audit) AS n')) as [
    { n: number },
  ];
  expect(whole.row).toBe(n);
});
it('goes on with every write, corrections too, and holds what cannot be stored as it was sent', async () => {
  await makeSafe(server, '0146');
  await audit('half a pair: \ud800');
  const [{ id }] = (await ask('SELECT id FROM record LIMIT 1')) as [{ id: string }];
  await server.write('post', `/records/${id}/corrections`, { text: 'Sleeve is 6 mm.' }).expect(201);
  const before = (await headOf(ask)).row;
  await server.write('post', '/people', { by: 'Oda' }).expect(201);
  const { whole, broken } = await walked();
  expect(broken).toBeUndefined();
  expect(whole.row).toBeGreaterThan(before);
});
it('the hash is that of the format document', () =>
  expect(
    hashOf(1, NOTHING_BEFORE, {
      kind: 'audit',
      content: {
        what: 'steps ticked',
        by: 'Ines',
        at: '2031-05-20T09:00:00.000Z',
        jobId: null,
        detail: { b: 1, a: [2] },
      },
    }),
  ).toBe('b0e77774af437b3950559054f432b38c6648fa31167e9aed64a92d7daf488de2'));

const LAST = '(SELECT MAX("chainRow") FROM "audit")';
describe('what somebody changed by hand is found, with what guards the tables gone', () => {
  const inBody = (path: string, value: string) =>
    `UPDATE "record" SET "body" = json_set("body", '${path}', ${value}) WHERE "chainRow" = 2`;
  const cases: readonly (readonly [what: string, row: number, ...changes: readonly string[]])[] = [
    ['a reading in a record', 2, inBody('$.readings[0].words', `'32 mohm'`)],
    ['the method in a record', 2, inBody('$.method', `'sealed butt'`)],
    ['where it lies', 2, inBody('$.onWire.fromMm', '1')],
    ['a note that was not there', 2, inBody('$.extra', `'x'`)],
    ['who signed', 3, `UPDATE "record" SET "signedBy" = 'Nobody' WHERE "chainRow" = 3`],
    ['when it was signed', 3, `UPDATE "record" SET "signedAt" = '2030-01-01' WHERE "chainRow" = 3`],
    ['the circuit', 3, `UPDATE "record" SET "circuitNumber" = '99' WHERE "chainRow" = 3`],
    ['that it is temporary', 1, `UPDATE "record" SET "temporaryUntil" = '2040-01-01' WHERE "chainRow" = 1`],
    ['what it corrects', 2, `UPDATE "record" SET "replacesId" = 'x' WHERE "chainRow" = 2`],
    [
      'its job',
      2,
      `UPDATE "record" SET "jobId" = (SELECT "id" FROM "job" WHERE "status" = 'open' LIMIT 1) WHERE "chainRow" = 2`,
    ],
    ['its id', 2, `UPDATE "record" SET "id" = 'x' WHERE "chainRow" = 2`],
    ['JSON that cannot be read', 2, `UPDATE "record" SET "body" = '{' WHERE "chainRow" = 2`],
    ['an audit line', 8, `UPDATE "audit" SET "detail" = '{}' WHERE "what" = 'line 3'`],
    ['who did it', 8, `UPDATE "audit" SET "by" = 'Nobody' WHERE "what" = 'line 3'`],
    ['the first row gone', 1, `DELETE FROM "record" WHERE "chainRow" = 1`],
    ['a row gone from the middle', 3, `DELETE FROM "record" WHERE "chainRow" = 3`],
    ['the last row gone', 11, `DELETE FROM "audit" WHERE "chainRow" = ${LAST}`],
    [
      'a row gone and the rest moved up',
      3,
      `DELETE FROM "record" WHERE "chainRow" = 3`,
      `UPDATE "record" SET "chainRow" = "chainRow" - 1 WHERE "chainRow" > 3`,
      `UPDATE "audit" SET "chainRow" = -"chainRow" WHERE "chainRow" > 3`,
      `UPDATE "audit" SET "chainRow" = -"chainRow" - 1 WHERE "chainRow" < 0`,
    ],
    [
      'two rows that changed places',
      2,
      `UPDATE "record" SET "chainRow" = -3 WHERE "chainRow" = 2`,
      `UPDATE "record" SET "chainRow" = 2 WHERE "chainRow" = 3`,
      `UPDATE "record" SET "chainRow" = 3 WHERE "chainRow" = -3`,
    ],
    [
      'a row replaced with that of another place',
      2,
      `UPDATE "record" SET ("body", "hash") = (SELECT "body", "hash" FROM "record" WHERE "chainRow" = 1) WHERE "chainRow" = 2`,
    ],
    [
      'a row put in at the end',
      12,
      `INSERT INTO "audit" ("at", "by", "what", "detail", "chainRow", "hash") VALUES ('', '', '', '{}', ${LAST} + 1, '')`,
    ],
    [
      'a record put in before the first row',
      1,
      `INSERT INTO "record" SELECT * FROM (SELECT 'x' AS "id", "jobId", "spliceId", "circuitNumber", "temporaryUntil", "replacesId", "body", "signedBy", "signedAt", -5, "hash", NULL FROM "record" WHERE "chainRow" = 1)`,
    ],
    ['the hash of a row', 2, `UPDATE "record" SET "hash" = "hash" || '0' WHERE "chainRow" = 2`],
  ];
  test.each(cases.map(([what, row, ...changes]) => ({ what, row, changes })))('$what', async ({ row, changes }) => {
    const { row: last } = await headOf(ask);
    await byHand(...changes);
    const { whole, broken } = await walked();
    expect(broken?.row).toBe(row);
    expect(whole.row).toBe(row - 1);
    expect(whole.row).toBeLessThanOrEqual(last);
  });
});

describe('with a key that is kept elsewhere', () => {
  const [own, other] = [generateKeyPairSync('ed25519'), generateKeyPairSync('ed25519')];
  beforeEach(async () => {
    signRows(server.db.source, own.privateKey);
    await audit('signed 1');
    await audit('signed 2');
  });
  it('rows from then on are signed, and hold', async () => {
    const { broken, signed } = await walked(own.publicKey);
    expect([broken, signed]).toEqual([undefined, 2]);
  });
  it('of another key they do not', async () =>
    expect((await walked(other.publicKey)).broken?.why).toBe('its signature is of another key'));
  it('a row that was changed with all hashes made anew is found, which without a key it is not', async () => {
    const rows = await rowsOf(ask)(1, 500);
    const at = rows.findIndex(({ fields }) => fields.what === 'signed 1');
    const forged = { ...rows[at]!.fields, detail: { what: 'forged' } };
    let before = rows[at - 1]!.hash;
    await byHand(`UPDATE "audit" SET "detail" = '{"what":"forged"}' WHERE "what" = 'signed 1'`);
    for (const [index, row] of rows.slice(at).entries()) {
      const content =
        index === 0 ? forged : { ...row.fields, detail: JSON.parse(String(row.fields.detail)) as unknown };
      before = hashOf(row.chainRow, before, { kind: 'audit', content } as never);
      await ask('UPDATE "audit" SET "hash" = ? WHERE "chainRow" = ?', [before, row.chainRow]);
      await ask(`UPDATE "setting" SET "value" = ? WHERE "id" = 'chainHead'`, [`${row.chainRow} ${before}`]);
    }
    expect((await walked()).broken).toBeUndefined();
    expect((await walked(own.publicKey)).broken?.why).toBe('its signature is of another key');
  });
  it('all signatures taken off are found', async () => {
    await byHand(`UPDATE "audit" SET "signature" = NULL`);
    expect((await walked()).broken).toBeUndefined();
    expect((await walked(own.publicKey)).broken).toEqual({ row: 1, why: 'no row is signed with this key' });
  });
  it('one without a signature after one with it is found', async () => {
    await byHand(`UPDATE "audit" SET "signature" = NULL WHERE "what" = 'signed 2'`);
    expect((await walked(own.publicKey)).broken?.why).toBe('it is not signed');
  });
});
