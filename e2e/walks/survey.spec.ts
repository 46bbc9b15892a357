import { expect, test, type Page } from '@playwright/test';
import { atTheBench, copyOf, watch, visit } from '../bench.ts';

const open = async (page: Page, id: string): Promise<void> => {
  await atTheBench(page);
  await visit(page, `/jobs/${id}/survey`);
  await expect(page.getByRole('region', { name: 'Findings' }).getByRole('row')).toHaveCount(4);
};

test('damage is marked by a drag along the run, refused with the reason where it cannot be, saved, undone', async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  await open(page, await copyOf(request, '0146'));
  const surface = page.getByTestId('run-surface');
  const box = (await surface.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.25, box.y + 44 + 25 * 5 + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.27, box.y + 44 + 25 * 5 + 12, { steps: 4 });
  await page.mouse.up();
  const form = page.getByRole('dialog', { name: 'What was found' });
  await expect(form.getByRole('button', { name: /26 Sieve speed/ })).toHaveAttribute('aria-pressed', 'true');
  const from = Number(await form.getByLabel(/^From/).inputValue());
  expect(Math.abs(from - 400)).toBeLessThan(8);

  // Beyond the run's end: refused, with the limit and the remedy, and what was typed is still there.
  await form.getByLabel('To', { exact: true }).fill('1700');
  await form.getByRole('button', { name: 'Add the finding' }).click();
  await expect(form.getByText(/outside Frame run, which is 1600 mm long/)).toBeVisible();
  await expect(form.getByLabel('To', { exact: true })).toHaveValue('1700');

  await form.getByLabel('To', { exact: true }).fill('440');
  await form.getByRole('radio', { name: /strands nicked/ }).click();
  await form.getByLabel('Strands lost').fill('3');
  await form.getByLabel('Strands in the wire').fill('2');
  await form.getByRole('button', { name: 'Add the finding' }).click();
  await expect(form.getByText(/3 of 2 strands cannot be lost/)).toBeVisible();
  await form.getByLabel('Strands in the wire').fill('19');
  await form.getByRole('button', { name: 'Add the finding' }).click();
  await expect(form).toBeHidden();
  const table = page.getByRole('region', { name: 'Findings' });
  await expect(table.getByText(/3 of 19 lost, 16.19 of the copper left/)).toBeVisible();

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByRole('row')).toHaveCount(4);
  expect(errors).toEqual([]);
});

test('a finding is changed and removed by its row, and a removal can be taken back', async ({ page, request }) => {
  await open(page, await copyOf(request, '0146'));
  const table = page.getByRole('region', { name: 'Findings' });
  await table.getByRole('button', { name: 'Change the finding on circuit 21' }).click();
  await page.getByLabel('Slack, pulled together by hand').fill('90');
  await page.getByRole('button', { name: 'Save the finding' }).click();
  await expect(table.getByRole('row', { name: /21 Tail lamp left/ })).toContainText('90');
  await table.getByRole('button', { name: 'Remove the finding on circuit 24' }).click();
  await expect(table.getByRole('row')).toHaveCount(3);
  await page
    .getByRole('status', { name: 'What was done' })
    .filter({ hasText: 'Finding removed' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(table.getByRole('row')).toHaveCount(4);
});

test('two people change the same finding: both versions are shown and nothing is overwritten unasked', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, '0146');
  await open(page, id);
  await page.getByRole('button', { name: 'Change the finding on circuit 21' }).click();
  const view = (await (await request.get(`/api/jobs/${id}`)).json()) as { job: { findings: object[] } };
  const other = await request.put(`/api/jobs/${id}/findings/F1`, {
    data: {
      writeId: crypto.randomUUID(),
      by: 'Marek Osei',
      version: 1,
      finding: { ...view.job.findings[0], slackMm: 44 },
    },
  });
  expect(other.status()).toBe(200);
  await page.getByLabel('Slack, pulled together by hand').fill('55');
  await page.getByRole('button', { name: 'Save the finding' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Somebody saved this finding in between' });
  await expect(notice).toContainText('slack 44');
  await expect(notice).toContainText('slack 55');
  await notice.getByRole('button', { name: 'Save mine over it' }).click();
  await expect(page.getByRole('row', { name: /21 Tail lamp left/ })).toContainText('55');
});

test('a circuit to be added is joined with three ends', async ({ page, request }) => {
  await open(page, await copyOf(request, '0146'));
  await page.keyboard.press('a');
  const form = page.getByRole('dialog', { name: 'What was found' });
  await form.getByRole('button', { name: /23 Brake lamps/ }).click();
  await form.getByRole('radio', { name: 'a circuit to be added here' }).click();
  await form.getByLabel(/^From/).fill('820');
  await form.getByLabel('To', { exact: true }).fill('821');
  await form.getByLabel('Slack, pulled together by hand').fill('15');
  await form.getByLabel('Size', { exact: true }).selectOption('0.75');
  await form.getByRole('button', { name: 'Add the finding' }).click();
  await expect(form).toBeHidden();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: /One splice: multi-wire clip 2–4/ })).toBeVisible();
  await expect(page.getByText('3 ends meet here.')).toBeVisible();
});
