import { render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { circuitOf, findingOf, InJob, planFor, viewOf } from '../test/job.tsx';
import { labelsOf } from './KeepOuts.tsx';
import { placeRuns } from './tree.ts';
import { Profile } from './Profile.tsx';
import { RunDrawing } from './RunDrawing.tsx';
import { rowsOf, ROWS_CLEAR } from './rows.ts';
import { panned, zoomed } from './shown.ts';

describe('lines of the run drawing', () => {
  const circuits = (count: number) => Array.from({ length: count }, (_, index) => circuitOf(String(index + 1)));
  it('a clear number of circuits has a line each', () =>
    expect(rowsOf(circuits(ROWS_CLEAR), new Set()).every((row) => row.kind === 'circuit')).toBe(true));
  it('120 circuits: untouched neighbours share a band, touched ones stand alone', () => {
    const rows = rowsOf(circuits(120), new Set(['C30', 'C31', 'C90']));
    expect(rows.map((row) => (row.kind === 'circuit' ? row.circuit.number : row.circuits.length))).toEqual([
      29,
      '30',
      '31',
      58,
      '90',
      30,
    ]);
  });
  it('a band of one is a line', () =>
    expect(rowsOf(circuits(20), new Set(['C1', 'C3']))[1]).toMatchObject({ kind: 'circuit' }));
});

describe('the part of a run that is shown', () => {
  test.each([
    [{ fromMm: 0, toMm: 1000 }, 0.5, { fromMm: 250, toMm: 750 }],
    [{ fromMm: 0, toMm: 100 }, 4, { fromMm: 0, toMm: 400 }],
    [{ fromMm: 900, toMm: 1000 }, 2, { fromMm: 800, toMm: 1000 }],
    [{ fromMm: 0, toMm: 1000 }, 2, { fromMm: 0, toMm: 1000 }],
  ])('%o zoomed by %f is %o', (shown, factor, after) => expect(zoomed(shown, factor, 1000)).toEqual(after));
  it('is never narrower than 60 mm, nor wider than a run shorter than that', () => {
    expect(zoomed({ fromMm: 500, toMm: 570 }, 0.1, 1000)).toEqual({ fromMm: 505, toMm: 565 });
    // The place under the finger stays under it, unless the run ends there.
    expect(zoomed({ fromMm: 200, toMm: 600 }, 0.5, 1000, 300)).toEqual({ fromMm: 250, toMm: 450 });
    expect(zoomed({ fromMm: 0, toMm: 400 }, 2, 1000, 300)).toEqual({ fromMm: 0, toMm: 800 });
    expect(zoomed({ fromMm: 0, toMm: 40 }, 0.5, 40)).toEqual({ fromMm: 0, toMm: 40 });
  });
  it('stays on the run when it is moved', () => {
    expect(panned({ fromMm: 100, toMm: 300 }, -1, 1000)).toEqual({ fromMm: 0, toMm: 200 });
    expect(panned({ fromMm: 100, toMm: 300 }, 0.25, 1000)).toEqual({ fromMm: 150, toMm: 350 });
    expect(panned({ fromMm: 700, toMm: 900 }, 1, 1000)).toEqual({ fromMm: 800, toMm: 1000 });
  });
});

describe('the harness tree', () => {
  const run = (id: string, fromNodeId: string, toNodeId: string, lengthMm: number) => ({
    id,
    name: id,
    fromNodeId,
    toNodeId,
    lengthMm,
    zone: { area: 'body', vibration: 'none', moisture: 'dry', fuelVapour: false } as const,
    features: [],
  });
  const nodes = ['X', 'B', 'Y', 'Z'].map((id) => ({ id, kind: 'connector' as const, name: id }));
  it('places runs by distance, branches on rows of their own, whichever way they are described', () => {
    const placed = placeRuns({
      nodes,
      runs: [run('1', 'X', 'B', 300), run('2', 'B', 'Y', 200), run('3', 'Z', 'B', 100)],
    });
    expect(placed.map(({ run: { id }, fromMm, toMm, row }) => [id, fromMm, toMm, row])).toEqual([
      ['1', 0, 300, 0],
      ['2', 300, 500, 0],
      ['3', 300, 400, 1],
    ]);
  });
  it('draws the runs of a loop once each', () => {
    const placed = placeRuns({
      nodes,
      runs: [run('1', 'X', 'B', 300), run('2', 'B', 'Y', 200), run('3', 'Y', 'X', 100)],
    });
    expect(placed.map((one) => one.run.id).sort()).toEqual(['1', '2', '3']);
  });
});

it('the run drawing says in words what it shows', () => {
  const view = viewOf([findingOf('F1')]);
  const plan = planFor(view);
  render(
    <InJob view={view}>
      <RunDrawing
        run={view.job.harness.runs[0]!}
        fromName="X1"
        circuits={view.job.harness.circuits}
        findings={view.job.findings}
        runPlan={plan.runs[0]!}
        plans={plan.findings}
        profile
      />
    </InJob>,
  );
  expect(screen.getByRole('img', { name: 'Main run, 1000 mm from X1, two circuits, one finding' })).toBeTruthy();
});

it('names of keep-outs never lie over each other: on one of two lines, or in the words below', () => {
  const words = ['Clip 3', 'Hinge, bends', 'Grommet at the wall', 'Branch to X7', 'Tank'];
  const stretch = fc.record({ words: fc.constantFrom(...words), middlePx: fc.integer({ min: 40, max: 390 }) });
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 9 }), (stretches) => {
      const sorted = stretches.toSorted((a, b) => a.middlePx - b.middlePx);
      const shown = labelsOf(sorted, { left: 40, right: 390 }).flatMap((label, index) =>
        label ? [{ ...label, half: ((sorted[index]?.words.length ?? 0) * 6.6) / 2 }] : [],
      );
      for (const [index, one] of shown.entries())
        for (const other of shown.slice(index + 1))
          if (one.lane === other.lane)
            expect(Math.abs(one.atPx - other.atPx)).toBeGreaterThanOrEqual(one.half + other.half);
      expect(shown.length).toBeGreaterThanOrEqual(Math.min(1, stretches.length));
    }),
  );
});

describe('the names of conduit and lump beside the profile', () => {
  it.each([
    [13, 10.9],
    [13, 13],
    [13, 13.4],
    [13, 30],
    [5, 28],
  ])('do not lie over each other: conduit %f, lump %f', (conduitMm, lumpMm) => {
    const { container } = render(
      <svg>
        <Profile
          profile={[{ fromMm: 0, toMm: 100, diameterMm: 9 }]}
          x={(mm) => mm}
          plot={{ left: 0, right: 100 }}
          top={0}
          high={70}
          conduitMm={conduitMm}
          lumpMm={lumpMm}
          named={false}
        />
      </svg>,
    );
    const [a, b] = [...container.querySelectorAll('text')].map((name) => Number(name.getAttribute('y')));
    expect(Math.abs(a! - b!)).toBeGreaterThanOrEqual(14);
    expect(a! < b!).toBe(conduitMm >= lumpMm);
  });
});
