import { expect, test } from '@playwright/test';
import { atTheBench, watch, visit } from '../bench.ts';

/** The other circuits of the harness, as somebody finds them later; circuit 1 is the wire that was mended first. */
const REST = Array.from({ length: 13 }, (_, index) => {
  const number = index + 2;
  const [to, cavity] = number <= 8 ? ['X41', number] : ['X42', number - 8];
  return `${number}\tX40-${number}\t${to}-${cavity}\t1.0\tblue`;
});
const SHEET = ['Circuit\tFrom\tTo\tSize\tColour', '1\tX40-1\tX41-1\t2.5\tred', ...REST].join('\n');

test('a repair begun as one wire grows into a harness of 14 circuits and three connectors: nothing twice, nothing lost', async ({
  page,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  await visit(page, '/quick');
  for (const name of ['red', '2.5', 'wire cut or a length missing', 'Chassis'])
    await page.getByRole('radio', { name, exact: true }).first().click();
  await page.getByRole('button', { name: 'Proved dead: guide me' }).click();
  await expect(page.getByText('Machine not named yet')).toBeVisible();
  const job = page.url().replace(/\/bench.*$/, '');

  // Which machine it is of turns out later.
  await page.getByRole('button', { name: 'Name it' }).click();
  const dialog = page.getByRole('dialog', { name: 'Name the machine' });
  await dialog.getByRole('button', { name: 'Name it' }).click();
  await expect(dialog.getByLabel('Machine, as the shop calls it')).toBeFocused();
  await dialog.getByLabel('Machine, as the shop calls it').fill('Harrow 310');
  await dialog.getByLabel('What it is').fill('wheel loader');
  await dialog.getByLabel('The harness').fill('Boom loom W41');
  await dialog.getByRole('button', { name: 'Name it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Boom loom W41' })).toBeVisible();
  await expect(page.getByText('Harrow 310, wheel loader')).toBeVisible();

  // The two marks of tape become the connectors that lie beyond them; what was measured keeps its place.
  await visit(page, `${job}/survey`);
  await page
    .getByRole('link', { name: /harness/i })
    .first()
    .click();
  for (const [mark, name, mm] of [
    ['A', 'X40', '430'],
    ['B', 'X41', '820'],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^end Mark ${mark}`) }).press('Enter');
    const beyond = page.getByRole('group', { name: `What really lies beyond Mark ${mark}` });
    await beyond.getByLabel('Connector').fill(name);
    await beyond.getByLabel(`How far beyond Mark ${mark}`).fill(mm);
    await beyond.getByRole('button', { name: 'It ends there' }).click();
  }
  await expect(page.getByRole('button', { name: 'Run Opened stretch, 1850 mm' })).toBeVisible();

  // The rest of the harness, from a sheet: the known circuit is known again.
  await page.getByRole('button', { name: 'From a sheet' }).click();
  const sheet = page.getByRole('dialog', { name: /^Circuits of Boom loom W41/ });
  await sheet.getByLabel('Or paste cells from a spreadsheet').fill(SHEET);
  await sheet.getByRole('button', { name: 'Read these cells' }).click();
  await sheet.getByLabel('Its run comes from').selectOption({ label: 'X40' });
  await sheet.getByLabel('Length of that run').fill('760');
  await sheet.getByRole('button', { name: 'Import 14 circuits' }).click();
  await page.getByRole('button', { name: /^Save \d+ changes$/ }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await expect(page.getByText('14 circuits')).toBeVisible();

  // The finding lies where it lay: 299 mm from mark A, 729 from the connector; and the job plans it as before.
  await visit(page, `${job}/survey`);
  await expect(page.getByText('729', { exact: false }).first()).toBeVisible();
  await visit(page, `${job}/decide`);
  await expect(
    page.getByRole('heading', { name: /^Two splices and \d+ mm of new wire: sealed butt, middle$/ }),
  ).toBeVisible();
  expect(errors).toEqual([]);
});
