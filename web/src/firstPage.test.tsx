// @vitest-environment node
import { readFileSync } from 'node:fs';
import { runInNewContext } from 'node:vm';
import { describe, expect, it, test } from 'vitest';
import { FIRST_PAGE, requestOf, type JobSummary } from '@mendum/core/operations';
import { takeGiven } from './app/given.ts';
import { plan } from '@mendum/core/plan';
import { drawFirstPage, drawJob, drawOpening } from './firstPage.tsx';
import { findingOf, viewOf } from './test/job.tsx';
import { answersOf } from './test/server.ts';

const jobOf = (number: string, more: Partial<JobSummary> = {}): JobSummary => ({
  id: `id-${number}`,
  number,
  title: `Job ${number}`,
  machine: 'Harvester',
  harness: 'Cutter bar',
  status: 'open',
  stage: 'decide',
  findings: 2,
  openedOn: '2031-05-20',
  updatedAt: '2031-05-20T09:00:00Z',
  ...more,
});
const givenWith = (open: readonly JobSummary[], more: object = {}) => ({
  [FIRST_PAGE.open]: { items: open, total: open.length, ...more },
  [FIRST_PAGE.signed]: { items: [jobOf('9', { status: 'signed', stage: 'record' })], total: 1 },
  [FIRST_PAGE.due]: { items: [], total: 0, overdue: 3 },
});

describe('the first page, drawn on the server', () => {
  it('shows every job with the way to where it stands, and how many are overdue', async () => {
    const html = await drawFirstPage(givenWith([jobOf('7'), jobOf('8', { title: 'Wire <b> & sleeve' })]));
    expect(html).toContain('href="/jobs/id-7/decide"');
    expect(html).toContain('href="/jobs/id-9/record"');
    expect(html).toContain('Wire &lt;b&gt; &amp; sleeve');
    expect(html).toMatch(/>3<span[^>]*> overdue/);
  });
  it('its buttons and fields wait for the application; its links do not', async () => {
    const html = await drawFirstPage(givenWith([jobOf('7')]));
    expect(html.match(/<(button|input)\b/g)?.length).toBeGreaterThan(4);
    expect(html).not.toMatch(/<(button|input)(?! inert)/);
    expect(html).not.toMatch(/<a [^>]*inert/);
  });
  it('of a long list, what the first window holds', async () => {
    const jobs = Array.from({ length: 100 }, (_, at) => jobOf(String(100 + at)));
    const html = await drawFirstPage(givenWith(jobs, { total: 20_000, next: 'more' }));
    expect(html).toContain('Open 20,000');
    expect(html).toContain('href="/jobs/id-100/decide"');
    expect(html).not.toContain('href="/jobs/id-199/decide"');
  });
  it('an empty workshop is shown how it begins', async () => {
    const none = { items: [], total: 0 };
    const html = await drawFirstPage({
      [FIRST_PAGE.open]: none,
      [FIRST_PAGE.signed]: none,
      [FIRST_PAGE.due]: { ...none, overdue: 0 },
    });
    expect(html).toContain('No jobs yet');
  });
});

test('the page of a job that is being opened has its rail, and buttons that wait', async () => {
  const html = await drawOpening();
  expect(html).toContain('Opening…');
  expect(html).toContain('href="/machines"');
  expect(html).not.toMatch(/<(button|input)(?! inert)/);
});

describe('a stage of a job, drawn on the server', () => {
  const view = viewOf([findingOf('F1', { fromMm: 500, toMm: 512 })]);
  const read = answersOf(view);
  const { id: jobId, harnessId, harnessVersion, practiceId, practiceVersion, shelfVersion } = view;
  const given = {
    [requestOf('job', { jobId }).url]: read[`GET /jobs/${jobId}`]?.body,
    [requestOf('harness', { harnessId, version: harnessVersion }).url]: read[`GET /harnesses/${harnessId}`]?.body,
    [requestOf('practice', { practiceId, version: practiceVersion }).url]: read[`GET /practices/${practiceId}`]?.body,
    [requestOf('jobShelf', { jobId, version: shelfVersion }).url]: read[`GET /jobs/${jobId}/shelf`]?.body,
    [requestOf('plan', { jobId }).url]: plan(view.job, view.practice, view.catalogue),
  };
  const drawnAt = (stage: string, units: 'mm' | 'inch' = 'mm') =>
    drawJob({ given, jobId, address: `/jobs/${jobId}/${stage}`, units });
  test.each(['survey', 'decide', 'layout', 'bench', 'prove', 'record'])(
    '%s has its heading and no live button',
    async (stage) => {
      const html = await drawnAt(stage);
      expect(html).toContain('<h1');
      expect(html).not.toMatch(/<(button|input|select|textarea|summary)(?! inert)/);
      expect(html).not.toContain('tabindex="0"');
    },
  );
  it('says what was decided, in the units of the device', async () => {
    const strip = '0.28';
    expect(await drawnAt('decide')).not.toContain(strip);
    expect(await drawnAt('decide', 'inch')).toContain(strip);
  });
  it('of an address that leads to another page, nothing', async () => expect(await drawnAt('nowhere')).toBeUndefined());
});

test('an answer that came with the page serves once', () => {
  const given = new Map<string, unknown>([['/jobs', { total: 1 }]]);
  expect(takeGiven(given, '/due')).toBeUndefined();
  expect(takeGiven(given, '/jobs')).toEqual({ data: { total: 1 } });
  expect(takeGiven(given, '/jobs')).toBeUndefined();
});

describe('the theme before anything is painted', () => {
  const script = readFileSync(new URL('../public/early.js', import.meta.url), 'utf8');
  test.each([
    ['chosen dark on a light device', '{"theme":"dark"}', false, 'dark'],
    ['chosen light on a dark device', '{"theme":"light"}', true, 'light'],
    ['nothing chosen on a dark device', '{"person":"Ines"}', true, 'dark'],
    ['nothing kept on a light device', null, false, 'light'],
    ['a damaged memory on a dark device', 'not json', true, 'dark'],
    ['a theme that there is not', '{"theme":"pink"}', false, 'light'],
  ])('%s', (_, kept, isDark, theme) => {
    const dataset: { theme?: string } = {};
    runInNewContext(script, {
      localStorage: { getItem: (key: string) => (key === 'mendum.view' ? kept : null) },
      matchMedia: () => ({ matches: isDark }),
      document: { documentElement: { dataset } },
      addEventListener: () => undefined,
    });
    expect(dataset.theme).toBe(theme);
  });
});
