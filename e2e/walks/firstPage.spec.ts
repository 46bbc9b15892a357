import { expect, test } from '@playwright/test';
import { atTheBench, jobId } from '../bench.ts';

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

test('a stage of a job stands before any script has run, and stays until the application has it', async ({
  browser,
  page,
  request,
}) => {
  const at = (stage: string) => `/jobs/${id}/${stage}`;
  const id = await jobId(request, '0146');
  const still = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 390, height: 844 } });
  const drawn = await still.newPage();
  // The first plan of a server may take longer than a page waits.
  await request.get(`/api/jobs/${id}/plan`);
  for (const stage of ['survey', 'decide', 'layout', 'bench', 'prove', 'record']) {
    await expect(async () => {
      await drawn.goto(at(stage));
      await expect(drawn.getByRole('heading', { level: 1, name: 'Rear loom W5' })).toBeVisible({ timeout: 1000 });
    }).toPass();
    expect(await drawn.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(390);
  }
  await still.close();

  await atTheBench(page);
  await page.addInitScript(() => {
    new MutationObserver(() => {
      const seen = document.documentElement.dataset;
      if (document.querySelector('.drawn h1')) seen.came = 'drawn';
      else if (document.body?.textContent?.includes('Opening…')) seen.flashed = 'yes';
    }).observe(document, { childList: true, subtree: true });
  });
  // On a busy machine a page may come before its stage is drawn.
  await expect(async () => {
    await page.goto(at('decide'));
    await expect(page.locator('html')).toHaveAttribute('data-came', 'drawn', { timeout: 1000 });
  }).toPass();
  await page.getByRole('button', { name: /^Keys/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expect(page.locator('html')).not.toHaveAttribute('data-flashed', 'yes');
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
