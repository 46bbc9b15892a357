import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { OPERATIONS, type LineOf, type ListName, type Page } from '@mendum/core/operations';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
  const [harness] = await server.list('harnesses');
  for (let n = 0; n < 12; n += 1)
    await server
      .write('post', '/jobs', { title: n % 2 ? `Übergang ${n}` : `Lamp ${n}`, harnessId: harness!.id })
      .expect(201);
});
afterAll(() => server.close());

const page = async <N extends ListName>(name: N, query: Readonly<Record<string, string | number>>) =>
  (await server.http.get(`/api${OPERATIONS[name].path}`).query(query).expect(200)).body as Page<LineOf<N>>;

/** A whole list, walked page by page. */
async function walked<N extends ListName>(name: N, limit: number, query = {}): Promise<readonly LineOf<N>[]> {
  const lines: LineOf<N>[] = [];
  let cursor: string | undefined;
  do {
    const { items, next } = await page(name, { ...query, limit, ...(cursor === undefined ? {} : { cursor }) });
    expect(items.length).toBeLessThanOrEqual(limit);
    lines.push(...items);
    cursor = next;
  } while (cursor !== undefined);
  return lines;
}

describe('a list walked page by page', () => {
  const lists: readonly ListName[] = ['jobs', 'harnesses', 'allRecords', 'due'];
  test.each(lists.flatMap((name) => [1, 2, 3, 5, 200].map((limit) => [name, limit] as const)))(
    '%s, %i at once: every line once, in one order, however it is cut',
    async (name, limit) => {
      const whole = await page(name, { limit: 200 });
      expect(whole.items.length).toBeGreaterThan(2);
      expect(whole.total).toBe(whole.items.length);
      expect(await walked(name, limit)).toEqual(whole.items);
    },
  );
  it('loses and repeats nothing while others change what lies above', async () => {
    const first = await page('jobs', { limit: 4 });
    const below = (await walked('jobs', 200)).slice(4);
    const changed = below.at(-1)!.id;
    await server.write('put', `/jobs/${changed}/gate/isolation`, { version: 1, how: 'provedDead' }).expect(200);
    const rest = await page('jobs', { limit: 200, cursor: first.next! });
    const others = (jobs: readonly { id: string }[]) => jobs.map(({ id }) => id).filter((id) => id !== changed);
    expect(others(rest.items)).toEqual(others(below));
    expect(new Set(rest.items.map(({ id }) => id)).size).toBe(rest.items.length);
  });
  it('the jobs of one state only, and how many there are of it', async () => {
    const [open, signed] = [await page('jobs', { status: 'open' }), await page('jobs', { status: 'signed' })];
    expect(new Set(open.items.map(({ status }) => status))).toEqual(new Set(['open']));
    expect(open.total + signed.total).toBe((await page('jobs', { limit: 1 })).total);
  });
  it('says how many are overdue, whatever page is asked for', async () => {
    const answer = (await server.http.get('/api/due').query({ limit: 1 })).body as {
      items: unknown[];
      overdue: number;
    };
    expect([answer.items.length, answer.overdue]).toEqual([1, 2]);
  });
});

describe('a list searched', () => {
  test.each<[ListName, string, number]>([
    ['jobs', 'übergang', 6],
    ['jobs', 'ÜBERGANG 11', 1],
    ['jobs', 'lamp 10', 1],
    ['jobs', '  ', 21],
    ['jobs', "o'brien", 0],
    ['jobs', '100%', 0],
    ['jobs', '_', 0],
    ['harnesses', 'brake', 1],
    ['harnesses', 'DUNMARRA rear', 1],
    ['allRecords', 'ovrell', 1],
    ['allRecords', 'marek', 2],
    ['due', 'dunmarra', 1],
  ])('%s for %j: %i', async (name, search, count) => expect((await page(name, { search })).total).toBe(count));
});

describe('what no list can be asked', () => {
  test.each([
    ['no line at all', { limit: 0 }, '/limit'],
    ['more than 200', { limit: 201 }, '/limit'],
    ['half a line', { limit: 1.5 }, '/limit'],
    ['a cursor that is none', { cursor: 'here' }, '/cursor'],
    ['a cursor of another list', { cursor: Buffer.from('["a"]').toString('base64url') }, '/cursor'],
    ['a cursor that is no place', { cursor: Buffer.from('[{},1]').toString('base64url') }, '/cursor'],
    ['a state that is none', { status: 'lost' }, '/status'],
    ['what it does not know', { order: 'title' }, '/order'],
    ['words without end', { search: 'x'.repeat(201) }, '/search'],
  ])('%s', async (_what, query, field) => {
    const { status, body } = await server.http.get('/api/jobs').query(query);
    expect([status, body]).toMatchObject([422, { error: { code: 'BAD_INPUT', field } }]);
  });
  it.each([{ limit: 1 }, { limit: 200 }, { search: 'x'.repeat(200) }, { search: '' }])(
    '%j may be asked',
    async (query) => expect((await server.http.get('/api/jobs').query(query)).status).toBe(200),
  );
});

describe('what is asked for at a version', () => {
  it.each(['harness', 'practice', 'shelf'] as const)(
    '%s: that one, or the answer that there is another',
    async (what) => {
      const view = await server.job('0147');
      const at = {
        harness: [`/harnesses/${view.harnessId}`, view.harnessVersion],
        practice: [`/practices/${view.practiceId}`, view.practiceVersion],
        shelf: [`/jobs/${view.id}/shelf`, view.shelfVersion],
      } as const;
      const [address, version] = at[what];
      await server.http.get(`/api${address}`).expect(200);
      await server.http.get(`/api${address}`).query({ version }).expect(200);
      const other = await server.http.get(`/api${address}`).query({ version: version + 1 });
      expect([other.status, other.body]).toMatchObject([409, { error: { code: 'STALE', field: '/version' } }]);
    },
  );
});
