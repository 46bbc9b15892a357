import { expect, test } from '@playwright/test';

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
