import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { atTheBench, copyOf, jobId, watch } from '../bench.ts';

const SIZES = [{ width: 1280, height: 800 }, { width: 820, height: 1180 }];

for (const theme of ['light', 'dark'] as const) {
  for (const size of SIZES) {
    test(`nothing serious for assistive technology, and nothing cut off: ${theme}, ${size.width} × ${size.height}`, async ({ page, request }) => {
      const { errors } = watch(page);
      const open = `/jobs/${await copyOf(request, '0146')}`;
      const closed = `/jobs/${await copyOf(request, '0145')}`;
      const signed = `/jobs/${await jobId(request, '0126')}`;
      await page.setViewportSize(size);
      await atTheBench(page, theme);
      const views: readonly (readonly [string, string])[] = [
        ['/jobs', 'Jobs'], ['/machines', 'Machines'], ['/shelf', 'Shelf'], ['/practice', 'Practice'], ['/due', 'Due back'], [`${closed}/survey`, 'Drive loom W2'], [`${open}/survey`, 'Rear loom W5'], [`${open}/decide`, 'Rear loom W5'],
        [`${open}/layout`, 'Rear loom W5'], [`${open}/bench`, 'Rear loom W5'], [`${open}/bench?at=F1:left`, 'Rear loom W5'], [`${open}/prove`, 'Rear loom W5'], [`${open}/record`, 'Rear loom W5'], [`${signed}/record`, 'Sieve motor feed'],
      ];
      for (const [path, heading] of views) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
        const { violations } = await new AxeBuilder({ page }).analyze();
        const serious = violations.filter((one) => one.impact === 'serious' || one.impact === 'critical').map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`);
        expect(serious, path).toEqual([]);
        const [wide, seen] = await page.evaluate(() => [document.documentElement.scrollWidth, window.innerWidth]);
        expect(wide, `${path} is wider than the screen`).toBeLessThanOrEqual(seen ?? 0);
      }
      await page.goto(`${open}/survey`);
      await page.getByRole('button', { name: 'Add a finding' }).click();
      await expect(page.getByRole('dialog', { name: 'What was found' })).toBeVisible();
      const { violations } = await new AxeBuilder({ page }).include('[role=dialog]').analyze();
      expect(violations.filter((one) => one.impact === 'serious' || one.impact === 'critical').map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'X12', exact: true }).click();
      await expect(page.getByRole('dialog', { name: 'Connector X12' })).toBeVisible();
      const face = await new AxeBuilder({ page }).include('[role=dialog]').analyze();
      expect(face.violations.filter((one) => one.impact === 'serious' || one.impact === 'critical').map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
      expect(errors).toEqual([]);
    });
  }
}
