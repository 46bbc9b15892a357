import { generateKeyPairSync } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import type { ChainState, RecordBundle } from '@mendum/core/operations';
import { askRecords } from '../test/files.ts';
import { startServer, type TestServer } from '../test/server.ts';
import { bundleBroken, readBundle, sealOf } from './bundle.ts';

let server: TestServer;
let bundle: RecordBundle;
beforeEach(async () => {
  server = await startServer();
  const { body } = await askRecords(server, '0126', 'json');
  bundle = readBundle(JSON.stringify(body));
});
afterEach(() => server.close());

const withFirst = (change: object): RecordBundle => ({
  ...bundle,
  records: bundle.records.map((record, at) => (at === 0 ? { ...record, ...change } : record)),
});

it('the records of a job, as they are given out, hold', () => {
  expect(bundle.records.length).toBeGreaterThan(0);
  expect(bundleBroken(bundle)).toBeUndefined();
});
describe('records that were changed after they were given out do not', () => {
  test.each([
    ['the body', () => withFirst({ body: { ...bundle.records[0]!.body, method: 'sealed butt' } })],
    ['who signed', () => withFirst({ signedBy: 'Nobody' })],
    ['when', () => withFirst({ signedAt: '2030-01-01T00:00:00.000Z' })],
    ['the circuit', () => withFirst({ circuitNumber: '99' })],
    ['that it is temporary', () => withFirst({ temporaryUntil: '2040-01-01' })],
    ['what it replaces', () => withFirst({ replacesId: 'x' })],
    ['its row', () => withFirst({ chainRow: 900 })],
    ['the row before', () => withFirst({ before: 'f'.repeat(64) })],
    ['its hash', () => withFirst({ hash: 'f'.repeat(64) })],
    ['one gone', () => ({ ...bundle, records: bundle.records.slice(1) })],
    ['one twice', () => ({ ...bundle, records: [...bundle.records, ...bundle.records] })],
    ['the seal', () => ({ ...bundle, seal: 'f'.repeat(64) })],
    ['a head before it', () => ({ ...bundle, head: { row: 0, hash: bundle.head.hash } })],
  ])('%s', (_what, changed) => expect(bundleBroken(changed())).toEqual(expect.any(String)));
  it('one left out, with the seal made anew, is found by its key only', () => {
    const { publicKey } = generateKeyPairSync('ed25519');
    const fewer = { ...bundle, records: bundle.records.slice(1) };
    expect(bundleBroken({ ...fewer, seal: sealOf(fewer.records) })).toBeUndefined();
    expect(bundleBroken(bundle, publicKey)).toMatch(/is not signed by this key/);
  });
});
it('what is no bundle is refused', () =>
  expect(() => readBundle('{"format":"mendum-record","version":1,"records":[]}')).toThrow(/version/));

it('the server says how far its chain holds', async () => {
  const { body } = await server.http.get('/api/chain').expect(200);
  expect(body).toEqual({ ...bundle.head, at: expect.any(String) as string, signs: false } satisfies ChainState);
  await server.db.source.query('DROP TRIGGER "record_no_update"');
  await server.db.source.query(`UPDATE "record" SET "signedBy" = 'Nobody' WHERE "chainRow" = 2`);
  expect((await server.http.get('/api/chain').expect(200)).body).toMatchObject({ row: 1, broken: { row: 2 } });
});
