import { describe, expect, it, test } from 'vitest';
import type { Redo } from '../approach/index.ts';
import { functionInWords, type FunctionSeen, type Reading } from '../prove/index.ts';
import { jobWith, planOf } from '../test/samples.ts';
import { buildRecords, functionsOf, jobSheet, notWatched } from './index.ts';

const alone = jobWith([{ kind: 'parted', slackMm: 30 }], {});
const [first] = alone.harness.circuits;
const job: typeof alone = {
  ...alone,
  harness: {
    ...alone.harness,
    circuits: [first!, { ...first!, id: 'OTHER', number: '2', function: 'fan' }],
  },
};
const plan = planOf(job);
const mended = plan.findings[0]!.circuitId;
const other = job.harness.circuits.find(({ id }) => id !== mended)!;
const seen = (
  circuitId: string,
  moment: FunctionSeen['moment'],
  answer: FunctionSeen['answer'],
  value?: string,
): FunctionSeen => ({ circuitId, moment, answer, ...(value === undefined ? {} : { value }), by: 'Ines', at: '2030' });

/** The same job with a card for the connector at which the other circuit begins. */
const opened = {
  ...job,
  mappings: [{ nodeId: other.from.nodeId, pigtail: { wires: [] }, joins: [], readings: [] }],
} as unknown as typeof job;

describe('functions are switched and watched before and after', () => {
  it('of each circuit that is mended, and of no other', () =>
    expect(functionsOf(job, plan, [], []).map(({ circuit }) => circuit.id)).toEqual([mended]));
  it('and of each connector that is opened, which is named', () => {
    const lines = functionsOf(opened, plan, [], []);
    expect(lines.map(({ circuit }) => circuit.id)).toContain(other.id);
    expect(lines.find(({ circuit }) => circuit.id === other.id)?.opened).toBe(
      job.harness.nodes.find(({ id }) => id === other.from.nodeId)!.name,
    );
    expect(lines[0]).not.toHaveProperty('opened');
  });
  it('what was said last of a moment counts, and before is not after', () => {
    const [line] = functionsOf(
      job,
      plan,
      [seen(mended, 'before', 'works'), seen(mended, 'before', 'fails', '0 V'), seen(other.id, 'after', 'works')],
      [],
    );
    expect(line?.before).toMatchObject({ answer: 'fails', value: '0 V' });
    expect(line?.after).toBeUndefined();
  });
  describe('the look at a cavity speaks for its whole connector', () => {
    const [lost] = job.findings;
    const at = { nodeId: first!.to.nodeId, cavity: first!.to.cavity };
    const atCavity = { ...job, findings: [{ ...lost!, kind: 'terminalDamaged', at }] } as unknown as typeof job;
    const planned = planOf(atCavity);
    const spliceId = planned.findings[0]?.cavity?.id ?? '';
    const look = (answer: string, hour: string): Reading => ({
      id: hour,
      spliceId,
      make: 1,
      checkId: 'cavity.function',
      value: { kind: 'look', answer },
      by: 'Ines',
      at: `2030-01-01T${hour}`,
    });
    const afterOf = (readings: readonly Reading[], said: readonly FunctionSeen[] = []) =>
      functionsOf(atCavity, planned, said, readings).map(({ after }) => after && functionInWords(after));
    test.each<[string, readonly Reading[], readonly FunctionSeen[], (string | undefined)[]]>([
      ['nobody has looked', [], [], [undefined, undefined]],
      ['all of them work', [look('good', '10')], [], Array<string>(2).fill('works, watched in one go')],
      ['two wires are crossed', [look('good', '09'), look('wrong', '10')], [], [undefined, undefined]],
      [
        'one is watched alone afterwards',
        [look('good', '10')],
        [{ ...seen(mended, 'after', 'works', '12.4 V'), at: '2030-01-01T11' }],
        ['works, 12.4 V', 'works, watched in one go'],
      ],
      [
        'one was seen not to work before that look',
        [look('good', '10')],
        [{ ...seen(mended, 'after', 'fails'), at: '2030-01-01T09' }],
        Array<string>(2).fill('works, watched in one go'),
      ],
    ])('%s', (_, readings, said, words) => expect(afterOf(readings, said)).toEqual(words));
  });
  describe('what was watched before it was made again says nothing of how it is now', () => {
    const redo = (findingId: string, hour: string): Redo => ({
      id: hour,
      findingId,
      lostFromMm: 0,
      lostToMm: 0,
      because: 'let go under the tug',
      by: 'Ines',
      at: `2030-01-01T${hour}`,
    });
    const at = (hour: string, moment: FunctionSeen['moment'] = 'after') => ({
      ...seen(mended, moment, 'works'),
      at: `2030-01-01T${hour}`,
    });
    const of = (hour: string, findingId = job.findings[0]!.id, said = [at('09', 'before'), at('10')]) =>
      functionsOf({ ...job, redos: [redo(findingId, hour)] }, plan, said, [])[0];
    it('made again at 11, watched at 10: to be watched once more; what it did before stays', () =>
      expect(of('11')).toMatchObject({ before: { answer: 'works' }, after: undefined }));
    it('made again at 9, watched at 10: it counts', () => expect(of('09')?.after).toMatchObject({ answer: 'works' }));
    it('another finding made again is none of its business', () => expect(of('11', 'F9')?.after).toBeDefined());
    it('at a connector, all that end there are watched again', () => {
      const [lost] = job.findings;
      const cavity = { nodeId: other.to.nodeId, cavity: first!.to.cavity };
      const whole = {
        ...job,
        findings: [{ ...lost!, kind: 'terminalDamaged', at: cavity }],
        redos: [redo(lost!.id, '11')],
      } as unknown as typeof job;
      const said = [{ ...seen(other.id, 'after', 'works'), at: '2030-01-01T10' }];
      const line = functionsOf(whole, planOf(whole), said, []).find(({ circuit }) => circuit.id === other.id);
      expect(line).toMatchObject({ after: undefined });
    });
  });
  it('counts those of which nobody has said what they do since', () => {
    expect(notWatched(functionsOf(opened, plan, [], []))).toBe(functionsOf(opened, plan, [], []).length);
    expect(notWatched(functionsOf(job, plan, [seen(mended, 'after', 'notTried', 'machine is not here')], []))).toBe(0);
  });
  it('stands on the sheet with its value, and one that does not work stands out', () => {
    const { functions } = jobSheet(job, plan, [], [], undefined, [
      seen(mended, 'before', 'works', '11.2 V'),
      seen(mended, 'after', 'fails'),
    ]);
    expect(functions).toMatchObject([{ before: 'works, 11.2 V', after: 'does not work', fails: true }]);
    expect(jobSheet(job, plan, []).functions).toMatchObject([
      { before: 'not watched', after: 'not watched', fails: false },
    ]);
  });
  it('stands in the record of its circuit', () => {
    const readings = plan.findings[0]!.splices.flatMap(({ id, checks }) =>
      checks.flatMap((check) => {
        const value =
          check.kind === 'look'
            ? ({ kind: 'look', answer: 'good' } as const)
            : check.kind === 'tug'
              ? ({ kind: 'tug', newtons: check.targetN, held: true } as const)
              : check.kind === 'unmeasured'
                ? ({ kind: 'unmeasured', because: 'no meter' } as const)
                : undefined;
        return value ? [{ id: check.id, spliceId: id, make: 1, checkId: check.id, value, by: 'Ines', at: '2030' }] : [];
      }),
    );
    const signed = { by: 'Ines', at: '2030-01-01T12:00:00Z', note: '' };
    const [record] = buildRecords(job, plan, readings, signed, undefined, [seen(mended, 'after', 'works', '82 °C')]);
    expect(record?.functionSeen).toBe('works, 82 °C (before: not watched)');
  });
});
