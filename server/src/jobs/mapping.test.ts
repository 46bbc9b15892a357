import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { joinsByCavity, type MappingCard, type PigtailWire } from '@mendum/core/mapping';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const wires = (areaMm2: number): PigtailWire[] =>
  ['1', '2', '3', '4', '5', '6'].map((cavity) => ({
    cavity,
    colour: { base: 'white' },
    size: { basis: 'metric', areaMm2 },
  }));

describe('the mapping card of a pigtail', () => {
  const put = async (card: Partial<MappingCard>, pigtail = wires(4)) => {
    const { version, job } = await server.job('0147');
    const node = job.harness.nodes.find((one) => one.id === 'X32')!;
    return server.write('put', `${await server.at('0147')}/mappings/X32`, {
      version,
      card: { nodeId: 'X32', pigtail, joins: joinsByCavity(node, job.harness.circuits, pigtail), ...card },
    });
  };
  it('is kept with the job, in its file too, and proved by readings behind the gate', async () => {
    expect((await put({})).status).toBe(200);
    const read = async (soundsAt: string | null) =>
      server.write('post', `${await server.at('0147')}/mappings/X32/readings`, {
        cavity: '1',
        soundsAt,
        neighbourSounds: false,
      });
    expect((await read('1')).body).toMatchObject({ error: { code: 'GATE_CLOSED' } });
    await makeSafe(server, '0147');
    expect((await read('2')).status).toBe(201);
    expect((await server.job('0147')).job.mappings?.[0]?.readings).toMatchObject([
      { cavity: '1', soundsAt: '2', by: 'Ines Valdur' },
    ]);
    const file = (await server.http.get(`/api${await server.at('0147')}/file`)).text;
    const again = await server.write('post', '/jobs/import', { text: file });
    expect(again.status).toBe(201);
    expect(JSON.parse(file)).toMatchObject({ job: { mappings: [{ nodeId: 'X32' }] } });
  });
  it('other joints need other readings', async () => {
    await makeSafe(server, '0147');
    await put({});
    await server
      .write('post', `${await server.at('0147')}/mappings/X32/readings`, {
        cavity: '1',
        soundsAt: '1',
        neighbourSounds: false,
      })
      .expect(201);
    await put({}, wires(6));
    expect((await server.job('0147')).job.mappings?.[0]?.readings).toEqual([]);
  });
  it.each([
    ['a swap', { joins: [{ circuitId: 'C1', pigtailCavity: '2' }] }, 4, /Circuit 1 belongs in cavity 1/],
    ['a smaller wire', {}, 1, /smaller than the 2.5 mm² of circuit 1/],
    [
      'a double use',
      {
        joins: [
          { circuitId: 'C1', pigtailCavity: '1' },
          { circuitId: 'C1', pigtailCavity: '1' },
        ],
      },
      4,
      /joined to two/,
    ],
  ] as const)('%s is refused', async (_name, card, area, message) => {
    expect((await put(card, wires(area))).body).toMatchObject({
      error: { code: 'MAPPING_REFUSED', message: expect.stringMatching(message) as string },
    });
  });
  it('what is not complete yet is kept, and cannot be proved', async () => {
    await makeSafe(server, '0147');
    expect((await put({}, wires(4).slice(0, 2))).status).toBe(200);
    expect(
      (
        await server.write('post', `${await server.at('0147')}/mappings/X32/readings`, {
          cavity: '1',
          soundsAt: '1',
          neighbourSounds: false,
        })
      ).body,
    ).toMatchObject({
      error: { code: 'MAPPING_REFUSED', message: expect.stringContaining('has no pigtail wire') as string },
    });
  });
});
