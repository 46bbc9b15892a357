import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { quickConnectorOf, quickOf, UNNAMED_MACHINE, type QuickConnector, type QuickRepair } from '@mendum/core/quick';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const QUICK: QuickRepair = quickOf({
  wires: [{ colour: { base: 'red', stripe: 'black' }, size: { basis: 'trade', awg: 16 } }],
  damage: 'parted',
  place: 'engine',
});
const begin = (quick: object, how = 'provedDead') => server.write('post', '/jobs/quick', { quick, how });

describe('a repair begun from a wire in the hand', () => {
  it('is a job like any other: made safe by name, planned, its machine not named yet', async () => {
    const { number } = (await begin(QUICK).expect(201)).body as { number: string };
    const { job } = await server.job(number);
    expect(job).toMatchObject({
      machine: { name: UNNAMED_MACHINE, systemVoltageV: 12 },
      gate: { isolation: { how: 'provedDead', by: 'Ines Valdur' } },
      findings: [{ kind: 'parted', circuitId: 'C1', runId: 'R1' }],
    });
    const { findings, gate } = await server.plan(number);
    expect(gate.open).toBe(true);
    expect(findings.map(({ headline }) => headline)).toEqual(['Two splices and 78 mm of new wire: sealed butt, small']);
  });
  it('two that are alike are two harnesses: what was mended on one is not on the other', async () => {
    const ids = [];
    for (const how of ['provedDead', 'batteryOff']) {
      const { id } = (await begin(QUICK, how).expect(201)).body as { id: string };
      const { harnessId } = (await server.http.get(`/api/jobs/${id}`).expect(200)).body as { harnessId: string };
      ids.push(harnessId);
    }
    expect(new Set(ids).size).toBe(2);
  });
  it('is sent twice and begun once', async () => {
    const writeId = '1b4e28ba-2fa1-4d2c-883f-0016d3cca427';
    const sent = { quick: QUICK, how: 'provedDead', writeId };
    const [one, two] = [
      await server.write('post', '/jobs/quick', sent),
      await server.write('post', '/jobs/quick', sent),
    ];
    expect(two.body).toEqual(one.body);
  });
});

describe('what becomes known later', () => {
  const MACHINE = { name: 'Ovrell 420', kind: 'combine harvester', systemVoltageV: 24 };
  const named = async (number: string, more: object = {}) => {
    const at = await server.at(number);
    const { harnessId, harnessVersion } = (await server.http.get(`/api${at}`)).body as {
      harnessId: string;
      harnessVersion: number;
    };
    return server.write('put', `/harnesses/${harnessId}/name`, {
      version: harnessVersion,
      name: 'Header loom',
      machine: MACHINE,
      ...more,
    });
  };
  it('its machine: the open job is of it, called after its harness as before, and planned at its voltage', async () => {
    const { number } = (await begin(QUICK)).body as { number: string };
    expect(await named(number).then(({ body }) => body as object)).toMatchObject({ corrected: 0 });
    const { job } = await server.job(number);
    expect(job).toMatchObject({ title: 'Header loom', machine: MACHINE, harness: { name: 'Header loom' } });
    const other = (await begin(QUICK)).body as { number: string };
    expect((await server.job(other.number)).job.machine.name).toBe(UNNAMED_MACHINE);
  });
  it('after it was signed: its record says so in a new row, and the old row stays as it was', async () => {
    const signed = '0126';
    const before = (await server.job(signed)).records;
    const answer = await named(signed);
    // The other signed job on this harness is of the same machine.
    expect((answer.body as { corrected: number }).corrected).toBeGreaterThanOrEqual(before.length);
    const after = await server.job(signed);
    expect(after.job.machine).toMatchObject({ name: 'Ovrell 420', kind: 'combine harvester' });
    expect(after.records).toEqual(expect.arrayContaining([...before]));
    const rows = after.records.filter(({ replacesId }) => before.some(({ id }) => id === replacesId));
    expect(rows).toHaveLength(before.length);
    for (const { body, replacesId } of rows) {
      const was = before.find(({ id }) => id === replacesId)!.body;
      expect(body).toEqual({
        ...was,
        machine: 'Ovrell 420',
        corrections: [
          {
            by: 'Ines Valdur',
            at: expect.any(String),
            text: 'Machine named afterwards: Ovrell 420, combine harvester, 24 V.',
          },
        ],
      });
    }
    // And once more, from the same signed job.
    expect((await named(signed, { machine: { ...MACHINE, name: 'Ovrell 430' } })).status).toBe(200);
    expect((await server.job(signed)).job.machine.name).toBe('Ovrell 430');
  });
  it('is refused from an old version, and without a name', async () => {
    const { number } = (await begin(QUICK)).body as { number: string };
    expect((await named(number, { version: 7 })).body).toMatchObject({ error: { code: 'STALE' } });
    expect((await named(number, { name: ' ' })).body).toMatchObject({ error: { code: 'BAD_INPUT', field: '/name' } });
  });
});

describe('a quick repair that cannot be', () => {
  test.each<[string, object, object]>([
    ['no wire', { ...QUICK, wires: [] }, { code: 'BAD_INPUT', field: '/quick/wires' }],
    ['49 mm opened', { ...QUICK, openMm: 49 }, { code: 'BAD_INPUT', field: '/quick/openMm' }],
    ['more lost than opened', { ...QUICK, openMm: 50, lostMm: 200 }, { code: 'BAD_INPUT', field: '/quick/openMm' }],
    ['an airbag circuit', { ...QUICK, circuitKind: 'airbag' }, { code: 'BAD_INPUT', field: '/quick/circuitKind' }],
  ])('is refused with %s, and nothing is begun', async (_, quick, error) => {
    const jobs = async (): Promise<number> => ((await server.http.get('/api/jobs')).body as { total: number }).total;
    const before = await jobs();
    expect((await begin(quick).expect(422)).body).toMatchObject({ error });
    expect(await jobs()).toBe(before);
  });
});

describe('a repair begun from a connector in the hand', () => {
  const CONNECTOR: QuickConnector = quickConnectorOf({
    face: {
      describedFrom: 'wire',
      layout: { kind: 'rows', rows: 1, columns: 3 },
      numbering: { kind: 'rowWise', fromRight: true },
    },
    wires: ['1', '3'].map((cavity) => ({
      cavity,
      wire: QUICK.wires[0] as QuickConnector['wires'][number]['wire'],
    })),
    damage: 'housingMelted',
    pigtail: ['1', '3'].map((cavity) => ({
      cavity,
      colour: { base: 'black' as const },
      size: { basis: 'metric' as const, areaMm2: 2.5 },
    })),
    place: 'cabin',
  });
  const sent = (connector: object) => server.write('post', '/jobs/connector', { connector, how: 'batteryOff' });
  it('is mapped already, and its face is kept as it was tapped', async () => {
    const { number } = (await sent(CONNECTOR).expect(201)).body as { number: string };
    const { job } = await server.job(number);
    expect(job.harness.nodes[0]?.face).toEqual(CONNECTOR.face);
    expect(job.mappings?.[0]?.joins).toHaveLength(2);
    const { findings } = await server.plan(number);
    expect(findings.map(({ approach }) => approach)).toEqual(['pigtail', 'pigtail']);
  });
  it('a wire beside its face is refused by name', async () => {
    const { error } = (await sent({ ...CONNECTOR, pigtail: [{ ...CONNECTOR.pigtail[0], cavity: '4' }] }).expect(422))
      .body as { error: { field: string; message: string } };
    expect(error).toMatchObject({
      field: '/connector/pigtail',
      message: expect.stringContaining('cavity 4') as string,
    });
  });
});
