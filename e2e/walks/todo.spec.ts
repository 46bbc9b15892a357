import { expect, test } from '@playwright/test';
import { atTheBench, visit, watch } from '../bench.ts';

test('what is left for later is found on the machine’s list, and taken into another job with its place', async ({
  page,
}) => {
  const { errors } = watch(page);
  await atTheBench(page);
  const api = async (method: 'get' | 'post', path: string, data?: object): Promise<unknown> => {
    const sent = data && { data: { writeId: crypto.randomUUID(), by: 'Ines Valdur', ...data } };
    return (await page.request[method](`/api${path}`, sent)).json();
  };
  const { items } = (await api('get', '/jobs?limit=200')) as { items: { id: string; number: string }[] };
  const { harnessId } = (await api('get', `/jobs/${items.find(({ number }) => number === '0146')!.id}`)) as {
    harnessId: string;
  };
  const { id, number } = (await api('post', '/jobs', { title: 'Looked over', harnessId })) as {
    id: string;
    number: string;
  };
  const finding = { id: 'F1', circuitId: 'C24', runId: 'R1', kind: 'jacketRubbed', fromMm: 800, toMm: 830 };
  await api('post', `/jobs/${id}/findings`, { finding });

  await visit(page, `/jobs/${id}/survey`);
  await page.getByRole('button', { name: 'Leave the finding on circuit 24 for later' }).click();
  await expect(page.getByText('Left for later: it is on this machine’s list')).toBeVisible();
  await expect(page.getByText('Nothing marked yet')).toBeVisible();

  await visit(page, '/due?show=todo');
  const line = page.getByRole('listitem').filter({ hasText: `job ${number}` });
  await expect(line).toContainText('815 mm from X12');
  await line.getByRole('button', { name: 'Open a job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/survey/);
  await expect(page.getByRole('button', { name: 'Leave the finding on circuit 24 for later' })).toBeVisible();

  await visit(page, '/due?show=todo');
  await expect(line.getByRole('link', { name: /^Job \d+ does it$/ })).toBeVisible();
  expect(errors).toEqual([]);
});
