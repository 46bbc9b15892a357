import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it, test, vi } from 'vitest';
import { FIRST_PAGE } from '@mendum/core/operations';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';
import { plannerHere, type Planner } from '../planning/planner.ts';
import { paintedFirst, type Draws } from './pages.ts';

const BUILT = `<html><head><script type="module" crossorigin src="/assets/parts.js"></script>
<script type="module" crossorigin src="/assets/app.js"></script></head><body><div id="root"></div></body></html>`;
/** As the build writes it: the screen's script imports the first one, and its page. */
const MANIFEST = {
  'index.html': { file: 'assets/app.js', imports: ['_parts.js'] },
  '_parts.js': { file: 'assets/parts.js' },
  'src/stages/JobPage.tsx': { file: 'assets/JobPage.js', imports: ['index.html'] },
  'src/stages/decide/DecideStage.tsx': { file: 'assets/Decide.js', imports: ['src/stages/JobPage.tsx', '_parts.js'] },
};

test('the scripts of a page come at once and run once it is painted, the last of them first', () => {
  const page = paintedFirst(BUILT);
  expect(page).not.toContain('type="module"');
  expect(page.match(/rel="modulepreload" crossorigin href="[^"]+"/g)).toHaveLength(2);
  expect(page).toContain('<script src="/start.js" data-app="/assets/app.js"></script></body>');
  expect(paintedFirst('<html></html>')).toBe('<html></html>');
});

describe('the first page', () => {
  let db: Database;
  let planner: Planner;
  let webDir: string;
  beforeAll(async () => {
    db = await openDatabase(':memory:');
    planner = plannerHere(db.read);
    await seedDemo(db, new Date('2031-05-20T09:00:00Z'));
    webDir = mkdtempSync(join(tmpdir(), 'mendum-web-'));
    writeFileSync(join(webDir, 'index.html'), BUILT);
    mkdirSync(join(webDir, '.vite'));
    writeFileSync(join(webDir, '.vite/manifest.json'), JSON.stringify(MANIFEST));
  });
  afterAll(async () => {
    await db.close();
    rmSync(webDir, { recursive: true, force: true });
  });
  const drawOpening = () => Promise.resolve('<i>Opening…</i>');
  const drawJob = vi.fn<Draws['drawJob']>();
  beforeEach(() => void drawJob.mockReset().mockResolvedValue(undefined));
  const open = (address: string, drawFirstPage?: Draws['drawFirstPage']) =>
    request(
      createApp({
        db,
        planner,
        photosDir: webDir,
        webDir,
        log: pino({ level: 'silent' }),
        draws: drawFirstPage && { drawFirstPage, drawOpening, drawJob },
      }),
    ).get(address);
  const givenIn = (text: string) =>
    JSON.parse(/id="given">(.*?)<\/script>/s.exec(text)?.[1] ?? '{}') as Record<string, unknown>;

  test.each(['/', '/jobs'])(
    '%s comes drawn, with the very answers that the interface would ask for',
    async (address) => {
      const { text, headers } = await open(address, (given) => Promise.resolve(`<i>${Object.keys(given).length}</i>`));
      expect(text).toContain('<div id="root"><i>4</i></div>');
      expect(headers['cache-control']).toBe('no-store');
      const given = givenIn(text);
      const api = open('/api/jobs?status=open');
      expect(given[FIRST_PAGE.open]).toEqual((await api).body);
      expect((await open(`/api${FIRST_PAGE.signed}`)).body).toEqual(given[FIRST_PAGE.signed]);
      expect((await open(`/api${FIRST_PAGE.due}`)).body).toEqual(given[FIRST_PAGE.due]);
    },
  );
  it('nothing in a title ends the element that it stands in', async () => {
    const read = { [FIRST_PAGE.open]: { items: [{ title: '</script><script>alert(1)</script>' }] } };
    const { text } = await open('/jobs', (given) => {
      Object.assign(given, read);
      return Promise.resolve('');
    });
    expect(text).not.toContain('<script>alert(1)');
    expect(givenIn(text)).toMatchObject(read);
  });
  it('where it cannot be drawn, the application draws it', async () => {
    const { status, text } = await open('/jobs', () => Promise.reject(new Error('no')));
    expect(status).toBe(200);
    expect(text).toContain('<div id="root"></div>');
    expect(text).not.toContain('id="given"');
    expect(text).toMatch(/<\/html>$/);
  });
  it('the page of a job comes with its rail, its scripts, all that it would ask for, and its plan', async () => {
    const { body } = await open('/api/jobs?status=open');
    const [{ id }] = (body as { items: [{ id: string }] }).items;
    // The first plan of a process may take longer than a page waits.
    const plan = (await open(`/api/jobs/${id}/plan`)).body as unknown;
    const { text, headers } = await open(`/jobs/${id}/decide`, () => Promise.resolve(''));
    expect(headers['cache-control']).toBe('no-store');
    expect(text).toContain('<div id="root"><i>Opening…</i></div>');
    const scripts = [...text.matchAll(/rel="modulepreload"[^>]* href="([^"]+)"/g)].map(([, file]) => file);
    expect(scripts).toEqual(['/assets/parts.js', '/assets/app.js', '/assets/JobPage.js', '/assets/Decide.js']);
    const given = givenIn(text);
    expect(Object.keys(given)).toHaveLength(6);
    for (const [address, answer] of Object.entries(given))
      expect([address, (await open(`/api${address}`)).body as unknown]).toEqual([address, answer]);
    expect(given[`/jobs/${id}/plan`]).toEqual(plan);
  });
  it.each([
    { cookie: '', units: 'mm' },
    { cookie: 'units=inch', units: 'inch' },
    { cookie: 'units=miles', units: 'mm' },
  ])(
    'a stage comes drawn from what it would ask for, in the units of the device ($cookie)',
    async ({ cookie, units }) => {
      const { body } = await open('/api/jobs?status=open');
      const [{ id }] = (body as { items: [{ id: string }] }).items;
      await open(`/api/jobs/${id}/plan`);
      drawJob.mockResolvedValue('<h1>Decide</h1>');
      const { text } = await open(`/jobs/${id}/decide?finding=F2`, () => Promise.resolve('')).set('cookie', cookie);
      expect(text).toContain('<div id="root"><h1>Decide</h1></div>');
      expect(drawJob).toHaveBeenCalledWith({
        given: givenIn(text),
        jobId: id,
        address: `/jobs/${id}/decide?finding=F2`,
        units,
      });
    },
  );
  it.each(['/', '/jobs', '/jobs/J1/decide', '/api/jobs'])('%s is given under no stranger’s name', async (address) => {
    const { status, text } = await open(address, () => Promise.resolve('drawn')).set('Host', 'stranger.example');
    expect([status, text.includes('drawn')]).toEqual([403, false]);
  });
  it('a job that there is not is asked for by the application, which says so', async () => {
    const { status, text } = await open('/jobs/J1/decide', () => Promise.resolve(''));
    expect(status).toBe(200);
    expect(text).toContain('<div id="root"></div>');
  });
  it.each(['/machines', '/jobs/J1/mapping/X1'])('%s is drawn by the application', async (address) => {
    const { text } = await open(address, () => Promise.resolve('drawn'));
    expect(text).not.toContain('drawn');
  });
});
