import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Comebacks, JobView, RecordFound } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { askRecords } from '../test/files.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import type { RecordBundle } from '@mendum/core/operations';

let server: TestServer;
let view: JobView;
beforeEach(async () => {
  server = await startServer();
  view = await server.job('0146');
});
afterEach(() => server.close());

const burnt = (id: string, more: object = {}) => ({
  id,
  circuitId: 'C21',
  runId: 'R1',
  kind: 'terminalDamaged',
  fromMm: 0,
  toMm: 1,
  slackMm: 60,
  at: view.job.harness.circuits.find((one) => one.id === 'C21')!.from,
  ...more,
});
async function opened(...findings: readonly object[]): Promise<string> {
  const sent = { title: 'At the plug', harnessId: view.harnessId };
  const { number } = (await server.write('post', '/jobs', sent).expect(201)).body as { number: string };
  await makeSafe(server, number);
  for (const finding of findings)
    await server.write('post', `${await server.at(number)}/findings`, { finding }).expect(201);
  return number;
}

describe('a terminal that was replaced', () => {
  it('is known to the next job there, asked about, and counted when it failed', async () => {
    const first = await opened(burnt('F1'));
    expect((await server.job(first)).job.earlierEnds).toBeUndefined();
    await proveAndSign(server, first);

    const second = await opened();
    const [end, ...others] = (await server.job(second)).job.earlierEnds ?? [];
    expect(others).toEqual([]);
    expect(end).toMatchObject({ circuitId: 'C21', ...burnt('F1').at });
    expect(end!.words).toMatch(new RegExp(`, job ${first}, `));
    // What was signed then knew nothing of it.
    expect((await server.job(first)).job.earlierEnds).toBeUndefined();

    const earlierSeen = [{ repairId: end!.id, failed: true, why: 'wet' }];
    const at = await server.at(second);
    await server.write('post', `${at}/findings`, { finding: burnt('F1', { earlierSeen }) }).expect(201);
    expect(JSON.stringify(await server.plan(second))).toContain(`Failed here before: ${end!.words}; water got in.`);
    const { back } = (await server.http.get('/api/comebacks').query({ by: 'method' })).body as Comebacks;
    expect(back).toBe(1);
    await proveAndSign(server, second);
    const { records } = (await askRecords(server, second, 'json')).body as RecordBundle;
    expect(records[0]?.body).toMatchObject({ failedBefore: [{ recordId: end!.id, why: 'wet' }] });

    // Of two at one cavity the last one is what is there.
    const third = (await server.job(await opened())).job.earlierEnds ?? [];
    expect(third.map(({ words }) => words)).toEqual([expect.stringMatching(new RegExp(`, job ${second}, `))]);
  });
  it('keeps its name when its record is corrected', async () => {
    const first = await opened(burnt('F1'));
    await proveAndSign(server, first);
    const second = await opened();
    const [before] = (await server.job(second)).job.earlierEnds ?? [];
    await server.write('post', `/records/${before!.id}/corrections`, { text: 'The tool was number 4.' }).expect(201);
    expect((await server.job(second)).job.earlierEnds).toEqual([before]);
    const found = (await server.http.get(`/api/records/${before!.id}`)).body as RecordFound;
    expect(found.body.atEnd).toEqual({ circuitId: 'C21', ...burnt('F1').at });
  });
});
