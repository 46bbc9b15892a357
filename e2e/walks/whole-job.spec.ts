import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { jobId, makeAll, proveShown, watch, visit } from '../bench.ts';

test('a new user takes the harvester from finding to PDF', async ({ page, request }) => {
  const { errors } = watch(page);
  await visit(page, '/');
  await page.locator(`a[href="/jobs/${await jobId(request, '0147')}/survey"]`).click();
  await page.getByRole('dialog', { name: 'Who is at the bench?' }).getByLabel('Somebody else').fill('Tove Brandt');
  await page.getByRole('button', { name: 'Use this name' }).click();

  // Survey: nothing else opens until the machine is made safe.
  await expect(page.getByRole('navigation', { name: 'Stages' }).getByRole('link')).toHaveCount(1);
  await page.keyboard.press('4');
  await expect(page).toHaveURL(/survey/);
  await page.getByRole('button', { name: 'Proved dead with a meter' }).click();
  await expect(page.getByText('Proved dead, Tove Brandt')).toBeVisible();
  await page.getByRole('link', { name: 'On to Decide' }).click();

  // Decide: why, in figures; another method with a reason.
  await expect(
    page.getByRole('heading', { name: /Two splices and \d+ mm of new wire: sealed butt, middle/ }),
  ).toBeVisible();
  await expect(page.getByText('The cut loses 27 mm and slack is only 10 mm')).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('article', { name: 'Decision on circuit 2' })).toBeVisible();
  const clip = page
    .getByRole('region', { name: 'Every method, ranked' })
    .getByRole('listitem')
    .filter({ hasText: /^Splice clip \+ adhesive sleeve/ });
  await clip.getByRole('button', { name: 'Use instead' }).click();
  await page.getByLabel('Why?').fill('Slimmer under the guard plate');
  await page.getByRole('button', { name: 'Use it, with this reason' }).click();
  await expect(page.getByText('Chosen by Tove Brandt:')).toBeVisible();
  await page.getByRole('link', { name: 'On to Lay out' }).click();

  // Lay out: places, cut points, what it spares.
  await expect(page.getByText('Nothing breaks a rule.')).toBeVisible();
  await expect(page.getByRole('table', { name: /Cut points/ }).getByRole('row')).toHaveCount(7);
  await page.getByRole('link', { name: 'On to the bench' }).click();

  // Bench: kit, then steps; ticks are kept over a reload.
  // Its own colour is not on hand, and no other is taken until somebody says so.
  await expect(page.getByRole('heading', { name: 'Something is short' })).toBeVisible();
  await expect(page.getByText(/Still to find: \d+ mm for circuit 2/)).toBeVisible();
  await page.getByRole('button', { name: 'Allow another colour, with a tag' }).click();
  await expect(page.getByRole('heading', { name: 'Everything is there' })).toBeVisible();
  await expect(page.getByText('tag both ends of circuit 2')).toBeVisible();
  await page.getByRole('button', { name: 'Begin the first splice' }).click();
  await expect(page.getByRole('heading', { name: 'Cut the X31 end' })).toBeVisible();
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByText('step 2 of')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('step 3 of')).toBeVisible();
  await page.reload();
  await expect(page.getByText('step 3 of')).toBeVisible();
  await page.getByRole('navigation', { name: 'Kit and splices' }).getByRole('button', { name: 'Kit' }).click();
  await makeAll(page);

  // Prove: every splice and the cover.
  await expect(page).toHaveURL(/prove/);
  const list = page.getByRole('main').getByRole('list').first();
  const splices = list.getByRole('button');
  await expect(splices).toHaveCount(10);
  for (let index = 0; index < 10; index += 1) {
    await splices.nth(index).click();
    await proveShown(page);
  }
  await page.getByRole('link', { name: 'On to the record' }).click();

  // Record: sign, and take it along.
  await page.getByLabel('Note for whoever reads this in two years').fill('Guard plate refitted, arm swung ten times.');
  await page.getByRole('button', { name: 'Sign as Tove Brandt' }).click();
  await expect(page.getByText('✓ Signed by Tove Brandt')).toBeVisible();
  await expect(page.getByText('Chosen against the ranking. Tove Brandt', { exact: false }).first()).toBeVisible();
  const fetched = async (name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click(),
    ]);
    return readFileSync(await download.path());
  };
  expect((await fetched('PDF')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await fetched('CSV')).toString()).toContain('Slimmer under the guard plate');
  expect(JSON.parse((await fetched('JSON')).toString())).toMatchObject({
    format: 'mendum-record',
    records: { length: 10 },
  });
  expect(JSON.parse((await fetched('Job file')).toString())).toMatchObject({
    format: 'mendum-job',
    job: { number: '0147' },
  });
  const view = (await (await request.get(`/api/jobs/${await jobId(request, '0147')}`)).json()) as { status: string };
  expect(view.status).toBe('signed');
  expect(errors).toEqual([]);
});
