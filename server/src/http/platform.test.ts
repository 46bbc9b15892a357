import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { answerBadRequests } from './badRequest.ts';

let db: Database;
let webDir: string;
let server: Server;
let port: number;
const lines: { level: number; route?: string; method?: string; status?: number; ms?: number; id?: string }[] = [];
beforeAll(async () => {
  db = await openDatabase(':memory:');
  webDir = mkdtempSync(join(tmpdir(), 'mendum-web-'));
  mkdirSync(join(webDir, 'assets'));
  writeFileSync(join(webDir, 'index.html'), '<!doctype html><title>Mendum</title>');
  writeFileSync(join(webDir, 'assets/app.js'), 'export {};');
  const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(JSON.parse(line) as never) });
  server = createServer(createApp({ db, log, photosDir: webDir, webDir }));
  answerBadRequests(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  port = (server.address() as AddressInfo).port;
});
afterAll(async () => {
  await new Promise((done) => server.close(done));
  await db.close();
  rmSync(webDir, { recursive: true, force: true });
});

/** Sends what no client library would. */
const raw = (text: string): Promise<string> =>
  new Promise((done, fail) => {
    let answer = '';
    const socket = connect(port, '127.0.0.1', () => socket.write(text));
    socket.on('data', (data) => (answer += data.toString()));
    socket.on('close', () => done(answer));
    socket.on('error', fail);
  });
const send = (head: string, ...more: readonly string[]): Promise<string> =>
  raw(
    [`${head} HTTP/1.1`, 'Host: localhost', 'Connection: close', ...more]
      .join('\r\n')
      .replace(/(\r\n\r\n.*)?$/s, '$1\r\n\r\n'),
  );
const withBody = (body: string, ...heads: readonly string[]): Promise<string> =>
  raw(
    [
      'POST /api/jobs HTTP/1.1',
      'Host: localhost',
      'Connection: close',
      `Content-Length: ${body.length}`,
      ...heads,
      '',
      body,
    ].join('\r\n'),
  );
const JSON_TYPE = 'Content-Type: application/json';

describe('what the platform refuses by itself is refused in the one shape', () => {
  const cases: readonly (readonly [string, () => Promise<string>, number, string])[] = [
    [
      'a percent sign that stands for nothing, in the interface',
      () => send('GET /api/jobs/%E0%A4%A'),
      400,
      'BAD_REQUEST',
    ],
    ['the same in a page', () => send('GET /jobs/%zz'), 400, 'BAD_REQUEST'],
    ['the same in a file', () => send('GET /assets/%zz.js'), 400, 'BAD_REQUEST'],
    ['a part that is not there', () => send('GET /', 'Range: bytes=9000-'), 416, 'RANGE_REFUSED'],
    ['the same of a file', () => send('GET /assets/app.js', 'Range: bytes=9000-'), 416, 'RANGE_REFUSED'],
    ['another state than is there', () => send('GET /', 'If-Match: "other"'), 412, 'PRECONDITION'],
    ['a file that is not there', () => send('GET /assets/none.js'), 404, 'NOT_FOUND'],
    [
      'a character set nobody has',
      () => withBody('{}', 'Content-Type: application/json; charset=x-none'),
      415,
      'NOT_UNDERSTOOD',
    ],
    ['a compression nobody has', () => withBody('{}', JSON_TYPE, 'Content-Encoding: zip'), 415, 'NOT_UNDERSTOOD'],
    ['gzip that is none', () => withBody('{}', JSON_TYPE, 'Content-Encoding: gzip'), 400, 'BAD_REQUEST'],
    ['no JSON', () => withBody('{', JSON_TYPE), 400, 'NOT_JSON'],
    ['no request at all', () => raw('HELLO\r\n\r\n'), 400, 'BAD_REQUEST'],
    ['a head without end', () => send('GET /', `X-Long: ${'x'.repeat(40_000)}`), 400, 'BAD_REQUEST'],
  ];
  it.each(cases)('%s', async (_, ask, status, code) => {
    const answer = await ask();
    expect(answer).toMatch(new RegExp(`^HTTP/1.1 ${status} `));
    expect(answer).not.toMatch(/<|at .*\.ts|node_modules/);
    const body = JSON.parse(answer.slice(answer.indexOf('{'), answer.lastIndexOf('}') + 1)) as object;
    expect(body).toMatchObject({
      error: { code, message: expect.any(String) as string, hint: expect.any(String) as string },
    });
  });
  it('a page is still a page', async () => expect(await send('GET /jobs/some/decide')).toMatch(/<title>Mendum/));
});

describe('each request leaves one line', () => {
  it('with its id, method, route, status and milliseconds, and nothing of the shop', async () => {
    lines.length = 0;
    const answer = await send('GET /api/jobs/secret-number');
    expect(lines).toHaveLength(1);
    const [line] = lines;
    expect(line).toMatchObject({ level: 30, method: 'GET', route: '/api/jobs/:jobId', status: 404 });
    expect(line?.ms).toBeGreaterThanOrEqual(0);
    expect(answer).toContain(`X-Request-Id: ${line?.id}`);
    expect(JSON.stringify(line)).not.toContain('secret-number');
  });
});
