import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { makesOf, type Plan } from '../plan/index.ts';
import type { Check, Reading, ReadingValue } from '../prove/index.ts';
import type { Job } from '../job/index.ts';
import { jobWith, planOf, wire, type CaseOptions } from '../test/samples.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { jobStanding, PAUSE_MIN, shortAcross, workedMinutes, type JobStanding } from './index.ts';

const TWO: CaseOptions = { circuits: [{}, {}] };
const CUT = { kind: 'parted' } as const;

const good = (check: Check): ReadingValue =>
  check.kind === 'look'
    ? { kind: 'look', answer: 'good' }
    : check.kind === 'tug'
      ? { kind: 'tug', newtons: check.targetN, held: true }
      : { kind: 'resistance', milliohm: 0.1 };

/** Readings of all that is made; the last make's tug as far as `tug` says. */
const read = (plan: Plan, held = true): Reading[] =>
  plan.findings.flatMap(makesOf).flatMap((made, at) =>
    made.checks.map((check): Reading => ({
      id: `${made.id} ${check.id}`,
      spliceId: made.id,
      make: made.make,
      checkId: check.id,
      value: !held && at === 0 && check.kind === 'tug' ? { kind: 'tug', newtons: 1, held: false } : good(check),
      by: 'Ines',
      at: '2030-01-01T09:00:00Z',
    })),
  );

const standing = (
  job: Job,
  options: CaseOptions = {},
  readings: readonly Reading[] = [],
  more: { readonly ownShelf?: boolean; readonly atMs?: readonly number[] } = {},
): JobStanding =>
  jobStanding({
    job,
    plan: planOf(job, options),
    readings,
    atMs: [],
    updatedAt: '2030-01-01T10:00:00Z',
    ownShelf: false,
    ...more,
  });

describe('how an open job stands', () => {
  const job = jobWith([CUT, { ...CUT, circuitId: 'C2' }], TWO);
  const plan = planOf(job, TWO);

  it('begun: all of it is planned, nothing proved, its parts are needed', () => {
    const now = standing(job, TWO);
    expect(now).toMatchObject({ proved: 0, toSign: false, doubts: [], missing: [] });
    expect(now.makes).toBe(plan.findings.flatMap(makesOf).length);
    expect(now.needs.map(({ id, need }) => [id, need])).toEqual(plan.kit.lines.map(({ id, need }) => [id, need]));
    expect(now.plannedMin).toBe(
      plan.findings.reduce(
        (all, { ways, approach }) => all + ways.find(({ way }) => way === approach)!.cost.minutes,
        0,
      ),
    );
    expect(now.plannedMin).toBeGreaterThan(0);
  });
  it('all proved: it waits for a look, and takes nothing more from the shelf', () =>
    expect(standing(job, TWO, read(plan))).toMatchObject({ toSign: true, needs: [], missing: [], doubts: [] }));
  it('one reading missing: it waits for none', () => {
    const now = standing(job, TWO, read(plan).slice(1));
    expect([now.toSign, now.proved]).toEqual([false, now.makes - 1]);
  });
  it('a splice that was pulled apart is in doubt until it is made again', () => {
    const now = standing(job, TWO, read(plan, false));
    expect(now.toSign).toBe(false);
    expect(now.doubts).toEqual([{ circuit: '1', words: 'A reading did not pass: make it again.' }]);
  });
  it('a reading of an earlier make counts for nothing', () => {
    const readings = read(plan).map((reading) => ({ ...reading, make: 0 }));
    expect(standing(job, TWO, readings).proved).toBe(0);
  });
  it('an unanswered question is in doubt, with the field that answers it', () => {
    const now = standing(jobWith([{ kind: 'cooked', slackMm: 40 }]));
    expect(now.doubts).toMatchObject([{ circuit: '1', at: { on: 'finding', findingId: 'F1', field: 'note' } }]);
  });
  it('parts that are not there are said with how many; of a shelf of its own nothing is taken from the shop’s', () => {
    const few = FULL_SHELF.parts.map((part) => ({ ...part, quantity: part.quantity === 0 ? 0 : 2 }));
    const bare: CaseOptions = { ...TWO, catalogue: { ...FULL_SHELF, parts: few } };
    const { lines } = planOf(job, bare).kit;
    const lacking = lines.filter(({ need, have }) => need > have);
    expect(lacking.length).toBeGreaterThan(0);
    expect(standing(job, bare).missing).toEqual(
      lacking.map(({ name, need, have }) => `${name}. Order ${need - have}.`),
    );
    const none = FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 }));
    const empty: CaseOptions = { ...TWO, catalogue: { ...FULL_SHELF, parts: none } };
    expect(standing(job, empty).missing).toEqual(
      expect.arrayContaining([expect.stringMatching(/^Circuit 1: /), expect.stringMatching(/^Circuit 2: /)]),
    );
    expect(standing(job, TWO, [], { ownShelf: true }).needs).toEqual([]);
  });
  it('one circuit proved, the other without parts: it waits for parts, and for no look', () => {
    // Only what the first one takes is on the shelf.
    const used = new Set(planOf(jobWith([CUT])).kit.lines.map(({ id }) => id));
    const parts = FULL_SHELF.parts.map((part) => (used.has(part.id) ? part : { ...part, quantity: 0 }));
    const thick: CaseOptions = { circuits: [{}, { wire: wire(16) }], catalogue: { ...FULL_SHELF, parts } };
    const melted = { kind: 'housingMelted', circuitId: 'C2', at: { nodeId: 'X1', cavity: '2' } } as const;
    const mixed = jobWith([CUT, melted], thick);
    const made = planOf(mixed, thick);
    const [first, second] = made.findings;
    expect([makesOf(first!).length > 0, makesOf(second!).length, second!.asks.length > 0]).toEqual([true, 0, true]);
    const now = standing(mixed, thick, read(made));
    expect(now.proved).toBe(now.makes);
    expect(now.toSign).toBe(false);
    expect(now.missing).toContainEqual(expect.stringMatching(/^Circuit 2: Order 1 × Pigtail for X1/));
    expect(now.needs.length).toBeGreaterThan(0);
  });
  it('where nobody has counted the shelf, nothing is called missing', () => {
    const uncounted: CaseOptions = { ...TWO, catalogue: { ...FULL_SHELF, uncounted: true } };
    expect(standing(job, uncounted)).toMatchObject({ uncounted: true, needs: [], missing: [] });
  });
});

const MINUTE = 60_000;
describe('minutes at it', () => {
  test.each([
    ['nothing was ticked', [], 0],
    ['one tick alone', [5], 0],
    ['two ticks, ten minutes apart', [0, 10], 10],
    ['a pause of half an hour counts', [0, PAUSE_MIN], PAUSE_MIN],
    ['one of a minute more does not', [0, PAUSE_MIN + 1], 0],
    ['before and after dinner, in any order', [75, 0, 70, 10], 15],
  ])('%s: %j gives %i', (_, minutes, worked) =>
    expect(workedMinutes(minutes.map((minute) => minute * MINUTE))).toBe(worked),
  );
  it('is never more than from the first to the last, and one time more never takes any away', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 2000 }), { minLength: 2, maxLength: 30 }), (minutes) => {
        const at = minutes.map((minute) => minute * MINUTE);
        const worked = workedMinutes(at);
        expect(worked).toBeLessThanOrEqual(Math.max(...minutes) - Math.min(...minutes));
        expect(workedMinutes(at.slice(1))).toBeLessThanOrEqual(worked);
      }),
      { seed: 7 },
    );
  });
});

describe('what is short across jobs', () => {
  const need = (id: string, count: number, have: number, unit = 'piece', short = count > have) => ({
    id,
    name: id,
    unit,
    need: count,
    have,
    short,
  });
  const job = (number: string, ...needs: JobStanding['needs']) => ({ jobId: `J${number}`, number, needs });

  test.each([
    [
      'each finds the last three for itself',
      [job('1', need('butt', 3, 3)), job('2', need('butt', 2, 3))],
      [['butt', 5, 3]],
    ],
    ['there are just enough', [job('1', need('butt', 3, 5)), job('2', need('butt', 2, 5))], []],
    ['one more is needed', [job('1', need('butt', 3, 4)), job('2', need('butt', 2, 4))], [['butt', 5, 4]]],
    ['one roll does for both', [job('1', need('tape', 1, 1, 'roll')), job('2', need('tape', 1, 1, 'roll'))], []],
    ['no roll', [job('1', need('tape', 1, 0, 'roll')), job('2', need('tape', 1, 0, 'roll'))], [['tape', 1, 0]]],
    ['enough wire, and no piece long enough', [job('1', need('red', 500, 900, 'mm', true))], [['red', 500, 900]]],
    [
      'the shelf changed between two reads: the less counts',
      [job('1', need('butt', 1, 3)), job('2', need('butt', 1, 1))],
      [['butt', 2, 1]],
    ],
  ] as const)('%s', (_, jobs, short) =>
    expect(shortAcross(jobs).map(({ id, need: needed, have }) => [id, needed, have])).toEqual(short),
  );
  it('names the jobs that take it, and the largest lack goes first', () => {
    const [first, second] = shortAcross([
      job('1', need('butt', 3, 4), need('clip', 1, 0)),
      job('2', need('butt', 2, 4)),
    ]);
    expect([first?.id, second?.jobs]).toEqual([
      'clip',
      [
        { jobId: 'J1', number: '1', need: 3 },
        { jobId: 'J2', number: '2', need: 2 },
      ],
    ]);
  });
});
