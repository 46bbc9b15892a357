import { randomBytes } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Share, SharedRecord, ShareMade } from '@mendum/core/operations';
import { ENTITIES } from '../db/entities.ts';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let day = '2031-05-20';
let recordId: string;
beforeEach(async () => {
  day = '2031-05-20';
  server = await startServer({ today: () => day });
  recordId = (await server.job('0126')).records[0]!.id;
});
afterEach(() => server.close());

const make = async (days: number = 30): Promise<ShareMade & { readonly key: string }> => {
  const key = randomBytes(24).toString('hex');
  const { body } = await server.write('post', `/records/${recordId}/shares`, { days, key }).expect(201);
  return { ...(body as ShareMade), key };
};
const open = (key: string) => server.http.get(`/api/shared/${key}`);
const listed = async (): Promise<Share[]> =>
  (await server.http.get(`/api/records/${recordId}/shares`).expect(200)).body as Share[];

describe('a link to one repair', () => {
  it('shows what was found and done, how it was proved and by whom; no notes, lots, tools or reasons', async () => {
    const made = await make();
    const shown = (await open(made.key).expect(200)).body as SharedRecord;
    const { body } = (await server.job('0126')).records[0]!;
    expect(shown.body).toMatchObject({ machine: body.machine, method: body.method, signedBy: body.signedBy });
    expect(shown.proved.length).toBeGreaterThan(0);
    expect(Object.keys(shown.body)).not.toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^(note|parts|materials|tools|because|override|readings|closedBy)$/),
      ]),
    );
  });
  it.each([
    ['on its last day', '2031-06-19', 200],
    ['a day later', '2031-06-20', 404],
  ])('of thirty days: %s (%s) it answers %i', async (_, then, status) => {
    const made = await make(30);
    expect(made.until).toBe('2031-06-19');
    day = then;
    await open(made.key).expect(status);
  });
  it.each([0, 8, 366, 'forever'])('of %s days is refused', async (days) => {
    await server.write('post', `/records/${recordId}/shares`, { days, key: '0'.repeat(48) }).expect(422);
  });
  it('ended by somebody, it opens no more; the others still do', async () => {
    const [one, two] = [await make(), await make(7)];
    await server.write('delete', `/shares/${one.id}`).expect(200);
    await open(one.key).expect(404);
    await open(two.key).expect(200);
    expect((await listed()).map(({ id, over }) => [id, over])).toEqual(
      expect.arrayContaining([
        [one.id, true],
        [two.id, false],
      ]),
    );
  });
  it('shows the repair as it counts by now: a correction of its record is followed', async () => {
    const made = await make();
    await server.write('post', `/records/${recordId}/corrections`, { text: 'The tool was number 4.' }).expect(201);
    await open(made.key).expect(200);
    recordId = (await server.job('0126')).records.at(-1)!.id;
    expect(await listed()).toHaveLength(1);
  });
  it('is kept nowhere: neither in the database nor in what is listed', async () => {
    const made = await make();
    const { manager } = server.db.source;
    for (const entity of ENTITIES)
      expect(JSON.stringify(await manager.find(entity.options.name))).not.toContain(made.key);
    expect(JSON.stringify(await listed())).not.toContain(made.key);
  });
  it.each(['', 'short', 'g'.repeat(48), '0'.repeat(47)])('with %j as its secret is not made', async (key) => {
    await server.write('post', `/records/${recordId}/shares`, { days: 30, key }).expect(422);
  });
  it.each(['', 'a', '0'.repeat(48), '%F0%9F%94%A7'])('that was guessed (%j) opens nothing', async (key) => {
    await open(key).expect(404);
  });
});
