import { expect, test } from '@playwright/test';
import { atTheBench, copyOf, proveShown, watch, visit } from '../bench.ts';

test('a judgement is argued with: two methods side by side, what if, what to order, another way', async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const id = await copyOf(request, '0147');
  await visit(page, `/jobs/${id}/survey`);
  await page.getByRole('button', { name: 'Proved dead with a meter' }).click();
  await page.getByRole('link', { name: 'On to Decide' }).click();
  await expect(
    page.getByRole('heading', { name: /Two splices and \d+ mm of new wire: sealed butt, middle/ }),
  ).toBeVisible();

  // Side by side: the refused one says what would have to change.
  const methods = page.getByRole('region', { name: 'Every method, ranked' });
  await methods.getByRole('button', { name: /more that are refused/ }).click();
  await methods
    .getByRole('listitem')
    .filter({ hasText: /^Wrapped solder/ })
    .getByRole('button', { name: 'Compare' })
    .click();
  const compare = page.getByRole('dialog', { name: 'Side by side' });
  await expect(compare.getByRole('row', { name: /^Strip/ })).toContainText('15 mm');
  await expect(compare.getByText('Allowed if the zone did not vibrate.')).toBeVisible();
  await compare.getByRole('button', { name: 'Close' }).click();

  // What if: nothing is saved.
  await page.getByRole('button', { name: 'What if…' }).click();
  const tried = page.getByRole('dialog', { name: 'What if…' });
  await tried.getByLabel('Vibration').selectOption('none');
  await tried.getByLabel('Moisture').selectOption('dry');
  await tried.getByLabel('Practice').selectOption('benchSolder');
  await tried.getByRole('checkbox', { name: 'Sealed butt, middle' }).uncheck();
  await expect(tried.getByRole('region', { name: 'Then' })).not.toContainText('sealed butt, middle');
  await tried.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('heading', { name: /sealed butt, middle/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Electrical check' })).toContainText(
    'a feed wire may take 0.4 V at 24 V',
  );

  // The last middle butts are taken off the shelf: what to order, and what stands in with what it loses.
  await visit(page, '/shelf');
  await page.getByLabel('Find a part').fill('sealed butt, middle');
  await page.getByRole('button', { name: /^Sealed butt, middle/ }).click();
  await page.getByLabel('On the shelf', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('Sealed butt, middle is saved');
  await visit(page, `/jobs/${id}/decide`);
  const order = page.getByRole('region', { name: 'What to order, and what to do meanwhile' });
  await expect(order).toContainText('Sealed butt would go first. Order 2 × Sealed butt, middle: 1.04–2.63 mm² an end.');
  await expect(order).toContainText('It loses: the built-in seal');
  await expect(page.getByRole('heading', { name: /splice clip XL/ })).toBeVisible();
  await visit(page, '/shelf');
  await page.getByLabel('Find a part').fill('sealed butt, middle');
  for (let piece = 1; piece <= 2; piece += 1) {
    await page.getByRole('button', { name: 'One more: Sealed butt, middle' }).click();
    await expect(page.getByRole('status', { name: 'What was done' })).toContainText(`Sealed butt, middle: ${piece}`);
  }
  await page.getByRole('button', { name: /^Sealed butt, middle/ }).click();
  await page.getByLabel('On the shelf', { exact: true }).fill('9');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('Sealed butt, middle is saved');

  // A shelf's table with a bad cell is refused by line and column.
  await page.getByRole('button', { name: 'Import CSV' }).click();
  await page.getByLabel('Or paste the cells').fill('Kind,Id,Name,Quantity,Rated °C\nplug,plug,Cavity plug,many,125');
  await page.getByRole('button', { name: 'Import these lines' }).click();
  await expect(page.getByRole('alert')).toContainText('Line 2, column “Quantity”, “many”');
  await page.getByLabel('Or paste the cells').fill('Kind,Id,Name,Quantity,Rated °C\nplug,plug,Cavity plug,26,125');
  await page.getByRole('button', { name: 'Import these lines' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('1 line imported');
  expect(errors).toEqual([]);
});

test("a shop's own practice: what it would change is shown before it is saved, and then the job is planned by it", async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const id = await copyOf(request, '0147');
  await visit(page, `/jobs/${id}/survey`);
  await page.getByRole('button', { name: 'Proved dead with a meter' }).click();
  await expect(page.getByRole('link', { name: 'On to Decide' })).toBeVisible();
  await visit(page, '/practice');
  await page.getByRole('button', { name: 'Make our own copy' }).click();
  await page.getByLabel('Name').fill('Tarnbeck way');
  await page.getByRole('button', { name: 'See what it changes, and save' }).click();
  await expect(page.getByText('No open job changes.')).toBeVisible();
  await page.getByRole('button', { name: 'Save the practice' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('Tarnbeck way is saved');
  await visit(page, `/jobs/${id}/decide`);
  await page.getByLabel('Practice').selectOption('Tarnbeck way');
  await expect(page.getByRole('button', { name: /Work lamp/ })).toContainText('cover');

  await visit(page, '/practice');
  await page.getByRole('button', { name: /^Tarnbeck way/ }).click();
  await page.getByLabel('Jacket is covered up to').fill('5');
  await page.getByRole('button', { name: 'See what it changes, and save' }).click();
  const effect = page.getByRole('dialog', { name: 'What Tarnbeck way would change' });
  await expect(effect.getByRole('row').filter({ hasText: 'Cover' })).toContainText('splice');
  await effect.getByRole('button', { name: 'Save the practice' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText('Tarnbeck way is saved');
  await visit(page, `/jobs/${id}/decide`);
  await expect(page.getByRole('button', { name: /Work lamp/ })).not.toContainText('cover');
  await expect(page.getByLabel('Practice')).toContainText('Tarnbeck way');
  expect(errors).toEqual([]);
});

test('a spread terminal: a new one on its tail, made and proved at the bench', async ({ page, request }) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const id = await copyOf(request, '0146');
  await visit(page, `/jobs/${id}/survey`);
  await page.getByRole('button', { name: 'Add a finding' }).click();
  const form = page.getByRole('dialog');
  await form.getByRole('button', { name: /26 Sieve speed/ }).click();
  await form.getByRole('radio', { name: /terminal damaged/i }).click();
  await form.getByRole('radio', { name: 'spread' }).click();
  await form.getByLabel('At which connector?').selectOption('X12');
  await form.getByLabel('Slack of this wire').fill('25');
  await form.getByRole('button', { name: 'Add the finding' }).click();
  await expect(form).toHaveCount(0);
  await page.keyboard.press('2');
  await page.getByRole('button', { name: /Sieve speed/ }).click();
  await expect(page.getByRole('heading', { name: 'New terminal: 1.5 mm terminal + wire seal 2.2–2.9' })).toBeVisible();
  const ways = page.getByRole('region', { name: 'Every way of mending it' });
  await expect(ways).toContainText('The tail gives 25 mm');
  await ways.getByRole('listitem').filter({ hasText: 'New lead' }).getByRole('button', { name: 'Use instead' }).click();
  await page.getByLabel('Why?').fill('The tail is stiff');
  await page.getByRole('button', { name: 'Use it, with this reason' }).click();
  await expect(page.getByRole('heading', { name: /^New lead of \d+ mm with 1.5 mm terminal/ })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the ranking' }).click();
  await expect(page.getByRole('heading', { name: /^New terminal/ })).toBeVisible();

  // At the bench: free, seal, strip, crimp, seat; then its own checks.
  await page.keyboard.press('4');
  await page.getByRole('button', { name: /Begin the first splice/ }).click();
  await page.getByRole('navigation', { name: 'Kit and splices' }).getByRole('button', { name: /26/ }).click();
  await expect(page.getByRole('heading', { name: 'Free the terminal of X12, cavity 6' })).toBeVisible();
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByRole('heading', { name: 'Slide the wire seal on now' })).toBeVisible();
  await page.getByRole('button', { name: 'All steps of this one are done' }).click();
  await page.keyboard.press('5');
  await page.getByRole('button', { name: /26 ?Sieve speed/ }).click();
  await proveShown(page);
  expect(errors).toEqual([]);
});
