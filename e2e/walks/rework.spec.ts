import { expect, test } from '@playwright/test';
import { atTheBench, copyOf, jobId, proveShown, visit } from '../bench.ts';

test('a joint that lets go is cut out; when the slack is used up one splice becomes two', async ({ page, request }) => {
  const id = await copyOf(request, '0146');
  await atTheBench(page);
  await visit(page, `/jobs/${id}/prove?splice=F3:only`);
  const checks = page.getByRole('region', { name: 'Checks of circuit 24' });
  await checks.getByLabel('Pulled to').fill('48');
  await checks.getByRole('button', { name: 'It let go' }).click();
  const again = page.getByRole('region', { name: 'Make it again' });
  await expect(again).toContainText('It let go at 48 N');
  await expect(again).toContainText('Check die and strip');
  await expect(again).toContainText('9 mm of the wire on each side');
  await again.getByLabel('Its seal is on already').check();
  await expect(again).toContainText('19.5 mm of the wire on each side');
  await expect(again).toContainText(/The plan becomes: Two splices and \d+ mm of new wire/);
  await again.getByRole('button', { name: 'Cut it out and make it again' }).click();
  await expect(again).toBeHidden();
  await visit(page, `/jobs/${id}/decide?finding=F3`);
  await expect(page.getByRole('heading', { name: /Two splices and \d+ mm of new wire/ })).toBeVisible();
  await visit(page, `/jobs/${id}/prove?splice=F3:left`);
  await expect(page.getByText(/make 2/).first()).toBeVisible();
  await proveShown(page);
});

test('high voltage stops at the gate until a procedure is named, and then only that is done', async ({
  page,
  request,
}) => {
  await atTheBench(page);
  await visit(page, `/jobs/${await copyOf(request, '0145')}/survey`);
  await page.getByRole('button', { name: 'Battery negative is off' }).click();
  await expect(page.getByText('Circuit 51 is high voltage')).toBeVisible();
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/survey/);
  await page.getByLabel("The maker's procedure and the qualified person").fill('Sheet HV-4, N. Okafor');
  await page.getByRole('button', { name: 'Procedure named' }).click();
  await page.getByRole('link', { name: 'On to Decide' }).click();
  await expect(page.getByText('Only what the named procedure says: Sheet HV-4, N. Okafor.')).toBeVisible();
});

test('a job file with one bad line is refused whole, and says where', async ({ page, request }) => {
  await atTheBench(page);
  const text = await (await request.get(`/api/jobs/${await jobId(request, '0146')}/file`)).text();
  await visit(page, '/jobs');
  await page.getByRole('button', { name: 'Import a job file' }).click();
  const choose = page.locator('input[type=file]');
  await choose.setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('"strandsLost": 5', '"strandsLost": 50')),
  });
  const refusal = page.getByRole('alert');
  await expect(refusal).toContainText('Nothing was imported: one place is not right.');
  await expect(refusal).toContainText('/job/findings/2/strandsLost');
  await expect(refusal).toContainText('50 of 37 strands cannot be lost');
  await choose.setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page).toHaveURL(/survey/);
});
