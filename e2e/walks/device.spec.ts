import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { atTheBench, copyOf, jobId, visit } from '../bench.ts';

test('keys walk the stages and the circuits, and "?" shows them', async ({ page, request }) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await copyOf(request, '0146')}/decide`);
  await expect(page.getByRole('article', { name: 'Decision on circuit 21' })).toBeVisible();
  for (const circuit of ['22', '24', '21']) {
    await page.keyboard.press('n');
    await expect(page.getByRole('article', { name: `Decision on circuit ${circuit}` })).toBeVisible();
  }
  await page.keyboard.press('p');
  await expect(page.getByRole('article', { name: 'Decision on circuit 24' })).toBeVisible();
  const stages = page.getByRole('navigation', { name: 'Stages' });
  for (const [key, stage] of [
    ['3', 'layout'],
    ['4', 'bench'],
    ['5', 'prove'],
    ['6', 'record'],
    ['1', 'survey'],
    ['2', 'decide'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`/${stage}\\?finding=F3`));
    await expect(stages.locator('[aria-current=step]')).toHaveCount(1);
  }
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys of this screen' });
  await expect(keys).toContainText('next circuit');
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/decide/);
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
});

test('name, theme and units are chosen once on a device and kept over a reload', async ({ page, request }) => {
  await visit(page, '/jobs');
  await page.getByRole('button', { name: /at the bench/i }).click();
  await page.getByRole('dialog', { name: 'Who is at the bench?' }).getByRole('button', { name: 'Marek Osei' }).click();
  await page.getByRole('button', { name: /^Dark theme/ }).click();
  await page.getByRole('button', { name: /^Lengths in millimetres/ }).click();
  await visit(page, `/jobs/${await copyOf(request, '0146')}/layout`);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByRole('columnheader', { name: 'Cut at, in' })).toBeVisible();
  await expect(page.getByRole('button', { name: /At the bench: Marek Osei/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('another practice is planned at once; a choice against the ranking can be taken back', async ({
  page,
  request,
}) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await copyOf(request, '0131')}/decide`);
  await expect(page.getByRole('heading', { name: /One splice: wrapped solder/ })).toBeVisible();
  await page.getByLabel('Practice').selectOption('crimpFirst');
  await expect(page.getByRole('heading', { name: /One splice: sealed butt, middle/ })).toBeVisible();
  const ways = page.getByRole('region', { name: 'Every method, ranked' });
  await ways
    .getByRole('listitem')
    .filter({ hasText: 'Wrapped solder + ' })
    .first()
    .getByRole('button', { name: 'Use instead' })
    .click();
  await page.getByLabel('Why?').fill('The box stands still and dry');
  await page.getByRole('button', { name: 'Use it, with this reason' }).click();
  await expect(page.getByText('Chosen by Ines Valdur: The box stands still and dry')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the ranking' }).click();
  await expect(page.getByRole('heading', { name: /One splice: sealed butt, middle/ })).toBeVisible();
});

test('the network drops for a moment: the write is sent again and done once', async ({ page, request }) => {
  const id = await copyOf(request, '0146');
  await atTheBench(page);
  await visit(page, `/jobs/${id}/bench?at=F3:only`);
  let dropped = 0;
  await page.route('**/ticks', async (route) => {
    dropped += 1;
    if (dropped === 1) {
      await route.fetch();
      await route.abort('connectionreset');
    } else await route.continue();
  });
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByText('step 2 of')).toBeVisible();
  await expect.poll(() => dropped).toBe(2);
  const view = (await (await request.get(`/api/jobs/${id}`)).json()) as { ticks: { done: boolean }[] };
  expect(view.ticks.filter((tick) => tick.done)).toHaveLength(1);
});

test('a signed record is corrected by a new one, and both are kept', async ({ page, request }) => {
  await atTheBench(page);
  const id = await jobId(request, '0131');
  await visit(page, `/jobs/${id}/record`);
  await page.getByRole('button', { name: 'Correct the record' }).click();
  await page.getByLabel('What is right').fill('The sleeve was 6/2, not 4.8/1.5.');
  await page.getByRole('button', { name: 'Add the correction' }).click();
  await expect(page.getByText('1 record was corrected; the earlier text is kept.')).toBeVisible();
  await expect(page.getByRole('article', { name: 'Repair record' })).toContainText('The sleeve was 6/2, not 4.8/1.5.');
  const { records } = (await (await request.get(`/api/jobs/${id}`)).json()) as { records: unknown[] };
  expect(records).toHaveLength(2);
});

test('the sheet prints alone: no rail, no stages, no buttons', async ({ page, request }) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await jobId(request, '0126')}/record`);
  await expect(page.getByRole('article', { name: 'Repair record' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'PDF' })).toBeHidden();
  await expect(page.getByText("The maker's service manual and local codes come first").first()).toBeVisible();
});

test('the job file that the interface gives out is the one that the command line reads', async ({ page, request }) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await copyOf(request, '0146')}/record`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Job file' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    format: string;
    shelf: { name: string };
    job: { findings: unknown[] };
  };
  expect(file).toMatchObject({ format: 'mendum-job', shelf: { name: 'Tarnbeck Works shelf' } });
  expect(file.job.findings).toHaveLength(3);
});

test('"/" finds a circuit anywhere, and shows its cavity under the finger', async ({ page }) => {
  await atTheBench(page);
  await visit(page, '/jobs');
  await expect(page.getByRole('heading', { level: 1, name: 'Jobs' })).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'What to find' }).fill('wrok lamp');
  await expect(page.getByRole('option').first()).toContainText('Work lamp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Cavity 4' })).toContainText('Work lamp');
  const mine = page.getByRole('group', { name: 'X31, wire side, latch up', exact: true });
  const left = async (cavity: string): Promise<number> =>
    (await mine.getByRole('button', { name: new RegExp(`^Cavity ${cavity},`) }).boundingBox())?.x ?? 0;
  expect(await left('1')).toBeGreaterThan(await left('2'));
  await page.getByRole('button', { name: 'Turn over to the mating side' }).click();
  await expect(page.getByText('Mating side: you look into the front, where the mate goes in; latch up.')).toBeVisible();
  const front = page.getByRole('group', { name: 'X31, mating side, latch up', exact: true });
  const frontLeft = async (cavity: string): Promise<number> =>
    (await front.getByRole('button', { name: new RegExp(`^Cavity ${cavity},`) }).boundingBox())?.x ?? 0;
  expect(await frontLeft('1')).toBeLessThan(await frontLeft('2'));
});
