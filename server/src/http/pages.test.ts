import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { FIRST_PAGE } from '@mendum/core/operations';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';
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
  let webDir: string;
  beforeAll(async () => {
    db = await openDatabase(':memory:');
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
  const open = (address: string, drawFirstPage?: Draws['drawFirstPage']) =>
    request(
      createApp({
        db,
        photosDir: webDir,
        webDir,
        log: pino({ level: 'silent' }),
        draws: drawFirstPage && { drawFirstPage, drawOpening },
      }),
    ).get(address);
  const givenIn = (text: string) =>
    JSON.parse(/id="given">(.*?)<\/script>/s.exec(text)?.[1] ?? '{}') as Record<string, unknown>;

  test.each(['/', '/jobs'])(
    '%s comes drawn, with the very answers that the interface would ask for',
    async (address) => {
      const { text, headers } = await open(address, (given) => Promise.resolve(`<i>${Object.keys(given).length}</i>`));
      expect(text).toContain('<div id="root"><i>3</i></div>');
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
  it('the page of a job comes with its rail and its scripts, and reads what holds when it is there', async () => {
    const { text, headers } = await open('/jobs/J1/decide', () => Promise.resolve(''));
    expect(headers['cache-control']).toBe('no-store');
    expect(text).toContain('<div id="root"><i>Opening…</i></div>');
    const scripts = [...text.matchAll(/rel="modulepreload"[^>]* href="([^"]+)"/g)].map(([, file]) => file);
    expect(scripts).toEqual(['/assets/parts.js', '/assets/app.js', '/assets/JobPage.js', '/assets/Decide.js']);
    expect(givenIn(text)).toEqual({});
  });
  it.each(['/machines', '/jobs/J1/mapping/X1'])('%s is drawn by the application', async (address) => {
    const { text } = await open(address, () => Promise.resolve('drawn'));
    expect(text).not.toContain('drawn');
  });
});
