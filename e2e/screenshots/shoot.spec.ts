import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { atTheBench, jobId, visit } from '../bench.ts';

// One current picture for each main view, from the demo, for the README. Written by `npm run screenshots`, not part of
// the tests.
const FOLDER = join(import.meta.dirname, '../../docs/screenshots');
const shoot = async (page: Page, name: string): Promise<void> => {
  await page.evaluate(() => document.fonts.ready);
  // Nothing is still on its way.
  await expect(page.getByText(/^(Opening|Fetching|Planning|Working)\b.*…$/)).toHaveCount(0);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
};

/** A made-up sheet with a title, merged cells and mixed units. */
const PINOUT = `Conveyor loom W41

Wire colour\tConnector\tCav\tCKT\tDescription\tSize\tTo connector\tTo cavity
RD/BK\tX51\t1\t81\tConveyor motor feed\t4,0 mm²\tX52\t1
BN\t\t2\t82\tConveyor motor ground\tsame\tX52\t2
YE/BU\t\t3\t83\tBelt speed sensor\t0.5\tX53\t1
GN\t\t4\t84\tBelt speed sensor ground\t0.5sq\tX53\t2`;

test('pictures of the main views', async ({ page, request }) => {
  await atTheBench(page);
  const harvester = `/jobs/${await jobId(request, '0147')}`;
  const show = async (path: string): Promise<void> => {
    await visit(page, path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  };
  await show('/jobs');
  await shoot(page, 'jobs');
  await show(`${harvester}/survey`);
  await page.getByRole('button', { name: 'Proved dead with a meter' }).click();
  await expect(page.getByRole('link', { name: 'On to Decide' })).toBeVisible();
  await shoot(page, 'survey');
  await show(`${harvester}/decide?finding=F1`);
  await shoot(page, 'decide');
  await show(`${harvester}/layout`);
  // To a place that is in sight: the page stays at its top, with the layouts to choose from.
  const surface = await page.getByTestId('board-surface').boundingBox();
  await page.mouse.move((surface?.x ?? 0) + 420, (surface?.y ?? 0) + 60);
  await shoot(page, 'layout');
  await show(`${harvester}/bench`);
  await page.getByRole('button', { name: 'Begin the first splice' }).click();
  for (let step = 0; step < 2; step += 1) await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByText('step 3 of')).toBeVisible();
  await shoot(page, 'bench');
  await show(`${harvester}/prove?splice=F5:only`);
  await page.getByLabel('Pulled to').fill('12');
  await page.getByRole('button', { name: 'It let go' }).click();
  await expect(page.getByRole('region', { name: 'Make it again' })).toBeVisible();
  await shoot(page, 'prove');
  await show(`/jobs/${await jobId(request, '0126')}/record`);
  await shoot(page, 'record');
  await visit(page, '/due?show=records');
  await page
    .getByRole('link', { name: /Sieve motor|Brake lamps/ })
    .first()
    .click();
  await expect(page.getByRole('img', { name: /^Flag: circuit/ })).toBeVisible();
  await shoot(page, 'repair');
  for (const place of ['shop', 'shelf', 'practice', 'due']) {
    await show(`/${place}`);
    if (place === 'shop') await expect(page.getByText('Planning each open job', { exact: false })).toHaveCount(0);
    if (place === 'shop') await expect(page.getByText('Counting…')).toHaveCount(0);
    await shoot(page, place);
  }
  await show('/machines');
  await page.getByRole('link', { name: /Shaker-head harness W12/ }).click();
  await page.getByRole('button', { name: /^connector X32/ }).press('Enter');
  await shoot(page, 'harness');
  await show('/machines');
  await page.getByRole('link', { name: /Rear loom W5/ }).click();
  await page.getByRole('link', { name: 'What was done here' }).click();
  await expect(page.getByRole('list', { name: /newest first/ })).toBeVisible();
  await shoot(page, 'history');
  await show('/machines');
  await page.getByRole('link', { name: /Shaker-head harness W12/ }).click();
  await page.getByRole('button', { name: /^connector X32/ }).press('Enter');
  await page.getByRole('button', { name: 'Show face and mate' }).click();
  await page
    .getByRole('button', { name: /^Cavity 4,/ })
    .first()
    .click();
  await shoot(page, 'connector');
  await show('/machines');
  await page.getByRole('button', { name: 'Describe a new harness' }).click();
  await page.getByLabel('Or paste cells from a spreadsheet').fill(PINOUT);
  await page.getByRole('button', { name: 'Read these cells' }).click();
  await expect(page.getByText('4 circuits read')).toBeVisible();
  await shoot(page, 'pinout');
  await show(`/jobs/${await jobId(request, '0144')}/mapping/X20`);
  await shoot(page, 'mapping');
  await show('/quick');
  for (const name of ['red', '1.5', 'wire cut or a length missing', 'Chassis'])
    await page.getByRole('radio', { name, exact: true }).first().click();
  await page.getByRole('radio', { name: /a finger/ }).click();
  await expect(page.getByText('One splice: sealed butt, middle').first()).toBeVisible();
  await page.evaluate(() => window.scrollTo(0, 0));
  await shoot(page, 'quick');
  await page.evaluate(() =>
    localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur', theme: 'dark', units: 'mm' })),
  );
  await page.setViewportSize({ width: 820, height: 1180 });
  await show(`${harvester}/layout`);
  await shoot(page, 'layout-tablet-dark');
});
