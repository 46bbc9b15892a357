import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, wire } from '../test/samples.ts';
import { JobFileRefused, readJobFile, writeJobFile } from './index.ts';

const job = jobWith(
  [
    { kind: 'parted', slackMm: 30 },
    { kind: 'strandsLost', fromMm: 700, toMm: 706, strandsLost: 3, strandsTotal: 19 },
  ],
  { circuits: [{ wire: wire(4) }] },
);
const file = () => JSON.parse(JSON.stringify(writeJobFile(job, CRIMP_FIRST, FULL_SHELF))) as Record<string, never>;
const problems = (text: string) => {
  try {
    readJobFile(text);
  } catch (error) {
    if (error instanceof JobFileRefused) return error.problems;
    throw error;
  }
  return [];
};
/** The file with one field set to another value, by JSON pointer. */
function changed(pointer: string, value: unknown): string {
  const whole = file();
  const path = pointer.split('/').slice(1);
  let at: Record<string, never> = whole;
  for (const part of path.slice(0, -1)) at = at[part] as unknown as Record<string, never>;
  const last = path.at(-1)!;
  Object.assign(at, { [last]: value });
  return JSON.stringify(whole);
}

describe('a job file', () => {
  it('read back is the same job, practice and shelf', () => {
    const read = readJobFile(JSON.stringify(writeJobFile(job, BENCH_SOLDER, FULL_SHELF)));
    expect(read.job).toEqual(JSON.parse(JSON.stringify(job)));
    expect([read.practice, read.catalogue]).toEqual([BENCH_SOLDER, FULL_SHELF]);
  });
  it('with a shelf of its own keeps it', () => {
    const own = { ...FULL_SHELF, id: 'own', parts: FULL_SHELF.parts.slice(0, 3) };
    expect(readJobFile(JSON.stringify(writeJobFile(job, CRIMP_FIRST, own))).catalogue).toEqual(
      JSON.parse(JSON.stringify(own)),
    );
  });
  it('may take things off the full shelf by id', () => {
    const read = readJobFile(changed('/shelf', { without: ['sealedButt-middle', 'tool-clip', 'reel-2.5-red'] }));
    expect(read.catalogue.parts.find((part) => part.id === 'sealedButt-middle')?.quantity).toBe(0);
    expect(read.catalogue.tools.some((tool) => tool.id === 'tool-clip')).toBe(false);
    expect(read.catalogue.wires.some((stock) => stock.id === 'reel-2.5-red')).toBe(false);
  });
  it('fills in what is usual: crimp first, full shelf, stranded thin-wall wire, no cut-back', () => {
    const bare = {
      format: 'mendum-job',
      version: 1,
      job: {
        number: '9',
        title: 'bare',
        machine: { name: 'M', systemVoltageV: 12 },
        harness: {
          name: 'H',
          nodes: [
            { id: 'A', kind: 'end', name: 'A' },
            { id: 'B', kind: 'end', name: 'B' },
          ],
          runs: [
            {
              id: 'R',
              name: 'R',
              fromNodeId: 'A',
              toNodeId: 'B',
              lengthMm: 500,
              zone: { area: 'cabin', vibration: 'none', moisture: 'dry' },
            },
          ],
          circuits: [
            {
              id: 'C',
              number: '1',
              function: 'F',
              kind: 'power',
              wire: { size: { basis: 'metric', areaMm2: 1 } },
              from: { nodeId: 'A', cavity: '1' },
              to: { nodeId: 'B', cavity: '1' },
              runIds: ['R'],
            },
          ],
        },
        findings: [{ id: 'F', circuitId: 'C', runId: 'R', kind: 'parted', fromMm: 100, toMm: 105 }],
      },
    };
    const read = readJobFile(JSON.stringify(bare));
    expect(read).toMatchObject({ practice: { id: 'crimpFirst' }, catalogue: { id: 'full' } });
    expect(read.job).toMatchObject({ id: '9', findings: [{ cutBackLeftMm: 0, cutBackRightMm: 0 }], gate: {} });
    expect(read.job.harness.circuits[0]?.wire).toMatchObject({
      conductor: { kind: 'stranded' },
      jacket: { material: 'xlpe', wall: 'thin' },
    });
  });
});

describe('one bad line refuses the whole file and is named', () => {
  test.each([
    ['no format', '/format', undefined, '/format', 'format'],
    ['another version', '/version', 2, '/version', '2'],
    ['an unknown practice', '/practice', 'twist and tape', '/practice', 'twist and tape'],
    ['an unknown part off the shelf', '/shelf', { without: ['golden butt'] }, '/shelf/without/0', 'golden butt'],
    ['a length that is text', '/job/findings/0/fromMm', '500', '/job/findings/0/fromMm', '"500"'],
    ['a kind of damage that is not known', '/job/findings/0/kind', 'chewed', '/job/findings/0/kind', 'chewed'],
    [
      'strands without their count',
      '/job/findings/1/strandsTotal',
      undefined,
      '/job/findings/1/strandsTotal',
      'required',
    ],
    ['strands on a parted wire', '/job/findings/0/strandsLost', 3, '/job/findings/0/strandsLost', 'not allowed'],
    [
      'a gauge that does not exist',
      '/job/harness/circuits/0/wire/size',
      { basis: 'awg', awg: 41 },
      '/job/harness/circuits/0/wire/size/awg',
      '41',
    ],
    [
      'a trade label that does not exist',
      '/job/harness/circuits/0/wire/size',
      { basis: 'trade', awg: 13 },
      '/job/harness/circuits/0/wire/size/awg',
      '13',
    ],
    [
      'a size basis that is not known',
      '/job/harness/circuits/0/wire/size',
      { basis: 'furlong', areaMm2: 1 },
      '/job/harness/circuits/0/wire/size/basis',
      'furlong',
    ],
    [
      'an area of nought',
      '/job/harness/circuits/0/wire/size/areaMm2',
      0,
      '/job/harness/circuits/0/wire/size/areaMm2',
      '0',
    ],
    [
      'a field that does not belong',
      '/job/harness/circuits/0/colour',
      'red',
      '/job/harness/circuits/0/colour',
      'colour',
    ],
    ['a run of no length', '/job/harness/runs/0/lengthMm', 0, '/job/harness/runs/0/lengthMm', '0'],
    ['a finding outside its run', '/job/findings/0/toMm', 2000, '/job/findings/0/toMm', '1000 mm long'],
  ])('%s', (_why, pointer, value, badPointer, words) => {
    const [first] = problems(changed(pointer, value));
    expect(first?.pointer).toBe(badPointer);
    expect(`${first?.message} ${first?.hint}`).toContain(words);
  });
  it('text that is not JSON says where', () =>
    expect(problems('{"format": ')[0]).toMatchObject({ code: 'NOT_JSON', pointer: '' }));
  it.each(['', '[]', 'null', '7'])('%j is no job file', (text) => expect(problems(text).length).toBeGreaterThan(0));
  it('names every bad place at once', () => {
    const whole = JSON.parse(changed('/job/findings/0/fromMm', 'x')) as { job: { title?: string } };
    delete whole.job.title;
    expect(
      problems(JSON.stringify(whole))
        .map((one) => one.pointer)
        .sort(),
    ).toEqual(['/job/findings/0/fromMm', '/job/title']);
  });
});
