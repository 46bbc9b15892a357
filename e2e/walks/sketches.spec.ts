import { expect, test, type Page } from '@playwright/test';
import { atTheBench, watch, visit } from '../bench.ts';

/** Draws an opened stretch, its wires in the order in which they are seen; nobody has measured it. */
async function draw(page: Page, ends: readonly [string, string], colours: readonly string[]): Promise<void> {
  await visit(page, '/machines');
  await page.getByRole('button', { name: 'A stretch that is opened' }).click();
  const dialog = page.getByRole('dialog', { name: 'A stretch that is opened' });
  await dialog.getByLabel('One end').fill(ends[0]);
  await dialog.getByLabel('The other end').fill(ends[1]);
  for (const [index, colour] of colours.entries()) {
    if (index > 0) await dialog.getByRole('button', { name: /Another wire/ }).click();
    await dialog.getByRole('radio', { name: colour, exact: true }).click();
    await dialog.getByRole('radio', { name: '1.5', exact: true }).click();
  }
  await dialog.getByRole('radio', { name: 'Cabin', exact: true }).click();
  await dialog.getByRole('button', { name: 'Draw it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: `${ends[0]} to ${ends[1]}` })).toBeVisible();
}

test('a stretch is drawn in place, mended and watched, and joined with another sketch: nothing is entered twice', async ({
  page,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  await draw(page, ['Grommet G4', 'Seat plate'], ['green', 'red']);
  await draw(page, ['Cab wall', 'Grommet G4'], ['red', 'green']);
  const harness = page.url();

  // How long it is nobody knows, and that is what stands there; its wires are cores of one cable.
  await page.getByRole('button', { name: 'Run Opened stretch, not measured' }).press('Enter');
  await page.getByRole('button', { name: 'A cable, not measured yet' }).click();
  const cable = page.getByRole('group', { name: 'Jacketed cable W1' });
  await expect(cable.getByRole('checkbox', { checked: true })).toHaveCount(2);
  await page.getByRole('button', { name: /^Save \d+ changes?$/ }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

  // The red one is parted 400 mm in. What works is watched first, while the machine is still on.
  await page.getByRole('button', { name: 'Open a job on it' }).click();
  await expect(page).toHaveURL(/\/survey$/);
  const job = page.url().replace(/\/survey$/, '');
  await page.getByRole('button', { name: 'Proved dead with a meter' }).click();
  await page.getByRole('button', { name: 'Add a finding' }).click();
  const finding = page.getByRole('dialog');
  await finding.getByText('Red wire').first().click();
  await finding
    .getByRole('radio', { name: /wire cut/ })
    .first()
    .click();
  await finding.getByLabel(/^From, counted/).fill('400');
  await finding.getByLabel('To', { exact: true }).fill('402');
  await finding.getByLabel(/^Slack/).fill('40');
  await finding.getByRole('button', { name: /^Add/ }).last().click();
  await page.getByRole('button', { name: 'What works now' }).click();
  const before = page.getByRole('region', { name: 'Functions' });
  await before.getByRole('button', { name: 'Does not' }).first().click();
  await expect(before.getByText(/does not work/)).toBeVisible();
  await page.keyboard.press('Escape');

  // The damage lies where the run was seen last: now its length decides, and only now it is asked for.
  await visit(page, `${job}/decide`);
  const asked = page.getByRole('listitem').filter({ hasText: 'How long is “Opened stretch”?' });
  await asked.getByRole('link').click();
  await expect(page.getByLabel('Length, at least')).toBeFocused();
  await page.getByLabel('Length, at least').fill('900');
  await page.getByLabel('Nobody has measured all of it').click();
  await page.getByRole('button', { name: /^Save \d+ changes?$/ }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await visit(page, `${job}/decide`);
  await expect(page.getByRole('heading', { level: 2, name: /splice/i }).first()).toBeVisible();
  await expect(page.getByText(/How long is/)).toHaveCount(0);

  // The other sketch goes on from the grommet: two wires become one each, and the job lies where it lay.
  await visit(page, harness);
  await page.getByRole('button', { name: /^end Grommet G4/ }).press('Enter');
  await page.getByText('It goes on in another sketch from Grommet G4').click();
  await page.getByLabel('It goes on in').selectOption({ label: 'Grommet G4 to Seat plate, Machine not named yet' });
  await expect(page.getByLabel('It meets there at')).toHaveValue('A');
  await page.getByRole('button', { name: 'Make them one harness' }).click();
  await expect(page.getByText(/is part of “Cab wall to Grommet G4” now/)).toBeVisible();
  await expect(page.getByText('2 circuits')).toBeVisible();
  await visit(page, `${job}/prove`);
  const after = page.getByRole('region', { name: 'Functions' });
  await expect(after.getByText(/does not work/)).toBeVisible();
  expect(errors).toEqual([]);
});
