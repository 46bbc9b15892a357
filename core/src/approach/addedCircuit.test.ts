import { describe, expect, it, test } from 'vitest';
import { endOfCircuit, findingInWords, type Finding } from '../damage/index.ts';
import { checkJob } from '../job/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';
import { at } from './test/atCavity.ts';

describe('a circuit to be added', () => {
  it('at a free cavity: a terminated lead goes in and the plug comes out', () => {
    const job = jobWith([{ kind: 'addCircuit', branchWires: [wire(0.75)], freeCavity: { nodeId: 'X1', cavity: '9' } }]);
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X1' ? { ...one, fittings: { 9: { terminal: '1.5' as const, seal: 'plug' as const } } } : one,
    );
    expect(planOf({ ...job, harness: { ...job.harness, nodes } }).findings[0]).toMatchObject({
      approach: 'fillCavity',
      splices: [],
      headline: 'Into the free cavity: 1.5 mm terminal + wire seal 1.6–2.2',
    });
  });
  test.each([
    [{ mainUncut: true }, 'windowClipWrap'],
    [{ mainUncut: true, freedEndMm: 4 }, 'windowClipSleeve'],
    [{}, 'clipSleeve'],
  ])('%o: %s', (more, chosen) => {
    const [plan] = planOf(
      jobWith([{ kind: 'addCircuit', branchWires: [wire(0.5)], slackMm: 30, ...more }], {
        circuits: [{ wire: wire(1) }],
      }),
    ).findings;
    expect(plan).toMatchObject({ approach: 'oneSplice', chosen });
  });
});

describe('where a cavity finding lies', () => {
  const { harness } = jobWith([]);
  it('is the end of the run at its connector', () => {
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X1')).toEqual({
      runId: 'R1',
      cavity: '1',
      fromMm: 0,
      toMm: 1,
    });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X2')).toEqual({
      runId: 'R1',
      cavity: '1',
      fromMm: 999,
      toMm: 1000,
    });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X9')).toBeUndefined();
  });
  test.each<[string, Finding[], string, RegExp]>([
    [
      'a cavity that is another circuit’s',
      [at('sealLost', { at: { nodeId: 'X2', cavity: '7' } })],
      'NOT_ITS_CAVITY',
      /Circuit 1 is not in cavity 7 of X2/,
    ],
    [
      'the same thing twice',
      [at('sealLost'), { ...at('sealLost'), id: 'F2' }],
      'FOUND_TWICE',
      /is noted for cavity 1 already/,
    ],
    [
      'a sort of another kind',
      [at('sealLost', { sort: 'burnt' })],
      'NO_SUCH_SORT',
      /"burnt" is not a sort of seal or plug lost/,
    ],
  ])('%s is refused', (_name, findings, code, message) =>
    expect(checkJob({ ...jobWith([]), findings })).toMatchObject([
      { code, message: expect.stringMatching(message) as string },
    ]),
  );
  it('two kinds at one cavity stand beside each other, and beside a break further along', () => {
    expect(
      checkJob({
        ...jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]),
        findings: [
          at('sealLost'),
          { ...at('terminalDamaged'), id: 'F2' },
          jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]).findings[0]!,
        ].map((finding, index) => ({ ...finding, id: `F${index}` })),
      }),
    ).toEqual([]);
  });
  it('is said in words with its sort', () => {
    expect([findingInWords(at('terminalDamaged', { sort: 'burnt' })), findingInWords(at('tooShort'))]).toEqual([
      'terminal damaged: burnt',
      'lead too short, by 40 mm',
    ]);
  });
});
