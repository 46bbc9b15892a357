import { expect, test } from '@playwright/test';
import { atTheBench, jobId, makeSafe, visit, watch } from '../bench.ts';

interface JobFile {
  readonly job: {
    readonly harness: { readonly circuits: readonly { id: string; number: string; runIds: string[] }[] };
    number: string;
    findings: object[];
  };
}

/** So long nothing more is kept when all is. */
const QUIET_MS = 5000;

test('ten wires parted at one place: bettered from the start, ended on a tap, not begun again by a reload', async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  await atTheBench(page, 'dark');
  const text = await (await request.get(`/api/jobs/${await jobId(request, '0147')}/file`)).text();
  const file = JSON.parse(text) as JobFile;
  file.job.findings = file.job.harness.circuits
    .filter(({ runIds }) => runIds.includes('R1'))
    .slice(0, 10)
    .map(({ id }, at) => ({
      id: `K${at}`,
      circuitId: id,
      runId: 'R1',
      kind: 'parted',
      fromMm: 400 + at,
      toMm: 414 + at,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      slackMm: 0,
    }));
  const data = { writeId: crypto.randomUUID(), by: 'Ines Valdur', text: JSON.stringify(file) };
  const { id } = (await (await request.post('/api/jobs/import', { data })).json()) as { id: string };
  await makeSafe(request, id);

  // It begins on whichever page somebody is.
  const kept = page.waitForResponse((answer) => answer.url().endsWith(`/jobs/${id}/layouts`), { timeout: 120_000 });
  await visit(page, `/jobs/${id}/decide`);
  await kept;
  await visit(page, `/jobs/${id}/layout`);
  // What is ended is kept one after the other, once what was found is told to the planner: on a slow machine later.
  let keptAt = Date.now();
  const isOfLayouts = (url: string): boolean => url.endsWith(`/jobs/${id}/layouts`);
  page.on('requestfinished', (sent) => {
    if (isOfLayouts(sent.url())) keptAt = Date.now();
  });
  const stop = page.getByRole('button', { name: 'Stop with the best so far' });
  await stop.click({ timeout: 120_000 });
  await expect(stop).toHaveCount(0);
  const stoppedAt = Date.now();
  await expect
    .poll(() => Date.now() - Math.max(keptAt, stoppedAt) > QUIET_MS, { timeout: 60_000, intervals: [500] })
    .toBe(true);
  const cards = page.getByRole('radio');
  await expect(cards.filter({ hasText: 'Still being bettered' })).toHaveCount(0);
  const opened = await cards.first().innerText();

  const again: string[] = [];
  page.on('request', (sent) => {
    if (isOfLayouts(sent.url())) again.push(sent.url());
  });
  await page.reload();
  await expect(cards.first()).toBeVisible();
  await page.waitForTimeout(8000);
  expect(again).toEqual([]);
  expect(await cards.first().innerText()).toBe(opened);
  expect(errors).toEqual([]);
});
