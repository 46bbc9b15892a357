import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import type { HarnessHistory, HarnessView, Page, RecordLine } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const get = async <T>(path: string, query: object = {}): Promise<T> =>
  (await server.http.get(`/api${path}`).query(query).expect(200)).body as T;
const history = (harnessId: string): Promise<HarnessHistory> => get(`/harnesses/${harnessId}/history`);
const found = async (search: string, more: object = {}): Promise<string[]> =>
  (await get<Page<RecordLine>>('/records', { search, ...more })).items.map(({ body }) => body.jobNumber);

/** A repair on the rear loom of the demo, made, proved and signed. @returns the job's number */
async function repaired(finding: object): Promise<string> {
  const { harnessId } = await server.job('0146');
  const { number } = (await server.write('post', '/jobs', { title: 'Salt spray', harnessId }).expect(201)).body as {
    readonly number: string;
  };
  await makeSafe(server, number);
  await server.write('post', `${await server.at(number)}/findings`, { finding }).expect(201);
  await proveAndSign(server, number);
  return number;
}
const CORRODED = {
  id: 'F1',
  circuitId: 'C21',
  runId: 'R1',
  kind: 'corroded',
  fromMm: 300,
  toMm: 310,
  note: 'Übler Grünspan behind the clip.',
};

describe('everything ever done on a harness', () => {
  it('says what was done, how it was proved, by whom, and where it lies', async () => {
    const number = await repaired(CORRODED);
    const { harnessId } = await server.job('0146');
    const { done, total } = await history(harnessId);
    const mine = done.filter(({ body }) => body.jobNumber === number);
    expect(mine.length).toBeGreaterThan(0);
    expect(total).toBe(done.length);
    for (const { body, proved, lies } of mine) {
      expect(body).toMatchObject({
        circuitNumber: '21',
        finding: expect.stringContaining('corrosion under the jacket') as string,
      });
      expect(proved.join()).toMatch(/Tug|Look/i);
      expect(lies).toMatchObject({ circuitId: 'C21', runId: 'R1', kind: 'splice' });
      expect((lies!.fromMm + lies!.toMm) / 2).toBeCloseTo(body.atMm, 0);
    }
  });
  it('names the other harnesses of the machine, with how many records each has', async () => {
    const { job, harnessId } = await server.job('0146');
    const harness = { ...job.harness, name: 'Cab loom' };
    const { id } = (await server.write('post', '/harnesses', { machine: job.machine, harness }).expect(201)).body as {
      id: string;
    };
    const { others } = await history(harnessId);
    expect(others).toEqual([{ harnessId: id, name: 'Cab loom', records: 0 }]);
    const { others: back, total } = { ...(await history(id)), total: (await history(harnessId)).total };
    expect(back).toEqual([{ harnessId, name: job.harness.name, records: total }]);
  });
  it('the newest first; what was cut out lies nowhere, and says by which job it was ended', async () => {
    const first = await repaired(CORRODED);
    const second = await repaired({ ...CORRODED, fromMm: 280, toMm: 330 });
    const { harnessId } = await server.job('0146');
    const { done } = await history(harnessId);
    expect(done[0]?.body.jobNumber).toBe(second);
    const before = done.filter(({ body }) => body.jobNumber === first);
    expect(before.map(({ lies, ended }) => [lies, ended?.number])).toEqual(before.map(() => [undefined, second]));
  });
  it('is the same from a harness that was kept for a signed job', async () => {
    const { harnessId } = await server.job('0146');
    const number = await repaired(CORRODED);
    const before = await history(harnessId);
    const { version, nodes, runs } = await get<HarnessView>(`/harnesses/${harnessId}`);
    const node = nodes.find(({ id }) => id === runs[0]!.fromNodeId);
    const edits = [{ do: 'extendEnd', byMm: 250, node }];
    await server.write('put', `/harnesses/${harnessId}`, { version, edits }).expect(200);
    const kept = (await server.job(number)).harnessId;
    expect(kept).not.toBe(harnessId);
    expect(await history(kept)).toEqual(await history(harnessId));
    // Where the finger is put moves with the wire.
    const moved = (await history(kept)).done.find(({ body }) => body.jobNumber === number)!;
    const then = before.done.find(({ recordId }) => recordId === moved.recordId)!;
    expect(moved.body.atMm).toBeCloseTo((moved.lies!.fromMm + moved.lies!.toMm) / 2, 6);
    expect(moved.body.atMm).toBeCloseTo(then.body.atMm + 250, 6);
    expect((await history(kept)).done.map(({ recordId }) => recordId)).toEqual(
      before.done.map(({ recordId }) => recordId),
    );
  });
  it('one that is not there is refused by name', async () => {
    const { status, body } = await server.http.get('/api/harnesses/nothing/history');
    expect([status, body]).toMatchObject([404, { error: { code: 'NOT_FOUND' } }]);
  });
});

describe('a record is found by any word that it says', () => {
  test.each([
    ['its kind', 'corrosion jacket'],
    ['what was noted', 'clip'],
    ['letters of any script, however written', 'ÜBLER GRÜN'],
    ['its circuit', 'tail lamp'],
    ['its part', 'splice'],
    ["its job's title", 'salt spray'],
    ['its day', new Date().toISOString().slice(0, 7)],
    ['who read it', 'Ines'],
    ['several words, all of them', 'corrosion grünspan ines'],
  ])('%s: %s', async (_what, words) => {
    const number = await repaired(CORRODED);
    expect(await found(words)).toContain(number);
    expect(await found(`${words} nowhere-at-all`)).toEqual([]);
  });
  it.each(['"', '"""', 'a"b"c', '***', 'near(', 'or and not qx', 'abc\u0000qdef', '\ud800aaa', '-x:y', '%%%'])(
    'nothing that is typed is a fault: %j',
    async (search) => expect(await found(search)).toEqual([]),
  );
  it('by what a correction says now, once; of one harness alone', async () => {
    const number = await repaired(CORRODED);
    const [line] = (await get<Page<RecordLine>>('/records', { search: 'grünspan' })).items;
    await server.write('post', `/records/${line!.recordId}/corrections`, { text: 'Was the left one.' }).expect(201);
    expect(await found('left one')).toEqual([number]);
    const { harnessId } = await server.job('0146');
    const other = await server.job('0147');
    expect(await found('corrosion', { harnessId })).toContain(number);
    expect(await found('corrosion', { harnessId: other.harnessId })).not.toContain(number);
  });
});
