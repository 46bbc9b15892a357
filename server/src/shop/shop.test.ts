import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Page, ShopState } from '@mendum/core/operations';
import type { JobStanding } from '@mendum/core/shop';
import { proveAll, proveAndSign } from '../test/prove.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer({ today: () => new Date().toISOString().slice(0, 10) });
});
afterEach(() => server.close());

const shop = async (): Promise<ShopState> => (await server.http.get('/api/shop').expect(200)).body as ShopState;
const standings = async (query: object = {}): Promise<Page<JobStanding>> =>
  (await server.http.get('/api/shop/jobs').query(query).expect(200)).body as Page<JobStanding>;
const standingOf = async (number: string): Promise<JobStanding> =>
  (await standings()).items.find((job) => job.number === number)!;

describe('the shop today', () => {
  it('every open job stands once, page by page', async () => {
    const { open } = await shop();
    const all: string[] = [];
    let next: string | undefined;
    do {
      const page = await standings({ limit: 2, ...(next === undefined ? {} : { cursor: next }) });
      expect(page.total).toBe(open);
      expect(page.items.length).toBeLessThanOrEqual(2);
      all.push(...page.items.map(({ number }) => number));
      next = page.next;
    } while (next !== undefined);
    expect(all).toHaveLength(open);
    expect(new Set(all).size).toBe(open);
  });
  it('a job that is proved waits for a look; signed, it is gone from the open ones and stands in this week', async () => {
    expect((await standingOf('0146')).toSign).toBe(false);
    await proveAll(server, '0146');
    expect(await standingOf('0146')).toMatchObject({ toSign: true, doubts: [], missing: [] });
    const before = await shop();
    await proveAndSign(server, '0146');
    const after = await shop();
    expect([after.open, after.signed]).toEqual([before.open - 1, before.signed + 1]);
    expect(after.lastSigned.map(({ number }) => number)).toContain('0146');
    expect(await standingOf('0146')).toBeUndefined();
    expect((await standings({ signed: true })).items.map(({ number }) => number)).toContain('0146');
  });
  it('a correction this week of what was signed before does not make it signed this week', async () => {
    await server.close();
    server = await startServer({ today: () => '2031-06-20' });
    const before = await shop();
    const [record] = (await server.job('0126')).records;
    await server.write('post', `/records/${record!.id}/corrections`, { text: 'The tool was number 4.' }).expect(201);
    expect((await shop()).signed).toBe(before.signed);
  });
  it('what the shelf gains is not missing any more', async () => {
    const { missing } = await standingOf('0146');
    expect(missing.length).toBeGreaterThan(0);
    const { body } = await server.http.get('/api/shelf');
    const { version, wires } = body as { version: number; wires: { id: string; wire: object; lengthMm: number }[] };
    const job = await server.job('0146');
    const damaged = job.job.harness.circuits.filter(({ id }) =>
      job.job.findings.some(({ circuitId }) => circuitId === id),
    );
    const edits = damaged.map(({ wire }, at) => ({ kind: 'setWire', wire: { id: `new-${at}`, wire, lengthMm: 9000 } }));
    expect(wires.length).toBeGreaterThan(0);
    await server.write('put', '/shelf', { version, edits }).expect(200);
    expect((await standingOf('0146')).missing).toEqual([]);
  });
  it('what was kept of a job is what is planned anew, also after another job on its harness was signed', async () => {
    const { harnessId } = await server.job('0146');
    const cut = { kind: 'parted', cutBackLeftMm: 0, cutBackRightMm: 0, slackMm: 0 };
    const open = async (fromMm: number): Promise<string> => {
      const { body } = await server.write('post', '/jobs', { title: 'Two on one wire', harnessId }).expect(201);
      const { id, number } = body as { id: string; number: string };
      await makeSafe(server, number);
      const { circuits, runs } = (await server.job(number)).job.harness;
      const circuit = circuits.find((one) => one.number === '21')!;
      const finding = { ...cut, id: `F${fromMm}`, circuitId: circuit.id, runId: runs[0]!.id, fromMm, toMm: fromMm + 8 };
      await server.write('post', `/jobs/${id}/findings`, { finding }).expect(201);
      return number;
    };
    const [first, second] = [await open(400), await open(425)];
    const anew = async (): Promise<JobStanding> => {
      const { body } = await server.again().get('/api/shop/jobs').query({ limit: 200 }).expect(200);
      return (body as Page<JobStanding>).items.find(({ number }) => number === second)!;
    };
    const before = await standingOf(second);
    expect(before).toEqual(await anew());
    await proveAndSign(server, first);
    const now = await standingOf(second);
    expect(now).toEqual(await anew());
    expect(now).not.toEqual(before);
  });
  it('overdue repairs are those of the list', async () => {
    const { body } = await server.http.get('/api/due').expect(200);
    expect((await shop()).overdue).toBe((body as { overdue: number }).overdue);
  });
});
