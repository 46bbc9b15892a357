import { expect, type APIRequestContext, type Page } from '@playwright/test';
import type { LineOf, Page as ListPage } from '@mendum/core/operations';

/** Where people sign in: a server by itself, since everybody else's walks begin without. */
export const SIGNING_IN_PORT = 4656;

/** Chooses who is at the bench on this device, as if it had been asked before. */
export async function atTheBench(page: Page, theme: 'light' | 'dark' = 'light'): Promise<void> {
  await page.addInitScript((chosen) => {
    if (localStorage.getItem('mendum.view') === null)
      localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur', theme: chosen, units: 'mm' }));
  }, theme);
}

export async function jobId(request: APIRequestContext, number: string): Promise<string> {
  const found = (await listed(request, 'jobs')).find((job) => job.number === number);
  if (!found) throw new Error(`no job ${number}`);
  return found.id;
}

/** Opens an address, and waits until the application has taken over what came drawn. */
export async function visit(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.locator('.drawn')).toHaveCount(0);
}

/** The lines of a list, up to 200. */
export async function listed<N extends 'jobs' | 'harnesses'>(
  request: APIRequestContext,
  name: N,
): Promise<readonly LineOf<N>[]> {
  return ((await (await request.get(`/api/${name}?limit=200`)).json()) as ListPage<LineOf<N>>).items;
}

/** A copy of a demo job, so that walks do not get in each other's way. */
export async function copyOf(request: APIRequestContext, number: string): Promise<string> {
  const text = await (await request.get(`/api/jobs/${await jobId(request, number)}/file`)).text();
  const answer = await request.post('/api/jobs/import', {
    data: { writeId: crypto.randomUUID(), by: 'Ines Valdur', text },
  });
  expect(answer.status()).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

/** Makes a job safe, so that it can be worked on. */
export async function makeSafe(request: APIRequestContext, id: string): Promise<void> {
  const { version } = (await (await request.get(`/api/jobs/${id}`)).json()) as { version: number };
  const answer = await request.put(`/api/jobs/${id}/gate/isolation`, {
    data: { version, how: 'provedDead', writeId: crypto.randomUUID(), by: 'Ines Valdur' },
  });
  expect(answer.status()).toBe(200);
}

/** Watches a page for what must never happen on it: errors in the console and requests to elsewhere. */
export function watch(page: Page): { readonly errors: string[] } {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/status of 4\d\d/.test(message.text())) errors.push(message.text());
  });
  page.on('request', (request) => {
    if (
      !request.url().startsWith('http://127.0.0.1:') &&
      !request.url().startsWith('data:') &&
      !request.url().startsWith('blob:')
    )
      errors.push(`request to ${request.url()}`);
  });
  return { errors };
}

/** Ticks every step of every splice, splice by splice. */
export async function makeAll(page: Page): Promise<void> {
  const picker = page.getByRole('navigation', { name: 'Kit and splices' });
  await page.getByRole('button', { name: /Begin the first splice|Go on with the work/ }).click();
  const count = (await picker.getByRole('button').count()) - 1;
  for (let index = 1; index <= count; index += 1) {
    await picker.getByRole('button').nth(index).click();
    await page.getByRole('button', { name: 'All steps of this one are done' }).click();
    if (index < count) await expect(picker.getByText('✓ made')).toHaveCount(index);
  }
}

/** Proves the splice on the screen: looks, tug at its target, a resistance well under the limit. */
export async function proveShown(page: Page): Promise<void> {
  const checks = page.getByRole('region', { name: /^Checks of circuit/ });
  await checks.getByRole('button', { name: /^All \d looks are good$/ }).click();
  await expect(checks.getByRole('button', { name: /^All \d looks are good$/ })).toHaveCount(0);
  const held = checks.getByRole('button', { name: /^Held \d+ N$/ });
  if ((await held.count()) > 0) {
    await held.click();
  }
  // A signal is proved by its beep; what carries current is measured.
  if ((await checks.getByText('Measured: any one of these is enough').count()) > 0) {
    const limit = Number(/Good up to ([\d.]+)/.exec((await checks.getByText(/^Good up to/).textContent()) ?? '')?.[1]);
    await checks.getByLabel('Reads').fill(String(Math.round(limit * 700) / 1000));
    await checks.getByRole('button', { name: 'Enter', exact: true }).click();
  }
  await expect(checks.getByText('Proved: every check of this one passed.')).toBeVisible();
}
