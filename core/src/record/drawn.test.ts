import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DrawnRun } from './drawnTypes.ts';
import { runHigh, runShapes } from './runShapes.ts';
import { summaryOf } from './summary.ts';
import type { SheetLine } from './types.ts';

const line = (circuit: string, more: Partial<SheetLine> = {}): SheetLine => ({
  spliceId: `${circuit} only`,
  circuit,
  place: '426 mm from X31',
  found: 'wire cut',
  method: 'Sealed butt',
  materials: '',
  readings: [],
  standing: 'passed',
  redos: 0,
  closedBy: [],
  ...more,
});

describe('the summary of a sheet', () => {
  it.each<[readonly SheetLine[], string]>([
    [[], 'Nothing is made yet.'],
    [[line('12 Work lamp')], '1 repair on circuit 12 Work lamp: Sealed butt. It passed every check.'],
    [
      [line('12 Work lamp'), line('12 Work lamp'), line('13 Horn', { method: 'Adhesive sleeve' })],
      '3 repairs on 2 circuits: 2 × Sealed butt, Adhesive sleeve. All passed every check.',
    ],
    [
      [line('12 Work lamp', { standing: 'unproved' }), line('13 Horn', { standing: 'failed' }), line('14 Fan')],
      '3 repairs on 3 circuits: 3 × Sealed butt. 2 of 3 not proved yet.',
    ],
    [
      [line('12 Work lamp', { standing: 'looked' }), line('13 Horn')],
      '2 repairs on 2 circuits: 2 × Sealed butt. 1 of 2 passed every check; 1 looked at, not measured.',
    ],
    [
      [line('12 Work lamp', { standing: 'looked' })],
      '1 repair on circuit 12 Work lamp: Sealed butt. Looked at, not measured.',
    ],
    [
      [line('12 Work lamp', { temporaryUntil: '2031-06-01' }), line('13 Horn')],
      '2 repairs on 2 circuits: 2 × Sealed butt. All passed every check. 1 of them temporary: to be made good by 2031-06-01.',
    ],
    [
      [line('12 Work lamp', { temporaryUntil: '2031-07-01' }), line('13 Horn', { temporaryUntil: '2031-06-01' })],
      '2 repairs on 2 circuits: 2 × Sealed butt. All passed every check. Temporary: to be made good by 2031-06-01.',
    ],
  ])('%#: %s', (lines, words) => expect(summaryOf(lines)).toBe(words));
});

const body = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  long: fc.constantFrom(0, 12, 36, 90),
  earlier: fc.boolean(),
  kind: fc.constantFrom('splice' as const, 'cover' as const),
});
const run = fc
  .record({
    lengthMm: fc.integer({ min: 60, max: 60_000 }),
    rows: fc.array(fc.array(body, { minLength: 1, maxLength: 8 }), { minLength: 1, maxLength: 12 }),
  })
  .map(({ lengthMm, rows }): DrawnRun => ({
    id: 'R1',
    name: 'Arm run',
    lengthMm,
    fromName: 'X31',
    toName: 'B1',
    rows: rows.map((bodies, index) => ({
      circuit: `${index + 1} A work lamp with a rather long name`,
      bodies: bodies.map(({ at, long, earlier, kind }) => {
        const fromMm = Math.max(0, Math.min(lengthMm - long, at * lengthMm));
        return { kind, fromMm, toMm: Math.min(lengthMm, fromMm + long), earlier, words: 'Sealed butt' };
      }),
    })),
  }));

describe('a run drawn to scale', () => {
  it('keeps inside its drawing, draws every body, and no figure over another of its row', () => {
    fc.assert(
      fc.property(run, fc.integer({ min: 330, max: 900 }), (drawn, wide) => {
        const shapes = runShapes(drawn, wide);
        const boxes = shapes.filter((one) => one.kind === 'box');
        expect(boxes).toHaveLength(drawn.rows.reduce((sum, { bodies }) => sum + bodies.length, 0));
        for (const { x, y, wide: long, high } of boxes)
          expect(x >= 0 && y >= 0 && x + long <= wide && y + high <= runHigh(drawn)).toBe(true);
        const figures = shapes.filter((one) => one.kind === 'words' && one.anchor === 'middle' && one.size === 7.5);
        for (const [at, one] of figures.entries())
          for (const other of figures.slice(at + 1))
            if (one.kind === 'words' && other.kind === 'words' && one.y === other.y)
              expect(Math.abs(one.x - other.x)).toBeGreaterThanOrEqual(26);
      }),
    );
  });
  it('is to scale: twice as far along the wire is twice as far on the paper', () => {
    const bodies = [200, 400, 800].map((mm) => ({
      kind: 'splice' as const,
      fromMm: mm,
      toMm: mm + 40,
      earlier: false,
      words: 'Sealed butt',
    }));
    const drawn: DrawnRun = {
      id: 'R1',
      name: 'Arm run',
      lengthMm: 1100,
      fromName: 'X31',
      toName: 'B1',
      rows: [{ circuit: '1 Valve', bodies }],
    };
    const shapes = runShapes(drawn, 700);
    const wire = shapes.find((one) => one.kind === 'line' && one.look === 'wire');
    const start = wire?.kind === 'line' ? wire.x1 : NaN;
    const [a, b, c] = shapes.flatMap((one) => (one.kind === 'box' ? [one.x - start] : []));
    expect(b! / a!).toBeCloseTo(2, 6);
    expect(c! / a!).toBeCloseTo(4, 6);
    expect(shapes.flatMap((one) => (one.kind === 'words' && one.size === 7.5 ? [one.text] : []))).toEqual([
      '220',
      '420',
      '820',
    ]);
  });
});
