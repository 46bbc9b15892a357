import { describe, expect, it, test } from 'vitest';
import { bundleSection, knownSections, takeSections } from '../bundle/index.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { movedSplice, NO_WISHES, placesOf, type LayoutWishes } from '../layout/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, WET_SHAKING, wire } from '../test/samples.ts';
import {
  boardOf,
  checkWishes,
  findingPlanAt,
  findingsOnRun,
  pinnedAt,
  plan,
  runPlanAt,
  searchedAnew,
  unpinned,
  warm,
} from './index.ts';

const circuits = [2.5, 1.5].map((area) => ({ kind: 'power' as const, wire: wire(area), loadA: 1 }));
const job = jobWith(
  circuits.map((_, index) => ({
    kind: 'parted' as const,
    circuitId: `C${index + 1}`,
    fromMm: 700 + 8 * index,
    toMm: 710 + 8 * index,
    slackMm: 0,
  })),
  { circuits, zone: WET_SHAKING, lengthMm: 1500 },
);
const memory = warm(CRIMP_FIRST, FULL_SHELF);
const planned = plan(job, CRIMP_FIRST, FULL_SHELF, memory);
const runId = job.harness.runs[0]!.id;
const board = boardOf(job, runId, memory)!;
const wishes = (more: Partial<LayoutWishes>): LayoutWishes => ({ ...NO_WISHES, ...more });
const placed = placesOf(board.items);

describe('the board of a run', () => {
  it('lies as the plan lies', () => {
    expect(placed.map((place) => place.centreMm)).toEqual(
      planned.findings.flatMap((finding) => finding.splices).map((splice) => splice.centreMm),
    );
    expect(boardOf(job, 'no run', memory)).toBeUndefined();
  });
  it('what is moved on it is what the plan says once it is pinned there, and the others are kept', () => {
    const [first] = placed;
    const moved = movedSplice(board.run, board.items, first!.findingId, first!.side, first!.centreMm - 25)!;
    const live = runPlanAt(job, board, moved.items, planned.runs[0]!, CRIMP_FIRST.figures.untwistedAtMostMm);
    const after = plan(
      { ...job, layout: pinnedAt(NO_WISHES, moved.moved, placesOf(moved.items)) },
      CRIMP_FIRST,
      FULL_SHELF,
    );
    const run = after.runs[0]!;
    expect(run.profile).toEqual(live.profile);
    expect(run.broken).toEqual(live.broken);
    expect(run.opened).toEqual(live.opened);
    for (const finding of planned.findings) {
      const there = findingPlanAt(
        finding,
        moved.items.find((item) => item.findingId === finding.findingId)!,
      );
      const now = after.findings.find((one) => one.findingId === finding.findingId)!;
      expect([there.x1Mm, there.x2Mm, there.insert?.lengthMm, there.splices.map((splice) => splice.centreMm)]).toEqual([
        now.x1Mm,
        now.x2Mm,
        now.insert?.lengthMm,
        now.splices.map((splice) => splice.centreMm),
      ]);
    }
  });
  it('what did not move stays the same object, so that it need not be drawn anew', () => {
    for (const finding of planned.findings)
      expect(
        findingPlanAt(
          finding,
          board.items.find((item) => item.findingId === finding.findingId)!,
        ),
      ).toBe(finding);
  });
  it('sections packed in one thread are taken over by another', () => {
    const wiresMm = [2, 2.5, 3];
    const packed = { circles: [], diameterMm: 99 };
    takeSections({ wiresMm, sections: [['1:5.000', packed]] });
    expect(bundleSection(wiresMm, new Map([[1, 5]]))).toBe(packed);
    expect(knownSections(wiresMm).sections).toContainEqual(['1:5.000', packed]);
  });
});

describe('wishes for the layout', () => {
  it('a splice is pinned once, other runs keep their places', () => {
    const elsewhere = { findingId: 'X', side: 'only' as const, centreMm: 5 };
    const once = pinnedAt(wishes({ found: [elsewhere] }), [placed[0]!], placed);
    const twice = pinnedAt(once, [{ ...placed[0]!, centreMm: 300 }], placed);
    expect(twice.pins).toEqual([{ ...placed[0]!, centreMm: 300 }]);
    expect(twice.found).toEqual([elsewhere, ...placed]);
    expect(unpinned(twice, [placed[0]!.findingId]).pins).toEqual([]);
    expect(searchedAnew(twice, findingsOnRun(planned, runId)).found).toEqual([elsewhere]);
  });
  it('what the plan shows may be pinned', () => expect(checkWishes(job, wishes({ pins: placed }), memory)).toEqual([]));
  test.each([
    {
      code: 'PLACE_NOT_LEGAL',
      layout: { pins: [{ findingId: 'F1', side: 'left' as const, centreMm: 30 }] },
      words: 'may not lie at 30 mm',
      hint: 'Its centre may lie at 58',
    },
    {
      code: 'PLACE_NOT_LEGAL',
      layout: { pins: [{ findingId: 'F1', side: 'left' as const, centreMm: 900 }] },
      words: 'left splice of finding "F1"',
      hint: '700.5 mm',
    },
    {
      code: 'NO_SUCH_SPLICE',
      layout: { pins: [{ findingId: 'F1', side: 'only' as const, centreMm: 700 }] },
      words: 'has no splice',
      hint: 'Pin the splices that the plan shows.',
    },
    {
      code: 'UNKNOWN_FINDING',
      layout: { pins: [{ findingId: 'F9', side: 'left' as const, centreMm: 700 }] },
      words: 'no finding "F9"',
      hint: 'Leave its pin out.',
    },
    { code: 'UNKNOWN_FINDING', layout: { atOne: ['F9'] }, words: 'no finding "F9"', hint: 'Leave it out.' },
  ])('$code is said with what is wrong and what to do: $words', ({ code, layout, words, hint }) => {
    const [problem, ...more] = checkWishes(job, wishes(layout), memory);
    expect(more).toEqual([]);
    expect(problem).toMatchObject({
      code,
      message: expect.stringContaining(words) as string,
      hint: expect.stringContaining(hint) as string,
    });
  });
  it('what is being made is not moved', () => {
    const begun = { ...job, pins: placed.filter((place) => place.findingId === 'F1') };
    expect(
      checkWishes(begun, wishes({ pins: [{ findingId: 'F1', side: 'left', centreMm: 300 }] }), memory),
    ).toMatchObject([{ code: 'HAS_WORK' }]);
  });
  it('a pin that lies in what is lost since is not kept', () => {
    const wider = {
      ...job,
      findings: job.findings.map((finding) => (finding.id === 'F1' ? { ...finding, fromMm: 500 } : finding)),
      layout: wishes({ pins: [{ findingId: 'F1', side: 'left' as const, centreMm: 600 }] }),
    };
    const splice = plan(wider, CRIMP_FIRST, FULL_SHELF).findings.find((finding) => finding.findingId === 'F1')!
      .splices[0]!;
    expect(splice.centreMm).toBeLessThanOrEqual(500.5);
    expect(splice.pinned).toBe(false);
  });
});
