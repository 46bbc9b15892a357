import { expect, test } from '@playwright/test';
import { atTheBench, visit, watch } from '../bench.ts';

test('a repair is shown to a customer by a link, on a device that knows nothing of the shop, until it is ended', async ({
  page,
  browser,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  await visit(page, '/due?show=records');
  await page
    .getByRole('link', { name: /Sieve motor|Brake lamps/ })
    .first()
    .click();
  const panel = page.getByRole('region', { name: 'Show it to a customer' });
  await panel.getByRole('button', { name: 'Make a link' }).click();
  const link = await panel.getByLabel('The link: it is shown once').inputValue();

  const stranger = await browser.newContext();
  const theirs = await stranger.newPage();
  await theirs.goto(link);
  const shown = theirs.getByRole('article', { name: /^Repair on circuit/ });
  await expect(shown).toContainText('Sealed butt');
  await expect(theirs.getByRole('link')).toHaveCount(0);
  await expect(theirs.getByRole('dialog')).toHaveCount(0);

  await panel.getByRole('button', { name: 'End it' }).first().click();
  await expect(panel.getByText(/^A link opens to/)).toHaveCount(0);
  await theirs.reload();
  await expect(theirs.getByText('This link does not open any more.')).toBeVisible();
  await stranger.close();
  expect(errors).toEqual([]);
});

test('whoever leads sees what waits, and goes from a figure to its list and on to the job; records go along', async ({
  page,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  await visit(page, '/jobs');
  await page.getByRole('link', { name: 'The shop today' }).click();
  await page.getByRole('button', { name: /Waiting for parts$/ }).click();
  const list = page.getByRole('region', { name: 'Waiting for parts' });
  await expect(list.getByRole('listitem').first()).toBeVisible();
  await list.getByRole('link').first().click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/bench/);
  await visit(page, '/due?show=records');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'XLSX', exact: true }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('records-all-records.xlsx');
  expect(errors).toEqual([]);
});
