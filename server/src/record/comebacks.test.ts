import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { EarlierRepair, Finding } from '@mendum/core/damage';
import type { Comebacks, RecordBundle } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { askRecords } from '../test/files.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let harnessId: string;
beforeAll(async () => {
  server = await startServer();
  ({ harnessId } = await server.job('0146'));
});
afterAll(() => server.close());

const rates = async (query: object): Promise<Comebacks> =>
  (await server.http.get('/api/comebacks').query(query).expect(200)).body as Comebacks;

const FOUND = { id: 'F1', circuitId: 'C21', runId: 'R1', kind: 'corroded', fromMm: 300, toMm: 310, slackMm: 60 };

async function opened(): Promise<string> {
  const { number } = (await server.write('post', '/jobs', { title: 'Again', harnessId }).expect(201)).body as {
    readonly number: string;
  };
  await makeSafe(server, number);
  return number;
}
/** What a new job on the harness knows of earlier repairs on circuit 21, near 300 mm. */
const earlierAt = async (number: string): Promise<EarlierRepair> => {
  const { job } = await server.job(number);
  return job.earlier!.find((one) => one.circuitId === 'C21' && one.runId === 'R1' && one.fromMm < 330)!;
};

describe('a repair that comes back', () => {
  it('is asked about, kept with the record of the new one, and counted once', async () => {
    const first = await opened();
    await server.write('post', `${await server.at(first)}/findings`, { finding: FOUND }).expect(201);
    await proveAndSign(server, first);
    const before = await rates({ by: 'method' });
    expect(before.back).toBe(0);

    const second = await opened();
    const repair = await earlierAt(second);
    expect(repair.method).toBeTypeOf('string');
    const at = await server.at(second);
    const failed = {
      ...FOUND,
      kind: 'poorRepair',
      fromMm: repair.fromMm,
      toMm: repair.toMm,
      cause: 'repair',
      earlierSeen: [{ repairId: repair.id, failed: true, why: 'wet' }],
    };
    await server.write('post', `${at}/findings`, { finding: failed }).expect(201);
    const now = await rates({ by: 'method' });
    expect([now.repairs, now.back]).toEqual([before.repairs, 1]);
    expect(now.lines.find(({ name }) => name === repair.method)).toMatchObject({
      back: { count: 1 },
      backAfterDays: 0,
      whys: [{ why: 'wet', count: 1 }],
    });
    const { body: plan } = await server.http.get(`/api${at}/plan`).expect(200);
    expect(JSON.stringify(plan)).toContain(`Failed here before: ${repair.words}; water got in.`);

    await proveAndSign(server, second);
    const { records } = (await askRecords(server, second, 'json')).body as RecordBundle;
    expect(records[0]?.body).toMatchObject({
      cause: 'An earlier repair',
      failedBefore: [{ recordId: repair.id, words: repair.words, why: 'wet' }],
    });
    expect(records[0]?.body.parts?.length).toBeGreaterThan(0);
    const after = await rates({ by: 'method' });
    expect([after.repairs > now.repairs, after.back]).toEqual([true, 1]);
  });
  it('counts for a repair whose record was corrected since', async () => {
    const third = await opened();
    const repair = await earlierAt(third);
    const people = async () => (await rates({ by: 'person' })).lines.map(({ name, repairs }) => [name, repairs]);
    const before = await people();
    await server
      .write('post', `/records/${repair.id}/corrections`, { text: 'Was the middle nest.', by: 'Marek Osei' })
      .expect(201);
    // Who corrects a record has not made the repair.
    expect(await people()).toEqual(before);
    const finding: Partial<Finding> & object = {
      ...FOUND,
      kind: 'parted',
      fromMm: repair.fromMm + 1,
      toMm: repair.fromMm + 3,
      earlierSeen: [{ repairId: repair.id, failed: true }],
    } as never;
    await server.write('post', `${await server.at(third)}/findings`, { finding }).expect(201);
    const { back, lines } = await rates({ by: 'person' });
    expect(back).toBe(2);
    expect(lines.flatMap(({ whys }) => whys)).toContainEqual({ why: 'unknown', count: 1 });
  });
  it('that holds is no comeback', async () => {
    const fourth = await opened();
    const repair = await earlierAt(fourth);
    const before = await rates({ by: 'person' });
    const finding = { ...FOUND, fromMm: 340, toMm: 346, earlierSeen: [{ repairId: repair.id, failed: false }] };
    await server.write('post', `${await server.at(fourth)}/findings`, { finding }).expect(201);
    expect((await rates({ by: 'person' })).back).toBe(before.back);
  });
  it.each([
    [{ by: 'weather' }, '/by'],
    [{ by: 'lot', from: 'May' }, '/from'],
    [{}, '/by'],
  ])('is not counted by %j', async (query, field) => {
    const { body } = await server.http.get('/api/comebacks').query(query).expect(422);
    expect((body as { error: { field: string } }).error.field).toBe(field);
  });
  it('of days on which nothing was signed nothing is counted', async () =>
    expect(await rates({ by: 'lot', from: '2001-01-01', to: '2001-12-31' })).toMatchObject({ repairs: 0, lines: [] }));
});
