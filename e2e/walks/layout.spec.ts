import { expect, test, type Locator, type Page } from '@playwright/test';
import { atTheBench, copyOf, jobId, makeSafe, watch, visit } from '../bench.ts';

const centreOf = async (handle: Locator): Promise<number> => Number(await handle.getAttribute('aria-valuenow'));
const handle = (page: Page, name: RegExp): Locator => page.getByRole('slider', { name });

/** Drags a splice along the run by so many pixels, in small steps as a finger does. */
async function drag(page: Page, what: Locator, byPx: number): Promise<void> {
  const box = (await what.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 20; step += 1) await page.mouse.move(x + (byPx * step) / 20, y);
  await page.mouse.up();
}

test('splices are dragged, nudged, pinned, solved around, taken back and printed', async ({ page, request }) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const id = await copyOf(request, '0147');
  await makeSafe(request, id);
  await visit(page, `/jobs/${id}/layout`);
  const reached = page.getByRole('region', { name: 'What the layout reached' });
  await expect(reached.getByText('Proven best')).toBeVisible();
  const left = handle(page, /Circuit 1 .*left/);
  const other = handle(page, /Circuit 2 .*right/);
  const [first, others] = [await centreOf(left), await centreOf(other)];

  // Dragged: figures follow, the splice stays where it was put, the others where they were.
  await drag(page, left, -40);
  await expect(page.getByRole('button', { name: 'Unpin circuit 1' })).toBeVisible();
  const dragged = await centreOf(left);
  expect(dragged).toBeLessThan(first - 20);
  await expect(page.getByText(/Your layout is kept/)).toBeVisible();
  expect(await centreOf(other)).toBe(others);
  await expect(
    page.getByRole('table', { name: /Cut points/ }).getByRole('row', { name: /Valve A feed/ }),
  ).toContainText(String(dragged));

  // Onto another one: it says so, by name.
  await drag(page, left, 100);
  await expect(page.getByText(/rules? (is|are) broken/)).toBeVisible();

  // Keys: 1 mm and 10 mm; nothing is lost by a reload.
  await left.focus();
  const before = await centreOf(left);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(() => centreOf(left)).toBe(before + 11);
  await expect
    .poll(
      async () =>
        (
          (await (await request.get(`/api/jobs/${id}`)).json()) as {
            job: { layout?: { pins: { centreMm: number }[] } };
          }
        ).job.layout?.pins[0]?.centreMm ?? 0,
    )
    .toBeGreaterThan(before + 10);
  await page.reload();
  await expect.poll(() => centreOf(left)).toBe(before + 11);

  // Solved again around the pin: the pin stays, the rest is proven best for it.
  await page.getByRole('button', { name: 'Solve again around my pin' }).click();
  await expect(reached.getByText('Proven best')).toBeVisible();
  expect(await centreOf(left)).toBe(before + 11);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/Your layout is kept/)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(reached.getByText('Proven best')).toBeVisible();
  await page.getByRole('button', { name: 'Remove all pins' }).click();
  await expect.poll(() => centreOf(left)).toBe(first);

  // On paper and as a drawing.
  const pdf = await request.get((await page.getByRole('link', { name: 'Template, true size' }).getAttribute('href'))!);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const svg = await request.get((await page.getByRole('link', { name: 'SVG' }).getAttribute('href'))!);
  expect((await svg.text()).slice(0, 4)).toBe('<svg');
  expect(errors).toEqual([]);
});

test('on a tablet a finger drags a splice, and the board is not wider than the screen', async ({
  browser,
  request,
}) => {
  const page = await (await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true })).newPage();
  await atTheBench(page);
  const id = await copyOf(request, '0147');
  await makeSafe(request, id);
  await visit(page, `/jobs/${id}/layout`);
  const left = handle(page, /Circuit 1 .*left/);
  await expect(left).toBeVisible();
  const before = await centreOf(left);
  const box = (await left.boundingBox())!;
  const cdp = await page.context().newCDPSession(page);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: number) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x: at, y }] });
  await touch('touchStart', x);
  for (let step = 1; step <= 10; step += 1) await touch('touchMove', x - 4 * step);
  await touch('touchEnd', x - 40);
  await expect(page.getByRole('button', { name: 'Unpin circuit 1' })).toBeVisible();
  expect(await centreOf(left)).toBeLessThan(before - 20);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
});

test("a loss just before the branch: its splice lies on the next run, is moved and pinned there, and stands on that run's sheet", async ({
  page,
  request,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const id = await copyOf(request, '0147');
  await makeSafe(request, id);
  const finding = {
    id: 'near-branch',
    circuitId: 'C7',
    runId: 'R1',
    kind: 'parted',
    fromMm: 1072,
    toMm: 1082,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 0,
  };
  expect(
    (
      await request.post(`/api/jobs/${id}/findings`, {
        data: { finding, writeId: crypto.randomUUID(), by: 'Ines Valdur' },
      })
    ).status(),
  ).toBe(201);
  await visit(page, `/jobs/${id}/decide?finding=near-branch`);
  await expect(page.getByText(/right splice lies past Branch B1, on Valve run/).first()).toBeVisible();
  await visit(page, `/jobs/${id}/layout`);
  const cuts = page.getByRole('table', { name: /Cut points/ });
  await expect(cuts.getByRole('row', { name: /Catch pressure sensor/ })).toContainText('goes on past Branch B1');
  await page.getByRole('button', { name: /Valve run.*one splice of others/ }).click();
  const right = handle(page, /Circuit 7 .*right/);
  const before = await centreOf(right);
  await expect(cuts.getByRole('columnheader', { name: /from Branch B1/ })).toBeVisible();
  await right.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(() => centreOf(right)).toBe(before + 10);
  await expect(page.getByRole('button', { name: 'Unpin circuit 7' })).toBeVisible();
  await expect
    .poll(
      async () =>
        ((await (await request.get(`/api/jobs/${id}`)).json()) as { job: { layout?: { pins: { runId?: string }[] } } })
          .job.layout?.pins[0]?.runId,
    )
    .toBe('R2');
  await page.reload();
  await page.getByRole('button', { name: /Valve run/ }).click();
  await expect.poll(() => centreOf(right)).toBe(before + 10);
  const svg = await request.get((await page.getByRole('link', { name: 'SVG' }).getAttribute('href'))!);
  expect(await svg.text()).toContain('Catch pressure sensor');
  // At the bench it is cut by the run that it lies on.
  await visit(page, `/jobs/${id}/bench?at=near-branch:right`);
  await expect(page.getByText(/mm from Branch B1/).first()).toBeVisible();
  expect(errors).toEqual([]);
});

test('the view is zoomed by the wheel and moved by a drag; a tap on an earlier splice says what it is', async ({
  page,
  request,
}) => {
  await atTheBench(page);
  const text = await (await request.get(`/api/jobs/${await jobId(request, '0147')}/file`)).text();
  const file = JSON.parse(text) as { job: { earlier?: object[] } };
  file.job.earlier = [
    {
      id: 'E1',
      circuitId: 'C3',
      runId: 'R1',
      kind: 'splice',
      fromMm: 300,
      toMm: 336,
      diameterMm: 6,
      words: 'sealed butt, job 0126, 2031-03-01',
    },
  ];
  const data = { writeId: crypto.randomUUID(), by: 'Ines Valdur', text: JSON.stringify(file) };
  const { id } = (await (await request.post('/api/jobs/import', { data })).json()) as { id: string };
  await makeSafe(request, id);
  await visit(page, `/jobs/${id}/layout`);
  const old = page.locator('[data-earlier="E1"] rect');
  const middleOf = async (): Promise<readonly [number, number]> => {
    const box = await old.boundingBox();
    if (!box) throw new Error('the earlier splice is not drawn');
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  const wide = async (): Promise<number> => (await old.boundingBox())?.width ?? 0;
  await page.mouse.click(...(await middleOf()));
  await expect(page.getByText('at 300–336 mm: sealed butt, job 0126, 2031-03-01; stays').first()).toBeVisible();

  // Twice as close round where the pointer is: what lies there stays there.
  const before = await wide();
  const [x, y] = await middleOf();
  await page.mouse.move(x, y);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -100);
  await page.keyboard.up('Control');
  await expect.poll(wide).toBeGreaterThan(1.2 * before);
  const [near] = await middleOf();
  expect(Math.abs(near - x)).toBeLessThan(2);

  // A drag beside the splices takes the view along; on the ruler the wheel alone shows the whole run again.
  await page.mouse.down();
  await page.mouse.move(x + 30, y, { steps: 5 });
  await page.mouse.move(x + 60, y, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => (await middleOf())[0]).toBeGreaterThan(near + 40);
  const ruler = await page.locator('svg[data-wheel]').first().boundingBox();
  await page.mouse.move((ruler?.x ?? 0) + 600, (ruler?.y ?? 0) + 20);
  await page.mouse.wheel(0, 1200);
  await expect.poll(wide).toBeCloseTo(before, 0);
});
