import { expect, test } from '@playwright/test';
import { atTheBench } from '../bench.ts';

test('the list of jobs stands before any script has run, and is fetched no second time', async ({ browser, page }) => {
  const still = await browser.newContext({ javaScriptEnabled: false });
  const drawn = await still.newPage();
  await drawn.goto('/jobs');
  const open = drawn.getByRole('list', { name: 'Open jobs' }).getByRole('link');
  expect(await open.count()).toBeGreaterThan(3);
  const titles = await open.allInnerTexts();
  await still.close();

  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('/api/')) asked.push(new URL(request.url()).pathname);
  });
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'Import a job file' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('list', { name: 'Open jobs' }).getByRole('link')).toHaveText(
    titles.map((text) => text.replaceAll(/\s+/g, ' ')).map((text) => new RegExp(text.split(' ')[0] ?? '')),
  );
  expect(asked.filter((path) => path === '/api/jobs' || path === '/api/due')).toEqual([]);
});

test('a key that is pressed before the application is there is not lost', async ({ page }) => {
  let release: () => void = () => undefined;
  const held = new Promise<void>((done) => (release = done));
  await page.route('**/assets/*.js', async (route) => {
    await held;
    await route.continue();
  });
  await atTheBench(page);
  await page.goto('/jobs', { waitUntil: 'commit' });
  await expect(page.getByRole('heading', { level: 1, name: 'Jobs' })).toBeVisible();
  await page.keyboard.press('/');
  release();
  await expect(page.getByRole('combobox', { name: 'What to find' })).toBeFocused();
});
