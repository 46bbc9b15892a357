import { expect, test, type Page } from '@playwright/test';
import { jobId, makeAll, proveShown, SIGNING_IN_PORT, visit, watch } from '../bench.ts';

test.use({ baseURL: `http://127.0.0.1:${SIGNING_IN_PORT}` });

const PEOPLE = [
  ['Ines Valdur', 'technician', '371946'],
  ['Petra Onslow', 'inspector', '582714'],
] as const;
const PASSPHRASE = 'three crows on a fence';

/**
 * Signs in on a tablet that has seen nobody of that name, or whose name is one tap.
 * @param given the PIN that somebody else set, where it is the first time
 */
async function signIn(page: Page, name: string, secret: string, given?: string): Promise<void> {
  const known = page.getByRole('group', { name: 'Signed in here before' }).getByRole('button', { name });
  await expect(page.getByRole('heading', { name: 'Who is at the bench?' })).toBeVisible();
  if ((await known.count()) > 0) await known.click();
  else await page.getByLabel(/^(Name|Somebody else)$/).fill(name);
  await page.getByLabel(/^PIN/).fill(given ?? secret);
  await page.keyboard.press('Enter');
  if (given !== undefined) {
    await expect(page.getByRole('heading', { name: `Your own PIN, ${name}` })).toBeVisible();
    await page.getByLabel('PIN that you were given').fill(given);
    await page.getByLabel('New PIN').fill(secret);
    await page.getByRole('button', { name: 'Change it' }).click();
  }
  await expect(page.getByRole('button', { name: `At the bench: ${name}. Change` })).toBeVisible();
}
async function signOut(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^At the bench/ }).click();
  await page.getByRole('button', { name: 'Sign out, or somebody else' }).click();
  await expect(page.getByRole('heading', { name: 'Who is at the bench?' })).toBeVisible();
}

/** What leads to changes that an inspector may not make, whatever page it stands on. */
const WORK =
  /^(Proved dead|Battery negative|Named|Aired|Add |Change |Remove|New job|Import|Guide me|Rename|Name |It went wrong|Use instead|Use this|One (more|less)|Describe|A stretch|From a sheet|Make our own|Count|Begin new jobs|Done, next|All steps|Take it back|Pin|Save)/;

/** Goes through every page as somebody who only reads and proves. */
async function seesNoWork(page: Page, id: string, closed: string): Promise<void> {
  const pages: readonly (readonly [address: string, there: string | RegExp])[] = [
    ['/jobs', 'Jobs'],
    ['/quick', /./],
    ['/quick/connector', /./],
    [`/jobs/${closed}/survey`, 'Shaker-head harness W12'],
    ...['survey', 'decide', 'layout', 'bench', 'prove', 'record'].map(
      (stage) => [`/jobs/${id}/${stage}`, 'Rear loom W5, salt'] as const,
    ),
    ['/machines', 'Machines'],
    ['/shelf', 'Shelf'],
    ['/practice', 'Practice'],
    ['/due', 'Due back'],
    ['/data', 'Data'],
    ['/people', 'People'],
  ];
  const found: string[] = [];
  const look = async (address: string): Promise<void> => {
    const main = page.getByRole('main');
    for (const role of ['button', 'link'] as const)
      for (const name of await main.getByRole(role, { name: WORK, disabled: false }).allInnerTexts())
        found.push(`${address}: ${name}`);
  };
  for (const [address, there] of pages) {
    await visit(page, address);
    await expect(page.getByRole('heading', { level: 1, name: there })).toBeVisible();
    await look(address);
  }
  await visit(page, '/machines');
  await page.getByRole('main').getByRole('link').first().click();
  await expect(page.getByRole('region', { name: 'Circuits' })).toBeVisible();
  await look('a harness');
  expect(found).toEqual([]);
}

test('a shop has people sign in: one makes a repair, another signs it, by PIN', async ({ page, request }) => {
  const { errors } = watch(page);
  const id = await jobId(request, '0146');
  const closed = await jobId(request, '0147');
  // Nobody signs in yet: the first admin is made on the server's own machine.
  await page.addInitScript(() => {
    if (localStorage.getItem('mendum.view') === null)
      localStorage.setItem('mendum.view', JSON.stringify({ person: 'Mira Aldous' }));
  });
  await visit(page, '/people');
  await page.getByLabel('Name').fill('Mira Aldous');
  await page.getByLabel('Passphrase').fill('three crows');
  await expect(page.getByText(/12 letters or more; this one has 11/)).toBeVisible();
  await page.getByLabel('Passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Have people sign in from now on' }).click();
  await signIn(page, 'Mira Aldous', PASSPHRASE);
  for (const [name, role, pin] of PEOPLE) {
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Role').selectOption(role);
    await page.getByLabel('First PIN').fill(pin);
    await page.getByRole('button', { name: 'Let them sign in' }).click();
    await expect(page.getByRole('list', { name: 'People' })).toContainText(name);
  }

  // The shop's practice: somebody else signs than who made it.
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Make our own copy' }).click();
  await page.getByLabel('Somebody else signs than who made it').check();
  await page.getByRole('button', { name: 'See what it changes, and save' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /^Save/ }).click();
  await page.getByRole('button', { name: 'Begin new jobs with it' }).click();
  await expect(page.getByText('✓ New jobs begin with it')).toBeVisible();
  await signOut(page);

  // The technician sees no practice to change, makes the repair and proves it; it is not theirs to sign.
  await signIn(page, 'Ines Valdur', '480593', '371946');
  await expect(page.getByRole('button', { name: 'Make our own copy' })).toHaveCount(0);
  await visit(page, `/jobs/${id}/bench`);
  await makeAll(page);
  await expect(page).toHaveURL(/prove/);
  const splices = page.getByRole('main').getByRole('list').first().getByRole('button');
  await expect(splices).toHaveCount(5);
  for (let index = 0; index < 5; index += 1) {
    await splices.nth(index).click();
    await proveShown(page);
  }
  await page.getByRole('link', { name: 'On to the record' }).click();
  await page.getByRole('button', { name: 'Sign as Ines Valdur' }).click();
  const pin = page.getByRole('dialog', { name: 'Your PIN once more' });
  await pin.getByLabel('PIN').fill('111112');
  await page.keyboard.press('Enter');
  await expect(pin.getByText('Name and PIN do not belong together.', { exact: false })).toBeVisible();
  await pin.getByLabel('PIN').fill('480593');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText('Ines Valdur made part of this: somebody else signs it.', { exact: false }),
  ).toBeVisible();
  await signOut(page);

  // The inspector changes no repair, and signs this one.
  await signIn(page, 'Petra Onslow', '917352', '582714');
  await seesNoWork(page, id, closed);
  await visit(page, `/jobs/${id}/record`);
  await page.getByRole('button', { name: 'Sign as Petra Onslow' }).click();
  await pin.getByLabel('PIN').fill('917352');
  await page.keyboard.press('Enter');
  await expect(page.getByText('✓ Signed by Petra Onslow')).toBeVisible();

  // Whoever has no sign-in gets no answers: not by the page, not by the address of a file.
  await page.context().clearCookies();
  expect((await page.request.get(`/api/jobs/${id}/record.pdf`)).status()).toBe(401);
  const bare = await page.request.get(`/jobs/${id}/record`);
  expect(await bare.text()).not.toContain('Dunmarra');
  expect(errors).toEqual([]);
});
