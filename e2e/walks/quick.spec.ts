import { expect, test } from '@playwright/test';
import { watch, visit } from '../bench.ts';

test('a wire in the hand: five taps to the answer, then guided, under a name that is asked for only then', async ({
  page,
}) => {
  const { errors } = watch(page);
  await visit(page, '/jobs');
  await page.getByRole('link', { name: 'Quick repair' }).first().click();
  await expect(page.getByText('Tap the size, what happened, where it is')).toBeVisible();
  for (const name of ['red', '1.5', 'wire cut or a length missing', 'Chassis'])
    await page.getByRole('radio', { name, exact: true }).first().click();
  const answer = page.getByRole('region', { name: 'The answer' });
  await expect(answer.getByText(/^Two splices and \d+ mm of new wire: sealed butt, middle$/)).toBeVisible();
  await page.getByRole('radio', { name: /a finger/ }).click();
  await expect(answer.getByText('One splice: sealed butt, middle')).toBeVisible();
  await expect(answer.getByText(/nest middle/)).toBeVisible();

  // What was assumed is said, and changed there: with more lost, a finger of slack reaches no longer.
  await answer.getByText('Assumed:').click();
  await answer.getByLabel('Damaged or missing').fill('40');
  await expect(answer.getByText(/^Two splices and \d+ mm of new wire/)).toBeVisible();
  await page.reload();
  await expect(answer.getByText(/40 mm damaged/)).toBeVisible();

  await answer.getByRole('button', { name: 'Proved dead: guide me' }).click();
  await page.getByLabel('Somebody else').fill('Tove Brandt');
  await page.getByRole('button', { name: 'Use this name' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByText('Proved dead, Tove Brandt')).toBeVisible();
  await expect(page.getByText('Machine not named yet')).toBeVisible();
  await page.getByRole('button', { name: 'Begin the first splice' }).click();
  await expect(page.getByRole('heading', { name: 'Cut the Mark A end' })).toBeVisible();
  expect(errors).toEqual([]);
});

test('a shop with a beeper only signs a feed in a way that is true: looked at, not measured', async ({ page }) => {
  const { errors } = watch(page);
  await visit(page, '/quick');
  for (const name of ['black', '2.5', 'wire cut or a length missing', 'Engine bay'])
    await page.getByRole('radio', { name, exact: true }).first().click();
  await page.getByRole('radio', { name: /a hand/ }).click();
  await page.getByRole('radio', { name: 'Prove it' }).click();
  await page.getByRole('button', { name: 'Battery off: prove it' }).click();
  await page.getByLabel('Somebody else').fill('Tove Brandt');
  await page.getByRole('button', { name: 'Use this name' }).click();
  await expect(page).toHaveURL(/\/prove$/);

  const checks = page.getByRole('region', { name: /^Checks of circuit/ });
  await checks.getByRole('button', { name: /^All \d looks are good$/ }).click();
  await checks.getByRole('button', { name: /^Held \d+ N$/ }).click();
  await expect(checks.getByText(/proved: every check/i)).toHaveCount(0);
  await checks.getByRole('radio', { name: 'Not measured' }).click();
  await checks.getByRole('button', { name: 'No meter for it here' }).click();
  await expect(checks.getByText('Looked at, not measured: it may be signed')).toBeVisible();
  await page.getByRole('link', { name: 'On to the record' }).click();
  await expect(page.getByText('1 of 1 looked at, not measured', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Sign as Tove Brandt' }).click();
  await expect(page.getByText('✓ Signed by Tove Brandt')).toBeVisible();
  await expect(page.getByText('no meter for it here')).toBeVisible();

  // A photo of its label, taken from near, opens the repair.
  const label = page.getByRole('img', { name: /^Flag: circuit/ });
  await label.evaluate(async (image: HTMLImageElement) => {
    image.setAttribute('style', 'position: fixed; inset: 0; z-index: 99; width: 900px; max-width: none');
    await image.decode();
  });
  const photo = await label.screenshot();
  await label.evaluate((image) => image.removeAttribute('style'));
  await page.getByRole('button', { name: 'Find a circuit' }).click();
  await page.getByLabel('Scan a label').setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: photo });
  await expect(page).toHaveURL(/\/r\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('article', { name: /^Repair on circuit/ })).toContainText('Tove Brandt');
  await visit(page, '/due');
  await page.getByRole('tab', { name: 'All records' }).click();
  await expect(page.getByText('Looked at, not measured').first()).toBeVisible();
  expect(errors).toEqual([]);
});
