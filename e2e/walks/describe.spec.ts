import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { listed, atTheBench, watch, visit } from '../bench.ts';

/**
 * A made-up loader's pinout as it is pasted: any order of columns, a title, merged connector cells, "same", mixed
 * units.
 */
const SHEET = `Loader boom loom W40, issue 3

Wire Color\tConnector\tCav\tCKT\tDescription\tGauge\tTo connector\tTo cavity
RD/BK\tX40\t1\t201\tBoom raise solenoid feed\t2.5\tX41\t1
RD/WH\t\t2\t202\tBoom lower solenoid feed\tsame\tX41\t2
BN\t\t3\t203\tSolenoid ground\t4,0 mm²\tX41\t3
YE\t\t4\t204\tBucket level sensor\t0.5\tX42\t1

GN\t\t5\t205\tBucket level sensor ground\t"\tX42\t2
BU/WH\t\t6\t206\tWork lamp\t1.5sq\tX41\t4
BK\t\t7\t207\tWork lamp ground\t1.5\tX41\t5
WH\t\t8\t208\tBoom angle sensor\t0,5\tX42\t3
GY\t\t9\t209\tBoom angle sensor supply\t0,5\tX42\t4
VT\t\t10\t210\tBoom angle sensor ground\t0.5 mm2\tX42\t5
OG\t\t11\t211\tHorn relay coil\t0.75\tX41\t6
PK\t\t12\t212\tSeat switch\t0.75\tX42\t6
RD\t\t13\t213\tValve supply\t18 AWG\tX41\t7
BN/WH\t\t14\t214\tSpare signal\t0.75\tX41\t8`;

const opened = async (page: Page): Promise<ReturnType<Page['getByRole']>> => {
  await atTheBench(page);
  await visit(page, '/machines');
  await page.getByRole('button', { name: 'Describe a new harness' }).click();
  return page.getByRole('dialog', { name: 'Describe a new harness' });
};

test('a harness of 14 circuits and three connectors is described from a pasted sheet, edited and exported, in under 3 minutes', async ({
  page,
}) => {
  const { errors } = watch(page);
  const started = Date.now();
  const dialog = await opened(page);
  await dialog.getByLabel('Machine').fill('Harrow 300');
  await dialog.getByLabel('What it is').fill('wheel loader');
  await dialog.getByLabel('Voltage').fill('24');
  await dialog.getByLabel('Harness').fill('Boom loom W40');
  await dialog.getByLabel('Or paste cells from a spreadsheet').fill(SHEET);
  await dialog.getByRole('button', { name: 'Read these cells' }).click();
  await expect(dialog.getByText('14 circuits read')).toBeVisible();
  await expect(dialog.getByText(/Read as IEC 60757 two-letter codes/)).toBeVisible();
  for (const [name, rows, columns] of [
    ['X40', '2', '7'],
    ['X41', '2', '4'],
    ['X42', '2', '3'],
  ] as const) {
    await dialog.getByLabel(`Rows of ${name}`).fill(rows);
    await dialog.getByLabel(`Columns of ${name}`).fill(columns);
  }
  for (const [run, mm] of [
    ['X40 to B1', '1850'],
    ['B1 to X41', '420'],
    ['B1 to X42', '760'],
  ] as const)
    await dialog.getByLabel(run).fill(mm);
  await dialog.getByRole('button', { name: 'Save this harness' }).click();
  await expect(page.getByRole('heading', { name: 'Boom loom W40' })).toBeVisible();
  expect(Date.now() - started).toBeLessThan(180_000);

  // The right wire in the right cavity: circuit 206 in its connector's face and its mate's.
  await page.getByRole('button', { name: /^connector X41/ }).click();
  await page.getByRole('button', { name: 'Show face and mate' }).click();
  const face = page.getByRole('dialog', { name: 'Connector X41' });
  await face.getByRole('button', { name: 'Cavity 4, circuit 206 Work lamp, blue with white stripe' }).click();
  await expect(face.getByRole('region', { name: 'Cavity 4' })).toContainText('goes to X40 6');
  await page.keyboard.press('Escape');

  // Split, undo, redo, and what cannot be is refused with the reason.
  await page.getByRole('button', { name: 'Run X40 to B1, 1850 mm' }).press('Enter');
  const run = page.getByRole('form', { name: 'Run X40 to B1' });
  await run.getByLabel('At, from X40').fill('2000');
  await run.getByRole('button', { name: 'Split the run here' }).click();
  await expect(page.getByRole('status', { name: 'What was done' })).toContainText(
    'B2 at 2000 mm is not on X40 to B1, which is 1850 mm long',
  );
  await run.getByLabel('At, from X40').fill('600');
  await run.getByLabel('There is a').selectOption('grommet');
  await run.getByRole('button', { name: 'Split the run here' }).click();
  await expect(page.getByRole('button', { name: /^grommet G1/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^grommet G1/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await page.getByRole('button', { name: 'Save 1 change' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^grommet G1/ })).toBeVisible();

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'one line a circuit CSV' }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  expect(csv.trim().split('\r\n')).toHaveLength(15);
  expect(csv).toContain('206,Work lamp,power,X40,6,X41,4,1.5 mm²');

  await page.getByRole('button', { name: 'Open a job on it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Boom loom W40' })).toBeVisible();
  await expect(page.getByText('Nothing marked yet')).toBeVisible();
  expect(errors).toEqual([]);
});

test('a sheet on a harness that is there: a new connector is hung, known circuits are changed, signed jobs keep theirs', async ({
  page,
  request,
}) => {
  const looms = await listed(request, 'harnesses');
  const loom = looms.find((one) => one.name === 'Ramp box loom W1')!;
  const signed = (await listed(request, 'jobs')).find((job) => job.harness === loom.name && job.status === 'signed')!;
  await atTheBench(page);
  await visit(page, `/machines/${loom.id}`);
  await page.getByRole('button', { name: 'From a sheet' }).click();
  const dialog = page.getByRole('dialog', { name: /^Circuits of Ramp box loom W1/ });
  await dialog
    .getByLabel('Or paste cells from a spreadsheet')
    .fill(
      'Circuit\tFrom\tTo\tSize\tColour\n62\tX1-2\tTerminal rail-12\t1.0\tblue\n64\tX1-4\tX5 (3-way)-1\t0.75\tgrey/red',
    );
  await dialog.getByRole('button', { name: 'Read these cells' }).click();
  await expect(dialog.getByRole('row', { name: /62 Ramp down relay/ })).toBeVisible();
  await dialog.getByLabel('Its run comes from').selectOption({ label: 'Terminal rail' });
  await dialog.getByLabel('Length of that run').fill('350');
  await dialog.getByRole('button', { name: 'Import 2 circuits' }).click();
  await expect(page.getByRole('button', { name: 'Run Terminal rail to X5, 350 mm' })).toBeVisible();
  await page.getByRole('button', { name: /^Save \d changes$/ }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /62 Ramp down relay/ })).toContainText('1 mm²');
  await expect(page.getByRole('row', { name: /64 Circuit 64/ })).toContainText('X1 4X5 1');
  const { harnessId } = (await (await request.get(`/api/jobs/${signed.id}`)).json()) as { harnessId: string };
  const kept = (await (await request.get(`/api/harnesses/${harnessId}`)).json()) as { circuits: { number: string }[] };
  expect(kept.circuits.map((circuit) => circuit.number)).toEqual(['61', '62', '63']);
});

test('a sheet with bad lines is refused whole, by line and column; an unclear one asks', async ({ page }) => {
  const dialog = await opened(page);
  await dialog
    .getByLabel('Or paste cells from a spreadsheet')
    .fill(SHEET.replace('1.5sq', 'thick').replace('\tX41\t8', '\tX41\t7'));
  await dialog.getByRole('button', { name: 'Read these cells' }).click();
  const wrong = dialog.getByRole('alert', { name: 'What cannot be read' });
  await expect(wrong).toContainText('Line 10, column F, Gauge: “thick” is not a wire size.');
  await expect(wrong).toContainText('Cavity 7 of X41 holds circuit 213 already, from line 17.');
  await expect(dialog.getByRole('button', { name: 'Save this harness' })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Another sheet' }).click();

  await dialog
    .getByLabel('Or paste cells from a spreadsheet')
    .fill('Circuit\tFrom\tTo\tSize\tColour\n1\tX1-1\tX2-1\t16\tB\n2\tX1-2\tX2-2\t18\tR');
  await dialog.getByRole('button', { name: 'Read these cells' }).click();
  await expect(dialog.getByText(/“B” may mean several colours/)).toBeVisible();
  await expect(dialog.getByText('3 lines: 2 are asked about, 1 is left out.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Japanese-maker short forms' }).click();
  await dialog.getByRole('button', { name: '16 a trade label, 1 mm²' }).click();
  await dialog.getByRole('button', { name: '18 a trade label, 0.8 mm²' }).click();
  await expect(dialog.getByText('2 circuits read')).toBeVisible();
  await expect(dialog.getByRole('cell', { name: /black, trade 16 \(1 mm²\)/ })).toBeVisible();
});
