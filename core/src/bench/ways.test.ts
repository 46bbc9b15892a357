import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue, type Part } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST, type Habits, type Practice } from '../practice/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import type { MethodId } from '../family/index.ts';
import type { BenchStep } from '../step/index.ts';

const only = (...kinds: Part['kind'][]): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (kinds.includes(part.kind) ? part : { ...part, quantity: 0 })),
});
const withHabits = (habits: Partial<Habits>, of: Practice = CRIMP_FIRST): Practice => ({
  ...of,
  habits: { ...of.habits, ...habits },
});
function steps(finding: Partial<Finding>, options: CaseOptions, method?: MethodId): readonly BenchStep[] {
  const plan = onlyFinding(
    { kind: 'parted', slackMm: 60, ...finding },
    { circuits: [{ wire: wire(1.5) }], ...options },
  );
  if (method) expect(plan.chosen).toBe(method);
  return plan.splices[0]?.steps ?? [];
}
const keys = (list: readonly BenchStep[]): string[] => list.map((step) => step.key);
const detail = (list: readonly BenchStep[], key: string): string => list.find((step) => step.key === key)?.detail ?? '';

describe('steps of each way of joining', () => {
  it('a step-down is made as a butt, each size in its own end', () =>
    expect(keys(steps({ farWire: wire(0.75) }, { zone: WET_SHAKING }, 'stepDown'))).toEqual([
      'cutLeft',
      'cutRight',
      'strip',
      'crimpLeft',
      'crimpRight',
      'tug',
      'shrink',
    ]));
  it('a cap: wires parallel to its bottom, tugged one by one', () => {
    const cap = steps({}, { catalogue: only('cap') }, 'cap');
    expect(keys(cap)).toEqual(['cutLeft', 'cutRight', 'strip', 'lay', 'crimp', 'tug']);
    expect(detail(cap, 'crimp')).toContain('tug every wire by itself');
  });
  it('a solder-and-seal sleeve melts and seals in one, and nothing is shrunk after it', () => {
    const sleeve = steps({}, { catalogue: only('solderSleeve') }, 'solderSleeve');
    expect(keys(sleeve)).toEqual(['cutLeft', 'cutRight', 'strip', 'wrap', 'shrink', 'tug']);
    expect(detail(sleeve, 'shrink')).toContain('the ring first');
  });
  test.each<[string, Partial<CaseOptions>, MethodId, RegExp]>([
    ['wrapped', { practice: BENCH_SOLDER }, 'wrappedSolder', /Cross at the middle/],
    [
      'interlaced above what wraps',
      { practice: BENCH_SOLDER, circuits: [{ wire: wire(4) }] },
      'interlacedSolder',
      /Fan both ends, push them into each other over 12 mm/,
    ],
  ])('solder, %s', (_why, options, method, words) => {
    const soldered = steps({}, options, method);
    expect(detail(soldered, 'wrap')).toMatch(words);
    expect(keys(soldered)).toEqual(expect.arrayContaining(['sleeve', 'flux', 'wrap', 'solder', 'shrink']));
  });
  it('a lap alone is tinned, cut level and laid over what stays', () => {
    const job = jobWith([{ kind: 'parted', slackMm: 60 }], { circuits: [{ wire: wire(1.5) }] });
    const choice = {
      findingId: 'F1',
      use: 'lapSolder' as const,
      reason: 'no room',
      by: 'Ines',
      at: '2030-01-01T08:00:00Z',
    };
    const [plan] = planOf({ ...job, choices: [choice] }, { practice: BENCH_SOLDER }).findings;
    expect(plan?.chosen).toBe('lapSolder');
    const lap = plan?.splices[0]?.steps ?? [];
    expect(keys(lap)).toEqual(expect.arrayContaining(['strip', 'tin', 'level', 'wrap', 'solder']));
    const figureOf = (key: string): number | undefined => lap.find((step) => step.key === key)?.figure?.value;
    expect(['strip', 'level', 'wrap'].map(figureOf)).toEqual([13, 10, 10]);
  });
  it('a bared window: nothing is cut, the window is bared on the whole wire, and taped where no end is free', () => {
    const window = steps({ kind: 'addCircuit', branchWires: [wire(0.5)], mainUncut: true }, {}, 'windowClipWrap');
    expect(keys(window)).toEqual(['window', 'stripRight', 'lay', 'crimp', 'tug', 'tape']);
    expect(detail(window, 'window')).toContain('ring the jacket twice');
  });
  it('a tap cuts nothing', () =>
    expect(
      keys(
        steps(
          { kind: 'addCircuit', branchWires: [wire(1.5)], temporaryUntil: '2030-02-01', slackMm: 0 },
          { catalogue: only('piercingTap') },
          'piercingTap',
        ),
      ),
    ).toEqual(['press']));
  it('many wires say how the sides are shared out, and build both sides up where no sleeve grips', () => {
    const many = steps(
      { kind: 'addCircuit', branchWires: [wire(2.5), wire(2.5)] },
      { circuits: [{ wire: wire(2.5) }] },
      'multiClipSleeve',
    );
    expect(detail(many, 'lay')).toContain('sides balanced: 2 + 2 wires, 5 against 5 mm²');
    expect(many.find((step) => step.key === 'buildUp')?.title).toBe('Build both sides up');
  });
});

describe('habits of the hand show in the steps', () => {
  const clip = { catalogue: only('clip', 'sleeve') };
  test.each<[Partial<Habits>, Partial<CaseOptions>, string, RegExp, RegExp]>([
    [{ strands: 'twist' }, clip, 'lay', /Keep the factory lay/, /Twist the strands once/],
    [{ secondCrimp: 'never' }, {}, 'crimpLeft', /A second crimp only where/, /^(?!.*second crimp)/],
    [{ batch: 'oneAtATime' }, {}, 'cutLeft', /^(?!.*This wire only)/, /This wire only/],
  ])('%o', (habit, options, key, ours, theirs) => {
    expect(detail(steps({}, options), key)).toMatch(ours);
    expect(detail(steps({}, { ...options, practice: withHabits(habit) }), key)).toMatch(theirs);
  });
  it('a crimp is soldered as well only where it is still and dry, and only by that habit', () => {
    const practice = withHabits({ solderCrimps: 'stationary' });
    expect(keys(steps({}, { ...clip, practice }))).toContain('flow');
    expect(keys(steps({}, { ...clip }))).not.toContain('flow');
    expect(keys(steps({}, { ...clip, practice, zone: { ...DRY_CABIN, vibration: 'high' } }))).not.toContain('flow');
  });
  it('a signal is measured as well where every joint is, and proved through all the same', () => {
    const checksBy = (practice: Practice): readonly string[] =>
      (
        onlyFinding({ kind: 'parted', slackMm: 60 }, { circuits: [{ wire: wire(1.5), kind: 'signal' }], practice })
          .splices[0]?.checks ?? []
      ).flatMap(({ id, required, anyOf }) => (required || anyOf ? [id] : []));
    const [usual, every] = [checksBy(CRIMP_FIRST), checksBy(withHabits({ measuring: 'every' }))];
    expect(usual).toContain('continuity');
    expect(usual).not.toContain('drop');
    expect(every).toEqual(expect.arrayContaining([...usual, 'resistance', 'drop', 'unmeasured']));
  });
  it('the alloy of the practice is the one that is used', () => {
    const joint = (alloy: string) =>
      onlyFinding(
        { kind: 'parted', slackMm: 60 },
        { circuits: [{ wire: wire(1.5) }], practice: withHabits({ alloy }, BENCH_SOLDER) },
      ).splices[0]?.joint.partId;
    expect([joint('tinLead'), joint('leadFree')]).toEqual(['solder-tinLead', 'solder-leadFree']);
  });
});
