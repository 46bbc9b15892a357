import { describe, expect, it, test } from 'vitest';
import { BENCH_SOLDER, CRIMP_FIRST } from '../practice/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, shelfWithout, WET_SHAKING, wire } from '../test/samples.ts';

const keys = (plan: ReturnType<typeof onlyFinding>, index = 0): string[] =>
  plan.splices[index]?.steps.map((step) => step.key) ?? [];
const stepOf = (plan: ReturnType<typeof onlyFinding>, key: string, index = 0) =>
  plan.splices[index]?.steps.find((step) => step.key === key);

describe('steps', () => {
  const clip = onlyFinding(
    { kind: 'parted', slackMm: 30 },
    { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') },
  );
  const butt = onlyFinding({ kind: 'parted', slackMm: 30 }, { zone: WET_SHAKING });
  const insert = onlyFinding({ kind: 'parted', slackMm: 0 }, { zone: WET_SHAKING });
  const solder = onlyFinding(
    { kind: 'parted', slackMm: 40 },
    { practice: BENCH_SOLDER, circuits: [{ wire: wire(1.5) }] },
  );

  it('a sealed butt: cut, strip, crimp both ends, tug, shrink', () =>
    expect(keys(butt)).toEqual(['cutLeft', 'cutRight', 'strip', 'crimpLeft', 'crimpRight', 'tug', 'shrink']));
  it('the sleeve is slid on before the joint, and it says why', () => {
    expect(keys(clip).indexOf('sleeve')).toBeLessThan(keys(clip).indexOf('strip'));
    expect(stepOf(clip, 'sleeve')).toMatchObject({
      figure: { value: 40 },
      mistake: expect.stringContaining('classic redo'),
    });
  });
  it('the insert is cut once, with its first splice', () => {
    expect(keys(insert)).toContain('cutInsert');
    expect(keys(insert, 1)).not.toContain('cutInsert');
    expect(keys(insert, 1)[0]).toBe('cutRight');
  });
  it('solder: flux the bare ends, wrap, solder, and a sleeve parked 100 away; nothing is tinned', () => {
    expect(keys(solder)).toEqual(['cutLeft', 'cutRight', 'sleeve', 'strip', 'flux', 'wrap', 'solder', 'tug', 'shrink']);
    expect(stepOf(solder, 'sleeve')?.detail).toContain('100 mm from the work');
    expect(stepOf(solder, 'strip')?.figure?.value).toBe(15);
    expect(stepOf(solder, 'solder')?.figure).toMatchObject({ value: 70, unit: 'W iron' });
  });
  it('two sizes in a barrel, one of them doubled: two strips of their own', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 40, farWire: wire(0.6, { conductor: { kind: 'solid' } }) },
      { circuits: [{ wire: wire(1.5) }] },
    );
    expect(plan.chosen).toBe('sealedButt');
    expect([stepOf(plan, 'stripLeft')?.figure?.value, stepOf(plan, 'stripRight')?.figure?.value]).toEqual([7, 14]);
  });
  it('a step belongs to one make of one splice by one method', () => {
    const job = jobWith([{ kind: 'parted', slackMm: 60 }], { zone: WET_SHAKING });
    const first = planOf(job).findings[0]!.splices[0]!.steps.map((step) => step.id);
    const redo = {
      id: 'R',
      findingId: 'F1',
      lostFromMm: 491,
      lostToMm: 521,
      because: 'let go',
      by: 'Ines',
      at: '2030-01-01T10:00:00Z',
    };
    const second = planOf({ ...job, redos: [redo] }).findings[0]!.splices[0]!.steps.map((step) => step.id);
    expect(first.filter((id) => second.includes(id))).toEqual([]);
    expect(new Set(first).size).toBe(first.length);
  });
  it('every step says what to do and which mistake to avoid', () => {
    for (const plan of [butt, clip, insert, solder])
      for (const step of plan.splices.flatMap((splice) => splice.steps)) {
        expect(step.title.length * step.detail.length * step.mistake.length, step.id).toBeGreaterThan(0);
      }
  });
});

describe('covering', () => {
  test.each([
    [{ freedEndMm: 4 }, ['look', 'free', 'sleeve', 'shrink', 'refit']],
    [{}, ['look', 'tape']],
  ])('with %o: %o', (more, steps) => {
    const plan = onlyFinding({ kind: 'jacketRubbed', toMm: 520, ...more }, { zone: DRY_CABIN, practice: CRIMP_FIRST });
    expect(plan.cover?.steps.map((step) => step.key)).toEqual(steps);
  });
});

describe('no figure of its own in a step', () => {
  const figures = { ...CRIMP_FIRST.figures, untwistedAtMostMm: 25, overlapMm: 15 };
  const practice = { ...CRIMP_FIRST, figures };
  it('25 in the practice is 25 in the step', () => {
    const pair = planOf(
      jobWith([{ kind: 'parted' }], {
        circuits: [{ kind: 'data', wire: wire(0.5), pairWith: 'C2' }, { wire: wire(0.5) }],
      }),
      { practice },
    ).findings[0]!;
    const twist = pair.splices[0]!.steps.find((step) => step.key === 'twist')!;
    expect(twist.figure?.value).toBe(25);
    expect(`${twist.title} ${twist.detail}`).toContain('at most 25 mm');
    expect(JSON.stringify(pair)).not.toContain('at most 50 mm');
  });
  it('so is the overlap of a cover', () => {
    const cover = onlyFinding({ kind: 'jacketRubbed', toMm: 520, freedEndMm: 4 }, { practice }).cover!;
    expect(cover.steps.map((step) => `${step.detail} ${step.mistake}`).join(' ')).toContain('15 mm over sound jacket');
    expect(cover.covers).toEqual({ fromMm: 485, toMm: 535 });
  });
});
