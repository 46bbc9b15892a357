import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Catalogue } from '@mendum/core/catalogue';
import { NO_WISHES } from '@mendum/core/layout';
import { makesOf, type Plan } from '@mendum/core/plan';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import { makeDesk, type Desk } from './desk.ts';

let server: TestServer;
let desk: Desk;
let id: string;
beforeAll(async () => {
  server = await startServer();
  await makeSafe(server, '0147');
  id = (await server.job('0147')).id;
  desk = makeDesk(server.db.read);
});
afterAll(() => server.close());

/** What is made at the bench: places, figures, steps; not how the layout was proven, nor what else was looked at. */
const made = ({ findings, kit }: Plan): unknown => [
  findings.map(({ findingId, approach, insert, splices, cover, cavity }) => ({
    findingId,
    approach,
    insert,
    splices: splices.map((splice) => ({ ...splice, pinned: undefined })),
    cover,
    cavity: cavity && { ...cavity, work: { ...cavity.work, terminals: [] } },
  })),
  kit,
];
async function tick(plan: Plan, at: number): Promise<void> {
  const [make] = plan.findings.flatMap(makesOf).slice(at);
  const [step] = make?.steps ?? [];
  await server
    .write('put', `/jobs/${id}/ticks`, { steps: [{ stepId: step?.id, spliceId: make?.id }], done: true })
    .expect(200);
}

describe('a plan is worked out again only when something it depends on has changed', () => {
  it('never for a tick: not for the first of a repair, nor for those after it', async () => {
    const before = await desk.planned(id);
    for (const at of [0, 0, 4, 9]) {
      await tick(before.plan, at);
      expect((await desk.asBegun(id)).plan).toBe(before.plan);
    }
  });
  it('and what is made is the same when it is worked out all the same', async () => {
    const asBegun = await desk.asBegun(id);
    const anew = await desk.planned(id);
    expect(anew.stored.job.held?.length).toBeGreaterThan(1);
    expect(anew.plan).not.toBe(asBegun.plan);
    expect(made(anew.plan)).toEqual(made(asBegun.plan));
  });
  it('asked again it is the same plan', async () =>
    expect((await desk.planned(id)).plan).toBe((await desk.planned(id)).plan));

  const changes: readonly (readonly [string, () => Promise<unknown>])[] = [
    [
      'the layout',
      async () => {
        const { version, job } = await server.job('0147');
        const layout = { ...NO_WISHES, ...job.layout, otherColours: true };
        await server.write('put', `/jobs/${id}/layout`, { version, layout }).expect(200);
      },
    ],
    [
      'the shelf',
      async () => {
        const { version, parts } = (await server.http.get('/api/shelf')).body as Catalogue;
        const part = { ...parts[0]!, quantity: 71 };
        await server.write('put', '/shelf', { version, edits: [{ kind: 'setPart', part }] }).expect(200);
      },
    ],
  ];
  it.each(changes)('%s changed: worked out anew', async (_, change) => {
    const before = await desk.planned(id);
    await change();
    const after = await desk.asBegun(id);
    expect(after.stamp).not.toBe(before.stamp);
    expect(after.plan).not.toBe(before.plan);
  });
});
