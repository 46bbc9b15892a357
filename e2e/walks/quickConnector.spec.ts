import { expect, test } from '@playwright/test';
import { atTheBench, watch, visit } from '../bench.ts';

test('a connector in the hand: tapped, mapped by cavity, proved with a beeper', async ({ page }) => {
  await atTheBench(page);
  const { errors } = watch(page);
  await visit(page, '/quick/connector');
  const found = page.getByRole('group', { name: /^As found/ });
  const fresh = page.getByRole('group', { name: /^The new one/ });
  const pick = async (colour: string, size: string): Promise<void> => {
    await page.getByRole('radio', { name: colour, exact: true }).click();
    await page
      .getByRole('radiogroup', { name: 'Size', exact: true })
      .getByRole('radio', { name: size, exact: true })
      .click();
  };
  await page.getByRole('button', { name: 'In a row: one more' }).click();
  await pick('red', '1.5');
  await found.getByRole('button', { name: /^Cavity 1,/ }).click();
  await pick('black', '1.5');
  await found.getByRole('button', { name: /^Cavity 3,/ }).click();
  await page.getByRole('radio', { name: 'housing melted' }).click();
  await page.getByRole('radio', { name: 'Engine bay' }).click();
  const answer = page.getByRole('region', { name: 'The answer' });
  await expect(answer).toContainText('Pigtail');

  await page.getByLabel(/A pigtail for it lies here/).click();
  await pick('black', '1');
  await fresh.getByRole('button', { name: /^Cavity 1,/ }).click();
  await expect(answer).toContainText('1.5 mm²');
  await expect(answer.getByRole('button', { name: /^Proved dead/ })).toHaveCount(0);
  await pick('black', '2.5');
  await fresh.getByRole('button', { name: /^Cavity 1,/ }).click();
  await pick('red', '2.5');
  await fresh.getByRole('button', { name: /^Cavity 3,/ }).click();
  await answer.getByRole('button', { name: 'Battery off: mapping card' }).click();

  await expect(page.getByRole('heading', { name: 'Mapping card, X1' })).toBeVisible();
  await expect(page.getByText('Not by colour: the harness wire in black is circuit 3, in cavity 3.')).toBeVisible();
  for (const cavity of ['1', '3']) await page.getByRole('button', { name: `Sounds at ${cavity} only` }).click();
  await expect(page.getByText(/proved/i).first()).toBeVisible();
  await page.getByRole('link', { name: 'Survey' }).first().click();
  await expect(page.getByRole('heading', { name: 'Connector of 3 in the hand' })).toBeVisible();
  expect(errors).toEqual([]);
});
