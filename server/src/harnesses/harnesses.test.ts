import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import type { HarnessView } from '@mendum/core/operations';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const harnesses = async (): Promise<HarnessView[]> =>
  Promise.all(
    (await server.list('harnesses')).map(
      async ({ id }) => (await server.http.get(`/api/harnesses/${id}`)).body as HarnessView,
    ),
  );
const named = async (name: RegExp): Promise<HarnessView> => (await harnesses()).find((one) => name.test(one.name))!;
const split = (runId: string, atMm: number) => ({
  do: 'splitRun',
  runId,
  atMm,
  node: { id: 'N9', kind: 'branch', name: 'N9' },
  newRunId: 'R9',
  newName: 'Rear part',
});
const edit = async (view: HarnessView, edits: readonly object[], version = view.version) =>
  server.write('put', `/harnesses/${view.id}`, { version, edits });

describe('a harness is edited', () => {
  it('what was found in open jobs goes along, and the plan with it', async () => {
    const loom = await named(/W5/);
    const before = await server.job('0146');
    expect((await edit(loom, [split('R1', 900)])).status).toBe(200);
    const after = await server.job('0146');
    expect(after.job.harness.runs.map((run) => [run.id, run.lengthMm])).toEqual([
      ['R1', 900],
      ['R9', 700],
    ]);
    expect(after.job.findings.map((finding) => [finding.id, finding.runId, finding.fromMm])).toEqual(
      before.job.findings.map((finding) =>
        finding.fromMm > 900 ? [finding.id, 'R9', finding.fromMm - 900] : [finding.id, 'R1', finding.fromMm],
      ),
    );
    expect(after.findingVersions.F3).toBe(before.findingVersions.F3! + 1);
    expect((await server.plan('0146')).findings).toHaveLength(3);
    expect((await named(/W5/)).version).toBe(loom.version + 1);
  });

  it('keeps the remarks of its circuits, and the sheets that they are from', async () => {
    const loom = await named(/W5/);
    const remark = 'Chafes at the hinge; see page 214.';
    const sources = [{ source: 'Service manual, page 214', year: '2029 to 2031', variant: 'with cab' }];
    const circuit = { ...loom.circuits[0]!, remark };
    expect(
      (
        await edit(loom, [
          { do: 'setCircuit', circuit },
          { do: 'setSources', sources },
        ])
      ).status,
    ).toBe(200);
    const after = await named(/W5/);
    expect([after.circuits[0]?.remark, after.sources]).toEqual([remark, sources]);
    const { job } = await server.job('0146');
    expect([job.harness.circuits[0]?.remark, job.harness.sources]).toEqual([remark, sources]);
    expect((await edit(after, [{ do: 'setSources', sources: [] }])).status).toBe(200);
    expect((await named(/W5/)).sources).toBeUndefined();
  });
  it.each([
    ['a remark of 500 letters', { remark: 'x'.repeat(500) }, 200],
    ['of 501', { remark: 'x'.repeat(501) }, 422],
  ])('%s', async (_what, said, status) => {
    const loom = await named(/W5/);
    const circuit = { ...loom.circuits[0]!, ...said };
    expect((await edit(loom, [{ do: 'setCircuit', circuit }])).status).toBe(status);
  });
  it.each([
    [50, 200],
    [51, 422],
  ])('%d sheets that it is known from', async (many, status) => {
    const loom = await named(/W5/);
    const sources = Array.from({ length: many }, (_, at) => ({ source: `Page ${at}` }));
    expect((await edit(loom, [{ do: 'setSources', sources }])).status).toBe(status);
  });

  it('a signed job keeps the harness as it was', async () => {
    const loom = await named(/W5/);
    const signed = (await server.list('jobs')).find((job) => job.status === 'signed' && /W5/.test(job.harness))!;
    const before = (await server.job(signed.number)).job;
    const count = (await harnesses()).length;
    await edit(loom, [{ do: 'setLength', runId: 'R1', lengthMm: 2000 }]);
    const after = (await server.job(signed.number)).job;
    expect(after.harness.runs).toEqual(before.harness.runs);
    expect((await server.job('0146')).job.harness.runs[0]?.lengthMm).toBe(2000);
    expect(await harnesses()).toHaveLength(count);
  });

  test.each([
    [
      'in the middle of a finding',
      split('R1', 620),
      'EDIT_REFUSED',
      /Job 0146: N9 would stand at 620 mm, in the middle of a finding/,
    ],
    ['with a run that is not there', split('R7', 620), 'EDIT_REFUSED', /Run "R7" is not in the harness/],
    ['so that a finding would lie outside', { do: 'setLength', runId: 'R1', lengthMm: 1400 }, undefined, /./],
    [
      'with a circuit in a cavity that is not there',
      {
        do: 'changeNode',
        node: {
          id: 'X12',
          kind: 'connector',
          name: 'X12',
          ways: 4,
          face: { layout: { kind: 'rows', rows: 2, columns: 2 }, numbering: { kind: 'rowWise' } },
        },
      },
      'EDIT_REFUSED',
      /Circuit 25 is in cavity 5 of X12, which has no such cavity/,
    ],
    ['by something that is no edit', { do: 'paint' }, 'BAD_INPUT', /do/],
  ])('refused %s, and nothing is changed', async (_name, one, code, message) => {
    const loom = await named(/W5/);
    const answer = await edit(loom, [{ do: 'changeRun', runId: 'R1', change: { name: 'Other' } }, one]);
    if (code === undefined) {
      expect(answer.status).toBe(200);
      return;
    }
    expect(answer.body).toMatchObject({ error: { code, message: expect.stringMatching(message) as string } });
    expect((await named(/W5/)).runs).toEqual(loom.runs);
  });

  it('a stale edit is answered with what is stored', async () => {
    const loom = await named(/W5/);
    await edit(loom, [{ do: 'changeRun', runId: 'R1', change: { name: 'Long run' } }]);
    const answer = await edit(loom, [{ do: 'changeRun', runId: 'R1', change: { name: 'Mine' } }]);
    expect(answer.status).toBe(409);
    expect(JSON.stringify(answer.body)).toContain('Long run');
  });

  it('splices that were put somewhere go along, and lie where they lay on the wire', async () => {
    await makeSafe(server, '0146');
    const put = (await server.plan('0146')).findings[2]!.splices[0]!;
    const pin = { findingId: put.findingId, side: put.side, centreMm: put.centreMm };
    await server
      .write('put', `${await server.at('0146')}/layout`, {
        version: (await server.job('0146')).version,
        layout: { pins: [pin], atOne: [], found: [pin] },
      })
      .expect(200);
    const loom = await named(/W5/);
    const run = loom.runs.find(({ id }) => id === put.runId)!;
    const node = loom.nodes.find(({ id }) => id === run.fromNodeId)!;
    expect((await edit(loom, [{ do: 'extendEnd', byMm: 250, node }])).status).toBe(200);
    const moved = { ...pin, centreMm: pin.centreMm + 250 };
    expect((await server.job('0146')).job.layout).toMatchObject({ pins: [moved], found: [moved] });
    expect((await server.plan('0146')).findings[2]!.splices[0]!.centreMm).toBeCloseTo(put.centreMm + 250, 6);
  });

  describe('under splices that are made', () => {
    const begun = async () => {
      await makeSafe(server, '0146');
      const [finding] = (await server.plan('0146')).findings;
      const [splice] = finding!.splices;
      const step = { stepId: splice!.steps[0]!.id, spliceId: splice!.id };
      await server.write('put', `${await server.at('0146')}/ticks`, { done: true, steps: [step] }).expect(200);
      return { loom: await named(/W5/), finding: finding!, step };
    };
    it('what is known of the harness may grow: they go along, made as they are, with their ticks', async () => {
      const { loom, finding, step } = await begun();
      const node = loom.nodes.find(({ id }) => id === loom.runs[0]!.fromNodeId)!;
      expect((await edit(loom, [{ do: 'extendEnd', byMm: 250, node }])).status).toBe(200);
      const grown = (await server.plan('0146')).findings[0]!;
      expect(grown.splices.map(({ centreMm }) => centreMm)).toEqual(
        finding.splices.map(({ centreMm }) => centreMm + 250),
      );
      expect(grown.splices.map(({ joint }) => joint)).toEqual(finding.splices.map(({ joint }) => joint));
      expect(grown.splices.every(({ pinned }) => pinned)).toBe(true);
      expect(grown.splices[0]!.steps.map(({ id }) => id)).toContain(step.stepId);
      const { ticks } = await server.job('0146');
      expect(ticks.filter(({ done }) => done).map(({ stepId }) => stepId)).toEqual([step.stepId]);
    });
    it('a branch hung on farther off, a length and a name may change', async () => {
      const { loom } = await begun();
      const run = loom.runs.find(({ id }) => id === 'R1')!;
      const far = loom.runs.filter(({ fromNodeId, toNodeId }) => [fromNodeId, toNodeId].includes(run.toNodeId));
      expect(far.length).toBeGreaterThan(0);
      const answer = await edit(loom, [
        { do: 'changeRun', runId: 'R1', change: { name: 'Long run' } },
        { do: 'setLength', runId: 'R1', lengthMm: run.lengthMm + 40 },
        {
          do: 'addRun',
          run: {
            ...run,
            id: 'R90',
            name: 'Beyond',
            fromNodeId: run.toNodeId,
            toNodeId: 'X90',
            lengthMm: 1,
            atLeast: true,
            features: [],
          },
          node: { id: 'X90', kind: 'connector', name: 'X90' },
        },
      ]);
      expect(answer.body).toEqual({ harnessVersion: loom.version + 1 });
      expect((await named(/W5/)).runs.find(({ id }) => id === 'R90')).toMatchObject({ atLeast: true });
    });
    it('their wire, and what their place is like, stay', async () => {
      const { loom, finding } = await begun();
      const run = loom.runs.find(({ id }) => id === finding.runId)!;
      const circuit = loom.circuits.find(({ id }) => id === finding.circuitId)!;
      const thicker = { ...circuit, wire: { ...circuit.wire, size: { basis: 'metric', areaMm2: 6 } } };
      for (const one of [
        { do: 'changeRun', runId: run.id, change: { zone: { ...run.zone, vibration: 'none', moisture: 'dry' } } },
        {
          do: 'changeRun',
          runId: run.id,
          change: { features: [{ kind: 'clip', name: 'K9', fromMm: 100, toMm: 100 }] },
        },
        { do: 'setCircuit', circuit: thicker },
      ])
        expect((await edit(loom, [one])).body, one.do).toMatchObject({ error: { code: 'HAS_WORK' } });
    });
  });
});

describe('a harness is described anew', () => {
  const zone = { area: 'body', vibration: 'low', moisture: 'dry', fuelVapour: false };
  const harness = {
    name: 'Door loom',
    nodes: [
      { id: 'X1', kind: 'connector', name: 'X1' },
      { id: 'X2', kind: 'connector', name: 'X2' },
    ],
    runs: [{ id: 'R1', name: 'Run', fromNodeId: 'X1', toNodeId: 'X2', lengthMm: 700, zone }],
    circuits: [],
  };
  it('on a machine that is there already, which is not stored twice', async () => {
    const machine = { name: 'Dunmarra 70', kind: 'beach-cleaning tractor', systemVoltageV: 12 };
    await server
      .write('post', '/harnesses', { machine, harness: { ...harness, runs: [{ ...harness.runs[0], toNodeId: 'X9' }] } })
      .expect(422);
    const answer = await server.write('post', '/harnesses', { machine, harness });
    expect(answer.status).toBe(201);
    const all = await harnesses();
    expect(new Set(all.filter((one) => one.machine === 'Dunmarra 70').map((one) => one.machineId)).size).toBe(1);
    expect(all.find((one) => one.name === 'Door loom')).toMatchObject({ version: 1, machine: 'Dunmarra 70' });
  });
});
