import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Catalogue } from '@mendum/core/catalogue';
import { makesOf, type Plan } from '@mendum/core/plan';
import { loadJob } from '../jobs/store.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import { madeMemory } from './madeMemory.ts';
import { plannerHere } from './planner.ts';

let server: TestServer;
let id: string;
let plan: Plan;
beforeAll(async () => {
  server = await startServer();
  await makeSafe(server, '0147');
  id = (await server.job('0147')).id;
  plan = await server.plan('0147');
});
afterAll(() => server.close());

const stored = () => server.db.read((manager) => loadJob(manager, id));
const tick = (
  make: { readonly id: string; readonly steps: readonly { readonly id: string }[] } | undefined,
  at: number,
) =>
  server
    .write('put', `/jobs/${id}/ticks`, { steps: [{ stepId: make?.steps[at]?.id, spliceId: make?.id }], done: true })
    .expect(200);

describe('makes that are remembered are those that the plan tells', () => {
  it('once work has begun, until something changes that the plan depends on', async () => {
    const planner = plannerHere(server.db.read);
    const memory = madeMemory();
    const [first, second] = plan.findings.flatMap(makesOf);
    const spliceIds = [first?.id ?? ''];
    const ask = async (): Promise<void> => memory.keep(id, await planner.ask('made', { jobId: id, spliceIds }));
    await ask();
    expect(memory.told(await stored(), spliceIds)).toBeUndefined();
    await tick(first, 0);
    expect(memory.told(await stored(), spliceIds)).toBeUndefined();
    await ask();
    await tick(first, 1);
    expect(memory.told(await stored(), spliceIds)).toEqual(
      (await planner.ask('made', { jobId: id, spliceIds })).answer,
    );
    expect(memory.told(await stored(), [...spliceIds, second?.id ?? ''])).toBeUndefined();
    const { version, parts } = (await server.http.get('/api/shelf')).body as Catalogue;
    const part = { ...parts[0]!, quantity: 71 };
    await server.write('put', '/shelf', { version, edits: [{ kind: 'setPart', part }] }).expect(200);
    expect(memory.told(await stored(), spliceIds)).toBeUndefined();
  });
  it('and a tick that needs no plan is refused as one that does: of a step that is none', async () => {
    const [first] = plan.findings.flatMap(makesOf);
    await tick(first, 2);
    await tick(first, 3);
    const wrong = { steps: [{ stepId: 'none', spliceId: first?.id }], done: true };
    const refused = await server.write('put', `/jobs/${id}/ticks`, wrong).expect(409);
    expect(refused.body).toMatchObject({ error: { code: 'NO_SUCH_SPLICE' } });
  });
});
