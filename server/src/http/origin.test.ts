import { hostname } from 'node:os';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';

let db: Database;
let server: ReturnType<typeof request>;
beforeAll(async () => {
  db = await openDatabase(':memory:');
  server = request(createApp({ db, photosDir: '/nowhere', log: pino({ level: 'silent' }), hosts: ['harness.shop'] }));
});
afterAll(() => db.close());

describe('the name that a request is made for', () => {
  it.each([
    '127.0.0.1',
    '127.0.0.1:4600',
    '[::1]:4600',
    '192.168.7.20:4600',
    'localhost:4600',
    'LOCALHOST',
    hostname(),
    `${hostname()}.local:4600`,
    'harness.shop',
    'Harness.Shop:443',
  ])('%s is ours', async (host) => expect((await server.get('/api/health').set('Host', host)).status).toBe(200));
  it.each([
    'stranger.example',
    'stranger.example:4600',
    'localhost.stranger.example',
    'harness.shop.stranger.example',
    '127.0.0.1.stranger.example',
    '',
    'a b',
    '127.0.0.1@stranger.example',
  ])('"%s" is not', async (host) => {
    const { status, body } = await server.get('/api/jobs').set('Host', host);
    expect([status, (body as { error: { code: string } }).error.code]).toEqual([403, 'HOST_REFUSED']);
  });
});

describe('the page that a write comes from', () => {
  const write = (heads: Readonly<Record<string, string>>) =>
    server
      .post('/api/people')
      .set({ Host: '192.168.7.20:4600', ...heads })
      .send({ writeId: crypto.randomUUID(), by: 'Ines' });
  const cases: readonly (readonly [string, Readonly<Record<string, string>>, boolean])[] = [
    ['a program that is no browser', {}, true],
    ['our own page', { Origin: 'http://192.168.7.20:4600', 'Sec-Fetch-Site': 'same-origin' }, true],
    ['our own page, through a proxy that speaks TLS', { Host: 'harness.shop', Origin: 'https://harness.shop' }, true],
    ['our own page, no origin said', { 'Sec-Fetch-Site': 'same-origin' }, true],
    ['another site', { Origin: 'https://stranger.example', 'Sec-Fetch-Site': 'cross-site' }, false],
    ['another port of the same machine', { Origin: 'http://192.168.7.20:8080', 'Sec-Fetch-Site': 'same-site' }, false],
    ['a page without a name', { Origin: 'null' }, false],
    ['another site, no origin said', { 'Sec-Fetch-Site': 'cross-site' }, false],
    ['what is no origin', { Origin: '%%' }, false],
  ];
  it.each(cases)('%s', async (_, heads, taken) => {
    const { status, body } = await write(heads);
    expect(status).toBe(taken ? 201 : 403);
    if (!taken) expect((body as { error: { code: string } }).error.code).toBe('ORIGIN_REFUSED');
  });
  it('another site may still lead here', async () =>
    expect((await server.get('/api/health').set({ Host: '127.0.0.1', 'Sec-Fetch-Site': 'cross-site' })).status).toBe(
      200,
    ));
});

it.each(['/api/jobs', '/api/health', '/api/openapi.json', '/api/nowhere'])('%s is kept by nobody', async (address) =>
  expect((await server.get(address).set('Host', '127.0.0.1')).headers['cache-control']).toBe('no-store'),
);
