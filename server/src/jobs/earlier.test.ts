import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { HarnessView } from '@mendum/core/operations';
import { besideJob, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

/** A new job on the harness of a signed one, with a wire cut right beside what was repaired then. */
async function beside(signed: string) {
  const splice = (await server.plan(signed)).findings.flatMap((finding) => finding.splices)[0]!;
  const number = await besideJob(server, signed, 'Again');
  const at = await server.at(number);
  const finding = {
    id: 'F1',
    circuitId: splice.circuitId,
    runId: splice.runId,
    kind: 'parted',
    fromMm: splice.toMm + 5,
    toMm: splice.toMm + 9,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 0,
  };
  return { splice, number, at, finding, added: await server.write('post', `${at}/findings`, { finding }) };
}

describe('what was repaired earlier on the same harness', () => {
  it('is on the wires of a new job, and is cut out whole where a loss comes near', async () => {
    const { splice, number, added } = await beside('0126');
    expect(added.status).toBe(201);
    const { earlier } = (await server.job(number)).job;
    expect(earlier).toContainEqual(
      expect.objectContaining({ circuitId: splice.circuitId, fromMm: splice.fromMm, toMm: splice.toMm }),
    );
    const [finding] = (await server.plan(number)).findings;
    expect(finding?.cutsOut.map((one) => one.fromMm)).toEqual([splice.fromMm]);
    expect(finding?.lost.fromMm).toBe(splice.fromMm);
    expect(finding?.because.join(' ')).toContain('job 0126');
  });
  it('a signed job does not find its own splices, nor those of jobs that came after it', async () =>
    expect((await server.job('0126')).job.earlier).toBeUndefined());
  it('comes back out of a job file', async () => {
    const { number, at } = await beside('0126');
    const { text } = await server.http.get(`/api${at}/file`);
    const { earlier } = (await server.job(number)).job;
    expect((JSON.parse(text) as { job: { earlier: unknown[] } }).job.earlier).toEqual(earlier);
    const answer = await server.write('post', '/jobs/import', { text }).expect(201);
    const { number: again } = answer.body as { number: string };
    expect((await server.job(again)).job.earlier).toEqual(earlier);
  });
  it('goes along when the harness is edited, corrected or not; the signed job keeps it where it was', async () => {
    const { splice, number } = await beside('0126');
    const here = async () =>
      (await server.job(number)).job.earlier?.find((one) => one.circuitId === splice.circuitId && one.fromMm > 0);
    const before = (await here())!;
    const { harnessId } = (await server.http.get(`/api${await server.at(number)}`)).body as { harnessId: string };
    const view = (await server.http.get(`/api/harnesses/${harnessId}`)).body as HarnessView;
    const run = view.runs.find(({ id }) => id === before.runId)!;
    const node = view.nodes.find(({ id }) => id === run.fromNodeId)!;
    const grow = { do: 'extendEnd', byMm: 250, node };
    await server.write('put', `/harnesses/${harnessId}`, { version: view.version, edits: [grow] }).expect(200);
    expect(await here()).toEqual({ ...before, fromMm: before.fromMm + 250, toMm: before.toMm + 250 });
    const { records } = await server.job('0126');
    const record = records.find(({ body }) => body.onWire?.fromMm === before.fromMm)!;
    await server.write('post', `/records/${record.id}/corrections`, { text: 'Its colour was grey.' }).expect(201);
    expect(await here()).toMatchObject({ fromMm: before.fromMm + 250 });
    expect((await server.job('0126')).job.harness.runs.find(({ id }) => id === run.id)?.lengthMm).toBe(run.lengthMm);
    await server.write('put', `/harnesses/${harnessId}`, { version: view.version + 1, edits: [grow] }).expect(200);
    expect(await here()).toMatchObject({ fromMm: before.fromMm + 500 });
  });
});
