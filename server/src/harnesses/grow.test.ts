import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { proveAll, proveAndSign } from '../test/prove.ts';
import { asSeen, besideJob, makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const runOf = async (number: string) => (await server.job(number)).job.harness.runs.find(({ id }) => id === 'R1')!;

/** A new job on the harness of job 0147: circuit 13 is 60 mm too short at the connector where the run starts. */
async function lengthening(): Promise<string> {
  const { job } = await server.job('0147');
  const circuit = job.harness.circuits.find((one) => one.number === '13')!;
  const run = job.harness.runs.find(({ id }) => id === 'R1')!;
  const end = circuit.from.nodeId === run.fromNodeId ? circuit.from : circuit.to;
  const number = await besideJob(server, '0147', 'Too short');
  const at = await server.at(number);
  const finding = {
    id: 'F1',
    circuitId: circuit.id,
    runId: 'R1',
    kind: 'tooShort',
    shortByMm: 60,
    at: end,
    fromMm: 0,
    toMm: 1,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 0,
  };
  await server.write('post', `${at}/findings`, { finding }).expect(201);
  await server
    .write('post', `${at}/choices`, { findingId: 'F1', use: 'extend', reason: 'No terminal at hand', version: 2 })
    .expect(201);
  return number;
}

describe('a lead that is made longer', () => {
  it('makes the harness longer once the job is signed: what lies beyond moves along, the signed job keeps it', async () => {
    const number = await lengthening();
    const [before, open] = [await runOf('0147'), (await server.job('0147')).job.findings];
    const { growths = [] } = (await server.plan(number)).runs.find(({ runId }) => runId === 'R1')!;
    expect(growths).toHaveLength(1);
    const [splice] = (await server.plan(number)).findings[0]!.splices;
    await proveAndSign(server, number);
    const after = await runOf('0147');
    expect(after.lengthMm).toBe(before.lengthMm + growths[0]!.byMm);
    expect(after.features.map(({ fromMm }) => fromMm)).toEqual(before.features.map(({ fromMm }) => fromMm + 60));
    const moved = (await server.job('0147')).job;
    for (const [index, finding] of moved.findings.entries())
      if (finding.runId === 'R1') expect(finding.fromMm).toBe(open[index]!.fromMm + 60);
    // What it made itself lies where its record says.
    expect(moved.earlier).toContainEqual(expect.objectContaining({ fromMm: splice!.fromMm, toMm: splice!.toMm }));
    expect((await runOf(number)).lengthMm).toBe(before.lengthMm);
  });
  it('moves what another job has made along with its wires', async () => {
    const number = await lengthening();
    await makeSafe(server, '0147');
    await proveAll(server, '0147');
    const placesOf = async () =>
      (await server.plan('0147')).findings.flatMap(({ runId, splices }) =>
        splices.flatMap((one) => (one.runId === runId && runId === 'R1' ? [one.centreMm] : [])),
      );
    const before = await placesOf();
    await proveAndSign(server, number);
    expect(await placesOf()).toEqual(before.map((mm) => mm + 60));
  });
  it('leaves the harness as it is where another job has work across it, says why, and is signed all the same', async () => {
    const number = await lengthening();
    await makeSafe(server, '0147');
    const at = await server.at('0147');
    // A cover before the place from which all moves along: clip and branch would lie farther from it than they did.
    const finding = {
      id: 'N1',
      circuitId: 'C11',
      runId: 'R1',
      kind: 'jacketRubbed',
      fromMm: 50,
      toMm: 60,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      slackMm: 0,
    };
    await server.write('post', `${at}/findings`, { finding }).expect(201);
    await proveAll(server, '0147');
    const before = await runOf('0147');
    await proveAll(server, number);
    const signed = await server
      .write('post', `${await server.at(number)}/sign`, asSeen(await server.job(number)))
      .expect(201);
    expect(signed.body).toMatchObject({ lengthKept: expect.stringContaining('Job 0147') as string });
    expect(await runOf('0147')).toEqual(before);
  });
});
