import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { openDatabase } from './db/open.ts';
import { ERRORS } from './errors.ts';
import { readConfig } from './config.ts';
import { startServer, type TestServer } from './test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.close());

describe('bad requests', () => {
  it('an empty body', async () =>
    expect((await server.http.post('/api/people')).body).toMatchObject({
      error: { code: 'EMPTY_BODY', hint: expect.any(String) },
    }));
  it('a body that is not JSON', async () => {
    const answer = await server.http.post('/api/people').set('content-type', 'application/json').send('{"by": ');
    expect([answer.status, answer.body]).toMatchObject([400, { error: { code: 'NOT_JSON' } }]);
  });
  it('a body of 50 MB, which is not read', async () => {
    const answer = await server.http
      .post('/api/jobs/import')
      .set('content-type', 'application/json')
      .send(JSON.stringify({ text: 'x'.repeat(50_000_000) }));
    expect([answer.status, answer.body]).toMatchObject([
      413,
      { error: { code: 'BODY_TOO_LARGE', message: expect.stringMatching(/47\.7 MB is over the limit of 6 MB/) } },
    ]);
  });
  it('a field that is wrong is named with its value', async () => {
    const answer = await server.write('post', '/people', { by: 7 });
    expect([answer.status, answer.body]).toMatchObject([
      422,
      { error: { code: 'BAD_INPUT', field: '/by', message: expect.stringContaining('7') } },
    ]);
  });
  it('an address that is not there', async () =>
    expect((await server.http.get('/api/nowhere')).body).toMatchObject({
      error: { code: 'NOT_FOUND', message: expect.stringContaining('/nowhere') },
    }));
  it('a job that is not there', async () => expect((await server.http.get('/api/jobs/none')).status).toBe(404));
  it('says nothing of the inside when something breaks', async () => {
    const broken = await startServer();
    await broken.db.close();
    const answer = await broken.http.get('/api/jobs');
    expect([answer.status, answer.body]).toEqual([
      500,
      { error: { code: 'INTERNAL', message: 'Something went wrong on the server.', hint: ERRORS.INTERNAL.hint } },
    ]);
  });
});

describe('the same write twice', () => {
  it('is done once and answered alike', async () => {
    const writeId = randomUUID();
    const at = await server.at('0146');
    const finding = { id: 'once', circuitId: 'C26', runId: 'R1', kind: 'parted', fromMm: 800, toMm: 805 };
    const first = await server.write('post', `${at}/findings`, { finding }, writeId);
    const second = await server.write('post', `${at}/findings`, { finding }, writeId);
    expect([first.status, second.status, second.body]).toEqual([201, 201, first.body]);
    expect((await server.job('0146')).job.findings.filter((one) => one.id === 'once')).toHaveLength(1);
  });
  it('with another content under the same id is refused', async () => {
    const writeId = randomUUID();
    await server.write('post', '/people', { by: 'Anouk' }, writeId).expect(201);
    expect((await server.write('post', '/people', { by: 'Bela' }, writeId)).body).toMatchObject({
      error: { code: 'WRITE_ID_REUSED', field: '/writeId' },
    });
  });
});

describe('headers', () => {
  it('are those of helmet, and nothing says what serves them', async () => {
    const { headers } = await server.http.get('/api/health');
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('the database', () => {
  it('is what the entities say: migrations leave nothing to synchronise', async () => {
    const { upQueries } = await server.db.source.driver.createSchemaBuilder().log();
    expect(upQueries.map((query) => query.query)).toEqual([]);
  });
  it('goes down and up again', async () => {
    const db = await openDatabase(':memory:');
    for (let left = db.source.migrations.length; left > 0; left -= 1) await db.source.undoLastMigration();
    const left = await db.source.query<{ name: string }[]>(
      `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> 'migrations'`,
    );
    expect(left).toEqual([]);
    await db.source.runMigrations();
    await db.close();
  });
  test.each(['record', 'audit'])('%s is append-only', async (table) => {
    await expect(
      server.db.source.query(
        `UPDATE "${table}" SET "by" = 'x'`.replace('"by"', table === 'record' ? '"signedBy"' : '"by"'),
      ),
    ).rejects.toThrow('append-only');
    await expect(server.db.source.query(`DELETE FROM "${table}"`)).rejects.toThrow('append-only');
  });
  it('rolls a failed unit of work back and goes on', async () => {
    const before = await server.db.read((manager) =>
      manager.query<{ n: number }[]>('SELECT COUNT(*) AS n FROM person'),
    );
    await expect(
      server.db.write(async (manager) => {
        await manager.query(`INSERT INTO person VALUES ('Half', 'done')`);
        throw new Error('stop');
      }),
    ).rejects.toThrow('stop');
    expect(await server.db.read((manager) => manager.query('SELECT COUNT(*) AS n FROM person'))).toEqual(before);
  });
});

describe('the environment', () => {
  test.each([
    [{ PORT: 'tin' }, /PORT.*tin/],
    [{ PORT: '99999' }, /PORT/],
    [{ LOG_LEVEL: 'loud' }, /LOG_LEVEL.*loud/],
    [{ PLAN_SECONDS: '0' }, /PLAN_SECONDS/],
    [{ PLAN_SECONDS: '3601' }, /PLAN_SECONDS/],
    [{ HOST: 'not a host' }, /HOST/],
    [{ MENDUM_HOSTS: 'harness.shop; other' }, /MENDUM_HOSTS/],
  ])('%o is refused by name', (env, words) => expect(() => readConfig(env, '/x')).toThrow(words));
  it('names go in with commas', () =>
    expect(readConfig({ MENDUM_HOSTS: 'harness.shop,bench-2' }, '/x').hosts).toEqual(['harness.shop', 'bench-2']));
  it('has its defaults', () =>
    expect(readConfig({}, '/x')).toEqual({
      host: '127.0.0.1',
      port: 4600,
      dataDir: '/x/data',
      backupsDir: '/x/backups',
      hosts: [],
      signingKey: undefined,
      tls: undefined,
      proxies: 0,
      logLevel: 'warn',
      planSeconds: 60,
    }));
});

it('every error the server gives is in the document, and no other', () => {
  const document = readFileSync(join(import.meta.dirname, '../../docs/formats/errors.md'), 'utf8');
  const listed = [...document.matchAll(/^\| *`([A-Z_]+)` *\| *(\d{3}) *\|/gm)].map(
    ([, code, status]) => `${code ?? ''} ${status ?? ''}`,
  );
  expect(listed.sort()).toEqual(
    Object.entries(ERRORS)
      .map(([code, { status }]) => `${code} ${status}`)
      .sort(),
  );
});
