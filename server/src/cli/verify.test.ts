import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { unzipSync, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import type { AnswerOf } from '@mendum/core/operations';
import { answering, ended, freePort, run } from '../test/process.ts';

/** Each starts a process of its own, from source: half a minute on a machine that is busy. */
const GENEROUS_MS = 240_000;
let folder: string;
const at = (name: string): string => join(folder, name);
const DATABASE = 'data/mendum.sqlite';

/** Runs a command, and gives how it ended and what it said. */
async function ran(name: string, ...args: readonly string[]): Promise<readonly [number | null, string]> {
  const { child, said } = run(`server/src/cli/${name}.ts`, args, { MENDUM_DATA: at('data') });
  return [await ended(child), said()];
}
/** Changes the database as somebody would who has the file in their hands. */
function byHand(...changes: readonly string[]): string {
  const db = new Sqlite(at(DATABASE));
  for (const sql of ['DROP TRIGGER IF EXISTS "record_no_update"', ...changes]) db.exec(sql);
  db.close();
  return at(DATABASE);
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'mendum-verify-'));
  expect(await ran('signingKey', at('key'))).toEqual([0, expect.stringContaining('MENDUM_SIGNING_KEY')]);
  await ran('signingKey', at('other'));
  const port = await freePort();
  const env = {
    PORT: String(port),
    MENDUM_DATA: at('data'),
    MENDUM_SIGNING_KEY: at('key'),
    MENDUM_BACKUPS: at('backups'),
  };
  const { child } = run('server/src/main.ts', ['--demo'], env);
  await answering(port);
  const base = `http://127.0.0.1:${port}/api`;
  const { items } = (await (await fetch(`${base}/jobs?status=signed`)).json()) as AnswerOf<'jobs'>;
  const bundle = await (await fetch(`${base}/export/records.json?jobId=${items[0]!.id}`)).text();
  writeFileSync(at('records.json'), bundle);
  writeFileSync(at('changed.json'), bundle.replaceAll('Ines Valdur', 'Somebody'));
  const parcel = new Uint8Array(await (await fetch(`${base}/export/records.zip?jobId=${items[0]!.id}`)).arrayBuffer());
  writeFileSync(at('parcel.zip'), parcel);
  const files = unzipSync(parcel);
  writeFileSync(at('more.zip'), zipSync({ ...files, 'jobs/more.txt': new Uint8Array([65]) }));
  writeFileSync(at('other.json'), '{"format":"something"}');
  const writeId = crypto.randomUUID();
  const headers = { 'content-type': 'application/json' };
  await fetch(`${base}/people`, { method: 'POST', headers, body: JSON.stringify({ writeId, by: 'Oda' }) });
  await ran('backup', at('b.tar.gz'));
  child.kill('SIGTERM');
  await ended(child);
}, GENEROUS_MS);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

it('a key is for its owner only, and is made once', { timeout: GENEROUS_MS }, async () => {
  expect(statSync(at('key')).mode & 0o777).toBe(0o600);
  const before = readFileSync(at('key'), 'utf8');
  expect(await ran('signingKey', at('key'))).toEqual([1, expect.stringContaining('is there already')]);
  expect(readFileSync(at('key'), 'utf8')).toBe(before);
});

describe('what holds', () => {
  test.each([
    ['the data', [], /whole to row \d/],
    ['a database', [DATABASE], /whole to row \d/],
    ['a backup', ['b.tar.gz'], /whole to row \d/],
    ['exported records', ['records.json'], /^1 records? holds?, of a chain/],
    ['a parcel', ['parcel.zip'], /^1 records? holds?, of a chain[^]*Its \d+ files are what was packed/],
    ['a parcel, with its key', ['parcel.zip', '--key', 'key.pub'], /^1 records? holds?, of a chain/],
    ['the data, with its key', ['--key', 'key.pub'], /[1-9]\d* of its rows are signed by this key/],
  ] as const)('%s', { timeout: GENEROUS_MS }, async (_what, args, words) => {
    const files = args.map((one) => (one.startsWith('--') ? one : at(one)));
    expect(await ran('verify', ...files)).toEqual([0, expect.stringMatching(words)]);
  });
});
describe('what does not, ends with 1 and in one sentence', () => {
  test.each([
    ['exported records that were changed', ['changed.json'], /is not what was written/],
    ['a parcel with a file put in', ['more.zip'], /jobs\/more\.txt was put into it/],
    ['a parcel signed by another key', ['parcel.zip', '--key', 'other.pub'], /is not signed by this key/],
    ['a file that is none', ['other.json'], /cannot be read as exported records/],
    ['a file that is not there', ['none.json'], /There is no file/],
    ['a key that is none', ['--key', 'records.json'], /is not a public key in PEM/],
    ['a key that signed nothing', ['records.json', '--key', 'other.pub'], /is not signed by this key/],
  ] as const)('%s', { timeout: GENEROUS_MS }, async (_what, args, words) => {
    const files = args.map((one) => (one.startsWith('--') ? one : at(one)));
    const [code, said] = await ran('verify', ...files);
    expect([code, said]).toEqual([1, expect.stringMatching(words)]);
    expect(said.trim().split('\n')).toHaveLength(1);
  });
  it('a database with a changed row, also to check-data', { timeout: GENEROUS_MS }, async () => {
    const file = byHand(`UPDATE "record" SET "signedBy" = 'Nobody' WHERE "chainRow" = 2`);
    expect(await ran('verify', file)).toEqual([1, expect.stringMatching(/does not hold at row 2/)]);
    expect(await ran('checkData')).toEqual([1, expect.stringMatching(/does not hold at row 2/)]);
  });
  it('a server whose key is none does not start', { timeout: GENEROUS_MS }, async () => {
    const env = { PORT: String(await freePort()), MENDUM_DATA: at('data'), MENDUM_SIGNING_KEY: at('records.json') };
    const { child, said } = run('server/src/main.ts', [], env);
    expect([await ended(child), said()]).toEqual([1, expect.stringMatching(/cannot be read as a private key/)]);
  });
});
