import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { movedSplice, NO_WISHES, placesOf } from '../layout/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { planOf, WET_SHAKING } from '../test/samples.ts';
import { checkJob, type Job } from '../job/index.ts';
import { boardOf, checkWishes, findingPlanAt, pinnedAt, plan, seenOn, warm } from './index.ts';
import { branched, cut, first } from './test/branched.ts';

describe("the board of a run that another run's repair reaches into", () => {
  const job = branched([cut(775)]);
  const memory = warm(CRIMP_FIRST, FULL_SHELF);
  const arm = boardOf(job, 'R2', memory)!;
  const [place] = placesOf(arm.items);
  it('shows its splice, which can be moved there and pinned', () => {
    expect(place).toMatchObject({ findingId: 'F1', side: 'right', runId: 'R2' });
    const moved = movedSplice(arm.run, arm.items, 'F1', 'right', place!.centreMm + 30)!;
    expect(moved.centreMm).toBeCloseTo(place!.centreMm + 30, 6);
    const seen = seenOn(first(plan(job, CRIMP_FIRST, FULL_SHELF, memory)), job.harness.runs[1]!)!;
    const live = findingPlanAt(seen, moved.items[0]!);
    const wishes = pinnedAt(NO_WISHES, moved.moved, placesOf(moved.items));
    expect(checkWishes(job, wishes, memory)).toEqual([]);
    const after = first(plan({ ...job, layout: wishes }, CRIMP_FIRST, FULL_SHELF));
    expect(after.splices[1]).toMatchObject({ runId: 'R2', pinned: true, centreMm: moved.centreMm });
    expect(live.insert?.lengthMm).toBeCloseTo(after.insert!.lengthMm, 6);
    expect(live.splices[0]?.cutMm).toBeCloseTo(after.splices[1]!.cutMm, 6);
  });
  it.each([
    ['into the space kept at the branch', { centreMm: 20, runId: 'R2' }, 'PLACE_NOT_LEGAL'],
    ['to a run that its circuit does not reach', { centreMm: 20, runId: 'R7' }, 'NO_SUCH_SPLICE'],
  ])('is not put %s', (_, at, code) =>
    expect(
      checkWishes(job, { ...NO_WISHES, pins: [{ findingId: 'F1', side: 'right', ...at }] }, memory).map(
        (one) => one.code,
      ),
    ).toEqual([code]),
  );
  it('what is made stays past the branch, whatever is found later', () => {
    const made = { ...job, pins: placesOf([...boardOf(job, 'R1', memory)!.items, ...arm.items]) };
    const before = first(plan(job, CRIMP_FIRST, FULL_SHELF, memory));
    const after = first(
      plan(
        {
          ...made,
          findings: [...made.findings, { ...made.findings[0]!, id: 'F2', circuitId: 'C2', fromMm: 500, toMm: 510 }],
        },
        CRIMP_FIRST,
        FULL_SHELF,
      ),
    );
    expect(after.splices.map((splice) => [splice.runId, splice.centreMm])).toEqual(
      before.splices.map((splice) => [splice.runId, splice.centreMm]),
    );
  });
});

describe('what is made past a branch', () => {
  const job = branched([cut(775)]);
  const memory = warm(CRIMP_FIRST, FULL_SHELF);
  const pins = placesOf(['R1', 'R2'].flatMap((id) => boardOf(job, id, memory)!.items));
  const before = first(plan(job, CRIMP_FIRST, FULL_SHELF, memory)).splices.map((splice) => [
    splice.runId,
    splice.centreMm,
  ]);
  it.each([
    ['the place has become hotter', { ...WET_SHAKING, ambientC: 120 }, 'branch' as const],
    ['the branch is called an earlier splice', WET_SHAKING, 'splice' as const],
  ])('stays there though %s', (_, zone, kind) => {
    const now: Job = {
      ...job,
      pins,
      harness: {
        ...job.harness,
        runs: job.harness.runs.map((run) => (run.id === 'R2' ? { ...run, zone } : run)),
        nodes: job.harness.nodes.map((node) => (node.id === 'B1' ? { ...node, kind } : node)),
      },
    };
    expect(first(planOf(now)).splices.map((splice) => [splice.runId, splice.centreMm])).toEqual(before);
  });
  it('on a run that its circuit does not reach is refused by name, with the runs that it could be', () => {
    expect(checkJob({ ...job, pins })).toEqual([]);
    expect(
      checkJob({ ...job, pins: pins.map((pin) => (pin.runId === undefined ? pin : { ...pin, runId: 'R9' })) }),
    ).toMatchObject([
      {
        code: 'PIN_ON_ANOTHER_RUN',
        pointer: '/pins/1/runId',
        message: expect.stringContaining('"R9"'),
        hint: 'It goes on in R2; leave runId out for Trunk itself.'.replace('Trunk', job.harness.runs[0]!.name),
      },
    ]);
  });
});
