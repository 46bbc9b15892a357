import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { listed, atTheBench, copyOf, jobId, watch, visit } from '../bench.ts';

/** What is serious for assistive technology on the page, or in its dialog. */
async function seriousOn(page: Page, within?: string): Promise<string[]> {
  const builder = new AxeBuilder({ page });
  const { violations } = await (within === undefined ? builder : builder.include(within)).analyze();
  return violations
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`);
}

/** Nothing serious, and nothing wider than the screen. */
async function expectFits(page: Page, what: string): Promise<void> {
  expect(await seriousOn(page), what).toEqual([]);
  const [wide, seen] = await page.evaluate(() => [document.documentElement.scrollWidth, window.innerWidth]);
  expect(wide, `${what} is wider than the screen`).toBeLessThanOrEqual(seen ?? 0);
}

/** Each width, and each theme: what a theme changes is its colours, and those are the same at every width. */
const LOOKS = [
  { theme: 'light', width: 1280, height: 800 },
  { theme: 'dark', width: 820, height: 1180 },
  { theme: 'light', width: 390, height: 844 },
] as const;

test.describe.configure({ timeout: 600_000 });

for (const { theme, ...size } of LOOKS) {
  const look = `${theme}, ${size.width} × ${size.height}`;
  test(`nothing serious for assistive technology on any page, and nothing cut off: ${look}`, async ({
    page,
    request,
  }) => {
    const { errors } = watch(page);
    const open = `/jobs/${await copyOf(request, '0146')}`;
    const closed = `/jobs/${await copyOf(request, '0145')}`;
    const signed = `/jobs/${await jobId(request, '0126')}`;
    const melted = `/jobs/${await copyOf(request, '0144')}`;
    const [loom] = (await listed(request, 'harnesses')).filter((one) => one.name.includes('W20'));
    await page.setViewportSize(size);
    await atTheBench(page, theme);
    const views: readonly (readonly [string, string])[] = [
      ['/jobs', 'Jobs'],
      ['/machines', 'Machines'],
      ['/shelf', 'Shelf'],
      ['/practice', 'Practice'],
      ['/due', 'Due back'],
      ['/data', 'Data'],
      ['/people', 'People'],
      [`${closed}/survey`, 'Drive loom W2'],
      [`${open}/survey`, 'Rear loom W5'],
      [`${open}/decide`, 'Rear loom W5'],
      [`${open}/layout`, 'Rear loom W5'],
      [`${open}/bench`, 'Rear loom W5'],
      [`${open}/bench?at=F1:left`, 'Rear loom W5'],
      [`${open}/prove`, 'Rear loom W5'],
      [`${open}/record`, 'Rear loom W5'],
      [`${signed}/record`, 'Sieve motor feed'],
      [`/machines/${loom!.id}`, 'Blade-lift loom W20'],
      [`/machines/${loom!.id}/face/X22`, 'Connector X22'],
      [`${melted}/mapping/X20`, 'Mapping card, X20'],
    ];
    for (const [path, heading] of views) {
      await visit(page, path);
      await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
      await expectFits(page, path);
    }
    expect(errors).toEqual([]);
  });

  test(`nothing serious for assistive technology in any dialog: ${look}`, async ({ page, request }) => {
    const { errors } = watch(page);
    const open = `/jobs/${await copyOf(request, '0146')}`;
    const [loom] = (await listed(request, 'harnesses')).filter((one) => one.name.includes('W20'));
    await page.setViewportSize(size);
    await atTheBench(page, theme);
    // A wire in the hand, before and with its answer, the fields of what was assumed open.
    await visit(page, '/quick');
    expect(await seriousOn(page), 'quick').toEqual([]);
    for (const name of ['red', '1.5', 'strands nicked or broken', 'Boom or arm that moves'])
      await page.getByRole('radio', { name, exact: true }).first().click();
    await page.getByText('Assumed:').click();
    await expect(page.getByLabel('Where it is found again')).toBeVisible();
    await expectFits(page, 'quick, answered');
    // A connector in the hand, and what helps to tell which one something is.
    await visit(page, '/quick/connector');
    await page.getByLabel(/A pigtail for it lies here/).click();
    await expectFits(page, 'connector in the hand');
    for (const which of ['Which one is it?', 'Is it damage?']) {
      if (which === 'Is it damage?') await visit(page, '/quick');
      await page.getByRole('button', { name: which }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      expect(await seriousOn(page, '[role=dialog]'), which).toEqual([]);
      await page.keyboard.press('Escape');
    }
    await visit(page, `${open}/bench?at=F3:only`);
    await page.getByRole('button', { name: 'It went wrong' }).click();
    await page.getByRole('radio', { name: 'The jacket is burnt' }).click();
    await page.getByRole('radio', { name: 'X12 side' }).click();
    await page.getByLabel('Burnt, from the end of the jacket').fill('4');
    await expect(page.getByText(/^The plan (stays|becomes): /)).toBeVisible();
    expect(await seriousOn(page, '[role=dialog]'), 'it went wrong').toEqual([]);
    await visit(page, `${open}/survey`);
    await page.getByRole('button', { name: 'Add a finding' }).click();
    await expect(page.getByRole('dialog', { name: 'What was found' })).toBeVisible();
    expect(await seriousOn(page, '[role=dialog]')).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'X12', exact: true }).click();
    await expect(page.getByRole('dialog', { name: 'Connector X12' })).toBeVisible();
    expect(await seriousOn(page, '[role=dialog]')).toEqual([]);
    await visit(page, '/machines');
    await page.getByRole('button', { name: 'Describe a new harness' }).click();
    await page
      .getByLabel('Or paste cells from a spreadsheet')
      .fill('Circuit\tFrom\tTo\tSize\tColour\n1\tX1-1\tX2-1\t16\tB\n2\tX1-2\tX2-1\t1.0\tR');
    await page.getByRole('button', { name: 'Read these cells' }).click();
    await expect(page.getByRole('alert', { name: 'What cannot be read' })).toBeVisible();
    expect(await seriousOn(page, '[role=dialog]')).toEqual([]);
    await visit(page, `/machines/${loom!.id}`);
    for (const picked of [/^connector X20/, /^Run Frame run/]) {
      await page.getByRole('button', { name: picked }).press('Enter');
      expect(await seriousOn(page)).toEqual([]);
    }
    expect(errors).toEqual([]);
  });
}
