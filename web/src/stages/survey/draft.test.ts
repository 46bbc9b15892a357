import { describe, expect, it, test } from 'vitest';
import { circuitOf, findingOf, viewOf } from '../../test/job.tsx';
import { numberOf } from '../../ui/typed.ts';
import { draftOf, findingsOf, newDraft, type FindingDraft } from './draft.ts';
import { runsOf } from './picked.ts';

const { job } = viewOf([]);
const draft = (more: Partial<FindingDraft> = {}): FindingDraft => ({ ...newDraft(['C1'], 'R1', 500, 512), ...more });
const wrongOf = (one: FindingDraft): Readonly<Record<string, string>> => {
  const result = findingsOf(one, job);
  return result.ok ? {} : result.wrong;
};

describe('a finding as it is typed', () => {
  it('becomes a finding with numbers', () =>
    expect(findingsOf(draft({ slackMm: '30', cutBackLeftMm: '2,5', noted: { note: ' bright ' } }), job)).toMatchObject({
      ok: true,
      findings: [{ circuitId: 'C1', fromMm: 500, toMm: 512, cutBackLeftMm: 2.5, slackMm: 30, note: 'bright' }],
    }));
  it('a cut-back that is left empty is none', () =>
    expect(findingsOf(draft({ cutBackLeftMm: '' }), job)).toMatchObject({
      ok: true,
      findings: [{ cutBackLeftMm: 0 }],
    }));
  it('slack that was not measured stays unknown', () => {
    const result = findingsOf(draft(), job);
    expect(result.ok && 'slackMm' in result.findings[0]!).toBe(false);
  });
  it('across several circuits becomes one for each, with ids of their own', () => {
    const result = findingsOf(draft({ circuitIds: ['C1', 'C2'] }), job);
    expect(result.ok && new Set(result.findings.map((finding) => finding.id)).size).toBe(2);
  });
  it('read back from a finding is the same finding', () => {
    const finding = findingOf('F9', {
      kind: 'strandsLost',
      strandsLost: 3,
      strandsTotal: 19,
      freedEndMm: 4,
      temporaryUntil: '2030-05-01',
    });
    expect(findingsOf(draftOf(finding), job)).toEqual({ ok: true, findings: [finding] });
  });
  test.each([
    ['no length', { toMm: '' }, 'toMm', 'Enter a number up to 1,000,000 mm.'],
    ['words for a length', { fromMm: 'half way' }, 'fromMm', 'Enter a number up to'],
    ['an end before its start', { toMm: '400' }, 'toMm', '-100 mm must be above 0'],
    ['beyond the run', { toMm: '1200' }, 'toMm', 'outside Main run, which is 1000 mm long'],
    ['no circuit', { circuitIds: [] }, 'circuitId', 'Pick the circuit'],
    ['slack below nought', { slackMm: '-3' }, 'slackMm', 'from 0 to 1,000,000 mm, or leave it empty'],
    ['a cut-back below nought', { cutBackLeftMm: '-3' }, 'cutBackLeftMm', 'Enter a number from 0 to'],
    [
      'half a strand',
      { kind: 'strandsLost', own: { strandsLost: '1.5', strandsTotal: '19' } },
      'strandsLost',
      'whole number',
    ],
    [
      'more strands than there are',
      { kind: 'strandsLost', own: { strandsLost: '20', strandsTotal: '19' } },
      'strandsLost',
      '20 of 19',
    ],
    ['an added circuit without its wire', { kind: 'addCircuit' }, 'branchWires', 'which wire'],
  ] as const)('refused: %s', (_why, more, field, words) =>
    expect(wrongOf(draft(more as Partial<FindingDraft>))[field]).toContain(words),
  );
  it('at a connector it lies at each circuit’s own cavity, and reads back the same', () => {
    const result = findingsOf(
      draft({ circuitIds: ['C1', 'C2'], kind: 'housingMelted', atNodeId: 'X2', fromMm: '', toMm: '' }),
      job,
    );
    expect(result).toMatchObject({
      ok: true,
      findings: [
        { kind: 'housingMelted', at: { nodeId: 'X2', cavity: '1' }, fromMm: 999, toMm: 1000 },
        { at: { nodeId: 'X2', cavity: '2' } },
      ],
    });
    const short = findingOf('F9', {
      kind: 'tooShort',
      at: { nodeId: 'X1', cavity: '1' },
      shortByMm: 45,
      fromMm: 0,
      toMm: 1,
      sort: undefined,
    } as never);
    const again = findingsOf(draftOf(short), job);
    expect(again.ok && again.findings[0]).toMatchObject({
      kind: 'tooShort',
      shortByMm: 45,
      at: { nodeId: 'X1', cavity: '1' },
    });
  });
  it('keeps a sort that its kind has, and drops one that it has not', () => {
    const sorted = (kind: FindingDraft['kind']) => {
      const result = findingsOf(draft({ kind, sort: 'clampTap' }), job);
      return result.ok && result.findings[0]?.sort;
    };
    expect([sorted('poorRepair'), sorted('parted')]).toEqual(['clampTap', undefined]);
  });
  test.each([
    [{ kind: 'sealLost' }, 'at', 'Say at which connector'],
    [{ kind: 'tooShort', atNodeId: 'X1' }, 'shortByMm', 'above 0 mm'],
  ] as const)('at a connector, refused: %o', (more, field, words) =>
    expect(wrongOf(draft(more))[field]).toContain(words),
  );
  it('over another finding on the same wire is refused, over one on another wire is not', () => {
    const taken = { ...job, findings: [findingOf('F1')] };
    expect(findingsOf(draft(), taken)).toMatchObject({
      ok: false,
      wrong: { fromMm: expect.stringContaining('overlaps') },
    });
    expect(findingsOf(draft({ circuitIds: ['C2'] }), taken).ok).toBe(true);
  });
});

test.each([
  ['7', 7],
  ['2,5', 2.5],
  [' 3.5 ', 3.5],
  ['', Number.NaN],
  ['x', Number.NaN],
])('%j is the number %d', (text, value) => expect(numberOf(text)).toBe(value));

it('several circuits may lie on the runs that all of them go through', () => {
  const circuits = [circuitOf('1', { runIds: ['R1', 'R2'] }), circuitOf('2', { runIds: ['R1', 'R3'] })];
  expect([...runsOf(circuits, ['C1', 'C2'])]).toEqual(['R1']);
  expect([...runsOf(circuits, ['C1'])]).toEqual(['R1', 'R2']);
});
