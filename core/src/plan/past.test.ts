import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import type { Run } from '../harness/index.ts';
import { NO_WISHES, placesOf } from '../layout/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { insertLengthMm } from '../sizing/index.ts';
import { cutOut } from '../test/mishaps.ts';
import { planOf, WET_SHAKING } from '../test/samples.ts';
import type { Job } from '../job/index.ts';
import { boardOf, cutsOn, plan, planOne, plansOn, seenOn, warm } from './index.ts';
import { KEEP_MM, branched, cut, first } from './test/branched.ts';

describe('a loss just before a branch', () => {
  it.each(['away', 'towards'] as const)(
    'gets its right splice past the branch, and an insert as long as the way (the arm counts %s)',
    (armCounts) => {
      const job = branched([cut(775)], { armCounts });
      const planned = planOf(job);
      const finding = first(planned);
      expect(finding.approach).toBe('insert');
      const [left, right] = finding.splices;
      expect([left!.runId, right!.runId]).toEqual(['R1', 'R2']);
      // The body keeps 40 from the branch, as near to the loss as that lets it.
      const pastMm = armCounts === 'away' ? right!.fromMm : 400 - right!.toMm;
      expect(pastMm).toBeCloseTo(KEEP_MM, 3);
      const faceMm = armCounts === 'away' ? right!.cutMm : 400 - right!.cutMm;
      expect(finding.x2Mm).toBeCloseTo(800 + faceMm, 6);
      expect(finding.insert?.lengthMm).toBeCloseTo(
        insertLengthMm(finding.x1Mm, finding.x2Mm, left!.joint.reach, right!.joint.reach),
        6,
      );
      expect(finding.because.at(-1)).toMatch(/right splice lies past Branch B1, on Arm/);
      expect(planned.runs.every((run) => run.broken.every((rule) => rule.strength !== 'never'))).toBe(true);
      // Opened from the left splice to the branch, and from there to the right one.
      expect(planned.runs.map((run) => run.opened)).toEqual([
        { fromMm: left!.fromMm, toMm: 800 },
        armCounts === 'away' ? { fromMm: 0, toMm: right!.toMm } : { fromMm: right!.fromMm, toMm: 400 },
      ]);
    },
  );
  it.each([
    ['a connector', { node: 'connector' as const }],
    ['an earlier splice', { node: 'splice' as const }],
    ['a branch into a hotter place', { armZone: { ...WET_SHAKING, ambientC: 120 } }],
    ['a branch into fuel vapour', { armZone: { ...WET_SHAKING, fuelVapour: true } }],
    ['a branch with an arm too short for a body', { armMm: 90 }],
  ])('no splice goes past %s', (_, more) => {
    const [finding] = planOf(branched([cut(775)], more)).findings;
    expect(finding?.splices.every((splice) => splice.runId === 'R1')).toBe(true);
    expect(finding?.approach).not.toBe('insert');
  });
  it('with room on its own run it stays there', () =>
    expect(first(planOf(branched([cut(600)]))).splices.map((splice) => splice.runId)).toEqual(['R1', 'R1']));
  it('is seen on both runs, each with its own cut', () => {
    const job = branched([cut(775)]);
    const finding = first(planOf(job));
    const [trunk, arm] = job.harness.runs.map((run) => seenOn(finding, run)!);
    expect([trunk!.splices.map((splice) => splice.side), arm!.splices.map((splice) => splice.side)]).toEqual([
      ['left'],
      ['right'],
    ]);
    expect([cutsOn(trunk!), cutsOn(arm!)]).toEqual([[finding.x1Mm], [finding.x2Mm - 800]]);
    expect([trunk!.x2Mm, arm!.x1Mm]).toEqual([800, 0]);
    expect(plansOn([finding], { id: 'R9', lengthMm: 100 })).toEqual([]);
  });
  it('its steps name the cut and the ends of the run that each splice lies on', () => {
    const [left, right] = first(planOf(branched([cut(775)]))).splices;
    const words = (splice: typeof left): string =>
      splice!.steps
        .filter((step) => /^cut/.test(step.id.split('/').at(-1) ?? ''))
        .map((step) => `${step.title} ${step.detail}`)
        .join(' ');
    expect(words(left)).toMatch(/the X1 end .*from X1/);
    expect(words(right)).toMatch(new RegExp(`the X2 end .*At ${Math.round(right!.cutMm)} mm from Branch B1`));
  });
  it('is not planned alone: what lies on the other run counts', () => {
    const job = branched([cut(775), cut(300, { circuitId: 'C2' })]);
    const memory = warm(CRIMP_FIRST, FULL_SHELF);
    const before = plan(job, CRIMP_FIRST, FULL_SHELF, memory);
    expect(planOne(job, before, 'F1', memory)).toBeUndefined();
    expect(planOne(job, before, 'F2', memory)?.splices.map((splice) => splice.side)).toEqual(
      before.findings[1]?.splices.map((splice) => splice.side),
    );
  });
  it('made again it loses wire on both sides, past the branch too, and reaches farther', () => {
    const job = branched([cut(775)]);
    const before = first(planOf(job));
    const cost = cutOut(before, before.splices[1]!);
    expect(cost.lostToMm).toBeGreaterThan(800);
    const again = first(
      planOf({
        ...job,
        redos: [
          {
            id: 'R',
            findingId: 'F1',
            lostFromMm: cost.lostFromMm,
            lostToMm: cost.lostToMm,
            because: 'let go',
            by: 'Ines',
            at: '2030-01-01T10:00:00Z',
          },
        ],
      }),
    );
    expect(again.splices.map((splice) => splice.runId)).toEqual(['R1', 'R2']);
    expect(again.x2Mm).toBeGreaterThanOrEqual(cost.lostToMm - 1e-6);
  });
});

describe('a run too full for its splices', () => {
  const full = branched(Array.from({ length: 4 }, (_, index) => cut(708, { circuitId: `C${index + 1}` })));
  it('sends the ones that help past the branch, and none lies over another', () => {
    const planned = planOf(full);
    const all = planned.findings.flatMap((finding) => finding.splices);
    expect(all.filter((splice) => splice.runId === 'R2').length).toBeGreaterThan(0);
    expect(planned.runs.map((run) => run.reached.objective.over)).toEqual([1, 1]);
    expect(Math.min(...planned.runs.map((run) => run.reached.objective.clearMm))).toBeGreaterThanOrEqual(39);
  });
  it('where nothing is gained all stay', () => {
    const roomy = branched([cut(200), cut(500, { circuitId: 'C2' })]);
    expect(
      planOf(roomy)
        .findings.flatMap((finding) => finding.splices)
        .every((splice) => splice.runId === 'R1'),
    ).toBe(true);
  });
});

describe('a pair just before a branch', () => {
  it.each(['away', 'towards'] as const)(
    'goes past with both wires, and both get inserts of one length (the arm counts %s)',
    (armCounts) => {
      const planned = planOf(branched([cut(770), cut(772, { circuitId: 'C2' })], { paired: true, armCounts }));
      const [a, b] = planned.findings;
      expect([a, b].map((finding) => finding!.splices.map((splice) => splice.runId))).toEqual([
        ['R1', 'R2'],
        ['R1', 'R2'],
      ]);
      expect(a!.insert?.lengthMm).toBeCloseTo(b!.insert!.lengthMm, 3);
      expect(planned.runs.flatMap((run) => run.broken).filter((rule) => rule.ruleId === 'layout.pairLength')).toEqual(
        [],
      );
      expect(planned.runs.map((run) => run.reached.objective.barred)).toEqual([0, 0]);
    },
  );
});

describe('any losses near a branch', () => {
  it(
    'no splice breaks a keep-out on any run, and every insert is as long as the way between its ends',
    () =>
      fc.assert(
        fc.property(
          fc.array(fc.integer({ min: 60, max: 788 }), { minLength: 1, maxLength: 4 }),
          fc.constantFrom('away' as const, 'towards' as const),
          (places, armCounts) => {
            const planned = planOf(
              branched(
                places.map((fromMm, index) => cut(fromMm, { circuitId: `C${index + 1}` })),
                { armCounts },
              ),
            );
            for (const finding of planned.findings) {
              const [left, right] = finding.splices;
              if (!left || !right || finding.approach !== 'insert') continue;
              expect(finding.insert!.lengthMm).toBeCloseTo(
                insertLengthMm(finding.x1Mm, finding.x2Mm, left.joint.reach, right.joint.reach),
                6,
              );
              expect(finding.x1Mm).toBeLessThanOrEqual(finding.lost.fromMm + 1e-6);
              expect(finding.x2Mm).toBeGreaterThanOrEqual(finding.lost.toMm - 1e-6);
            }
            expect(planned.runs.flatMap((run) => run.broken).filter((rule) => rule.strength === 'never')).toEqual([]);
          },
        ),
        { numRuns: 25, seed: 5 },
      ),
    240_000,
  );
});

describe('a loss on a short run between two branches', () => {
  const base = branched([cut(45, { runId: 'R1' })], { armMm: 400 });
  const [trunk, arm] = base.harness.runs;
  const root: Run = { ...trunk!, id: 'R0', name: 'Root', fromNodeId: 'X1', toNodeId: 'B0', lengthMm: 400 };
  const job: Job = {
    ...base,
    harness: {
      ...base.harness,
      runs: [root, { ...trunk!, fromNodeId: 'B0', lengthMm: 100 }, arm!],
      nodes: [...base.harness.nodes, { id: 'B0', kind: 'branch', name: 'Branch B0' }],
      circuits: base.harness.circuits.map((circuit) => ({ ...circuit, runIds: ['R0', 'R1', 'R2'] })),
    },
  };
  const planned = planOf(job);
  const [finding] = planned.findings;
  it('reaches past both: a splice on either side, the insert through the whole short run', () => {
    expect(finding!.splices.map((splice) => splice.runId)).toEqual(['R0', 'R2']);
    const [left, right] = finding!.splices;
    expect(finding!.x1Mm).toBeCloseTo(left!.cutMm - 400, 6);
    expect(finding!.x2Mm).toBeCloseTo(100 + right!.cutMm, 6);
    expect(finding!.insert?.lengthMm).toBeCloseTo(
      insertLengthMm(finding!.x1Mm, finding!.x2Mm, left!.joint.reach, right!.joint.reach),
      6,
    );
    expect(planned.runs.map((run) => run.opened)).toEqual([
      { fromMm: left!.fromMm, toMm: 400 },
      { fromMm: 0, toMm: 100 },
      { fromMm: 0, toMm: right!.toMm },
    ]);
    expect(planned.runs.flatMap((run) => run.broken).filter((rule) => rule.strength === 'never')).toEqual([]);
  });
  it('is seen on all three, in the middle as wire that runs through', () => {
    const [before, middle, after] = job.harness.runs.map((run) => seenOn(finding!, run)!);
    expect([before!.splices.length, middle!.splices.length, after!.splices.length]).toEqual([1, 0, 1]);
    expect([middle!.x1Mm, middle!.x2Mm]).toEqual([0, 100]);
    expect(cutsOn(middle!)).toEqual([]);
  });
  it('is laid out on each board', () => {
    const memory = warm(CRIMP_FIRST, FULL_SHELF);
    expect(
      ['R0', 'R1', 'R2'].map((id) =>
        boardOf(job, id, memory)!
          .items.flatMap((item) => item.splices)
          .map((splice) => splice.side),
      ),
    ).toEqual([['left'], [], ['right']]);
  });
});

describe('which way splices are sent', () => {
  const crowd = (count: number, lengthMm: number): Job => {
    const job = branched(
      Array.from({ length: count }, (_, index) =>
        cut(120 + Math.round((index * (lengthMm - 240)) / count), {
          circuitId: `C${index + 1}`,
          slackMm: index % 3 === 0 ? 30 : 0,
        }),
      ),
      { circuits: count },
    );
    return {
      ...job,
      harness: { ...job.harness, runs: job.harness.runs.map((run) => (run.id === 'R1' ? { ...run, lengthMm } : run)) },
    };
  };
  it.each([
    [6, 500],
    [8, 600],
  ])(
    '%i circuits cut on %i mm: past the branch they lie farther apart than on the trunk alone',
    (count, lengthMm) => {
      const open = crowd(count, lengthMm);
      const shut: Job = {
        ...open,
        harness: {
          ...open.harness,
          nodes: open.harness.nodes.map((node) => (node.id === 'B1' ? { ...node, kind: 'splice' as const } : node)),
        },
      };
      const [free, alone] = [open, shut].map((job) => planOf(job).runs.map((run) => run.reached.objective));
      expect(Math.max(...free!.map((one) => one.over))).toBe(1);
      expect(Math.min(...free!.map((one) => one.clearMm))).toBeGreaterThan(
        Math.min(...alone!.map((one) => one.clearMm)) + 2,
      );
    },
    120_000,
  );
  it('a kept layout sends nobody anew', () => {
    const job = crowd(6, 500);
    const memory = warm(CRIMP_FIRST, FULL_SHELF);
    const found = ['R1', 'R2'].flatMap((id) => placesOf(boardOf(job, id, memory)!.items));
    const kept = plan({ ...job, layout: { ...NO_WISHES, found } }, CRIMP_FIRST, FULL_SHELF);
    expect(kept.findings.flatMap((finding) => finding.splices).map((splice) => [splice.id, splice.runId])).toEqual(
      plan(job, CRIMP_FIRST, FULL_SHELF, memory)
        .findings.flatMap((finding) => finding.splices)
        .map((splice) => [splice.id, splice.runId]),
    );
  });
});
