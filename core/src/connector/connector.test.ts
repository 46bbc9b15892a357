import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import {
  cavitiesOf,
  FACE_SIDES,
  LATCH_DIRECTIONS,
  LOCK_FAMILIES,
  mateCavities,
  neighbour,
  otherSide,
  RELEASE_GUIDES,
  seenCavities,
  turnedOn,
  viewInWords,
  type ConnectorFace,
  type SeenCavity,
} from './index.ts';
import { lines, MATING_UP, rows } from './test/faces.ts';

const TWO_MISSING: ConnectorFace = {
  ...rows(2, 4),
  layout: {
    kind: 'rows',
    rows: 2,
    columns: 4,
    missing: [
      { row: 0, column: 1 },
      { row: 1, column: 3 },
    ],
  },
};
const NO_CAVITY: ConnectorFace = { layout: { kind: 'free', places: [] }, numbering: { kind: 'rowWise' } };

describe('numbering on the mating side, latch up', () => {
  test.each([
    ['row-wise', rows(2, 4), ['1 2 3 4', '5 6 7 8']],
    [
      'row-wise from the right',
      rows(2, 4, { numbering: { kind: 'rowWise', fromRight: true } }),
      ['4 3 2 1', '8 7 6 5'],
    ],
    ['column-wise', rows(2, 4, { numbering: { kind: 'columnWise' } }), ['1 3 5 7', '2 4 6 8']],
    [
      'column-wise from the right',
      rows(2, 3, { numbering: { kind: 'columnWise', fromRight: true } }),
      ['5 3 1', '6 4 2'],
    ],
    ['snake', rows(3, 3, { numbering: { kind: 'snake' } }), ['1 2 3', '6 5 4', '7 8 9']],
    ['beginning at another number', rows(1, 3, { numbering: { kind: 'rowWise', first: 11 } }), ['11 12 13']],
    [
      'first number of each row moulded',
      rows(2, 5, { numbering: { kind: 'rowFirsts', firsts: [1, 21] } }),
      ['1 2 3 4 5', '21 22 23 24 25'],
    ],
    [
      'letters without those read as figures',
      rows(2, 5, { numbering: { kind: 'letters' } }),
      ['A B C D E', 'F G H J K'],
    ],
    ['places that are not there take no number', TWO_MISSING, ['1 2 3', '4 5 6']],
    ['single cavities renamed', rows(1, 3, { renamed: { 2: '2A' } }), ['1 2A 3']],
  ])('%s', (_name, face, expected) => expect(lines(seenCavities(face, MATING_UP))).toEqual(expected));
  it('letters go on with AA after Z', () =>
    expect(
      cavitiesOf(rows(1, 25, { numbering: { kind: 'letters' } }))
        .slice(-3)
        .map((one) => one.cavity),
    ).toEqual(['Z', 'AA', 'AB']));
});

describe('one face, every way it can be held: 2 rows of 4', () => {
  test.each([
    ['mating', 'up', ['1 2 3 4', '5 6 7 8']],
    ['mating', 'down', ['8 7 6 5', '4 3 2 1']],
    ['mating', 'right', ['5 1', '6 2', '7 3', '8 4']],
    ['mating', 'left', ['4 8', '3 7', '2 6', '1 5']],
    ['wire', 'up', ['4 3 2 1', '8 7 6 5']],
    ['wire', 'down', ['5 6 7 8', '1 2 3 4']],
    ['wire', 'right', ['8 4', '7 3', '6 2', '5 1']],
    ['wire', 'left', ['1 5', '2 6', '3 7', '4 8']],
  ] as const)('%s side, latch %s', (side, latch, expected) =>
    expect(lines(seenCavities(rows(2, 4), { side, latch }))).toEqual(expected),
  );
  it('described from the wire side it is the same connector seen from the back', () => {
    const face = rows(2, 4, { describedFrom: 'wire' });
    expect(lines(seenCavities(face, { side: 'wire', latch: 'up' }))).toEqual(['1 2 3 4', '5 6 7 8']);
    expect(lines(seenCavities(face, MATING_UP))).toEqual(['4 3 2 1', '8 7 6 5']);
  });
  it("the mate's mating side shows the same numbers mirrored, so that each meets its own", () => {
    expect(lines(mateCavities(rows(2, 4), MATING_UP))).toEqual(['4 3 2 1', '8 7 6 5']);
    expect(lines(mateCavities(rows(2, 4), { side: 'wire', latch: 'up' }))).toEqual(['1 2 3 4', '5 6 7 8']);
  });
});

describe('round connectors', () => {
  const round: ConnectorFace = {
    layout: { kind: 'round', rings: [{ count: 6 }, { count: 1 }] },
    numbering: { kind: 'rowWise' },
  };
  it('are counted clockwise from the key on the mating side, from the outside in', () => {
    const seen = seenCavities(round, MATING_UP);
    expect(seen.find((one) => one.cavity === '1')).toMatchObject({ x: expect.closeTo(0, 9) });
    expect(seen.find((one) => one.cavity === '1')!.y).toBeLessThan(0);
    expect(seen.find((one) => one.cavity === '2')!.x).toBeGreaterThan(0);
    expect(seen.find((one) => one.cavity === '7')).toMatchObject({ x: 0, y: 0 });
  });
  it('run the other way round on the wire side', () =>
    expect(seenCavities(round, { side: 'wire', latch: 'up' }).find((one) => one.cavity === '2')!.x).toBeLessThan(0));
  it('turn with their key', () =>
    expect(seenCavities(round, { side: 'mating', latch: 'right' }).find((one) => one.cavity === '1')).toMatchObject({
      y: expect.closeTo(0, 9),
      x: expect.closeTo(1.1, 1),
    }));
  it('keep their cavities apart, on every ring', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 4 }), (counts) => {
        const seen = seenCavities(
          {
            layout: { kind: 'round', rings: [...counts].sort((a, b) => b - a).map((count) => ({ count })) },
            numbering: { kind: 'rowWise' },
          },
          MATING_UP,
        );
        seen.forEach((a, index) => {
          for (const b of seen.slice(index + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(0.999);
        });
      }),
      { numRuns: 60, seed: 2 },
    );
  });
});

describe('neighbours, as seen', () => {
  const gap: ConnectorFace = {
    layout: { kind: 'rows', rows: 2, columns: 4, missing: [{ row: 0, column: 1 }] },
    numbering: { kind: 'rowWise' },
  };
  test.each([
    ['the next one', rows(2, 4), MATING_UP, '2', 'right', '3'],
    ['the same one from behind is on the other hand', rows(2, 4), { side: 'wire', latch: 'up' }, '2', 'right', '1'],
    ['below', rows(2, 4), MATING_UP, '2', 'below', '6'],
    ['held upside down', rows(2, 4), { side: 'mating', latch: 'down' }, '2', 'above', '6'],
    ['nothing at the edge', rows(2, 4), MATING_UP, '4', 'right', undefined],
    ['latch to the right', rows(2, 4), { side: 'mating', latch: 'right' }, '1', 'below', '2'],
    ['across a place that is not there', gap, MATING_UP, '1', 'right', '2'],
    ['above a place that is not there', gap, MATING_UP, '5', 'above', undefined],
  ] as const)('%s', (_name, face, view, cavity, direction, next) =>
    expect(neighbour(seenCavities(face, view), cavity, direction)).toBe(next),
  );
  it('a cavity that is not there is named with those that are', () =>
    expect(() => neighbour(seenCavities(rows(1, 2), MATING_UP), '9', 'left')).toThrow(
      'There is no cavity 9: cavities are 1, 2.',
    ));
});

describe('laws of every view', () => {
  const face = fc.oneof(
    fc
      .record({
        r: fc.integer({ min: 1, max: 5 }),
        c: fc.integer({ min: 1, max: 12 }),
        kind: fc.constantFrom('rowWise' as const, 'columnWise' as const, 'snake' as const),
        fromRight: fc.boolean(),
        back: fc.boolean(),
      })
      .map(({ r, c, kind, fromRight, back }): ConnectorFace =>
        rows(r, c, { numbering: { kind, fromRight }, ...(back ? { describedFrom: 'wire' as const } : {}) }),
      ),
    fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 3 }).map((counts): ConnectorFace => ({
      layout: { kind: 'round', rings: counts.map((count) => ({ count })) },
      numbering: { kind: 'rowWise' },
    })),
  );
  const view = fc.record({ side: fc.constantFrom(...FACE_SIDES), latch: fc.constantFrom(...LATCH_DIRECTIONS) });
  const key = (seen: readonly SeenCavity[]): string[] =>
    seen
      .map((one) => `${one.cavity} ${one.x.toFixed(6)} ${one.y.toFixed(6)}`.replaceAll('-0.000000', '0.000000'))
      .sort();
  it('mirrored twice is as before', () => {
    fc.assert(
      fc.property(face, view, (one, held) => {
        expect(key(seenCavities(one, otherSide(otherSide(held))))).toEqual(key(seenCavities(one, held)));
        const mirrored = new Map(seenCavities(one, otherSide(held)).map((at) => [at.cavity, at]));
        const upright = held.latch === 'up' || held.latch === 'down';
        for (const at of seenCavities(one, held))
          expect(
            upright ? at.x + (mirrored.get(at.cavity)?.x ?? 9) : at.y + (mirrored.get(at.cavity)?.y ?? 9),
          ).toBeCloseTo(0, 9);
      }),
      { seed: 1 },
    );
  });
  it('turned four times is as before', () => {
    fc.assert(
      fc.property(face, view, (one, held) => {
        expect(key(seenCavities(one, turnedOn(turnedOn(turnedOn(turnedOn(held))))))).toEqual(
          key(seenCavities(one, held)),
        );
      }),
      { seed: 1 },
    );
  });
  it("each cavity of the mate's mating side meets its own when one is laid on the other", () => {
    fc.assert(
      fc.property(face, (one) => {
        const mine = new Map(seenCavities(one, MATING_UP).map((at) => [at.cavity, at]));
        for (const at of mateCavities(one, MATING_UP))
          expect([at.x + (mine.get(at.cavity)?.x ?? 9), at.y - (mine.get(at.cavity)?.y ?? 9)]).toEqual([
            expect.closeTo(0, 9),
            expect.closeTo(0, 9),
          ]);
      }),
      { seed: 1 },
    );
  });
  it('right and left are each other, where they are', () => {
    fc.assert(
      fc.property(face, view, (one, held) => {
        const seen = seenCavities(one, held);
        if (one.layout.kind !== 'rows') return;
        for (const { cavity } of seen) {
          const next = neighbour(seen, cavity, 'right');
          if (next !== undefined) expect(neighbour(seen, next, 'left')).toBe(cavity);
        }
      }),
      { seed: 1 },
    );
  });
  it('numbers never change with the view', () => {
    fc.assert(
      fc.property(face, view, (one, held) => {
        expect(
          seenCavities(one, held)
            .map((at) => at.cavity)
            .sort(),
        ).toEqual(
          cavitiesOf(one)
            .map((at) => at.cavity)
            .sort(),
        );
      }),
      { seed: 1 },
    );
  });
});

describe('what cannot be', () => {
  test.each([
    [rows(0, 4), 'The rows of a connector cannot be 0'],
    [rows(2, 2.5), 'The columns of a connector cannot be 2.5'],
    [rows(1, 2, { renamed: { 2: '1' } }), 'Cavity 1 is there twice'],
    [rows(2, 2, { numbering: { kind: 'rowFirsts', firsts: [1] } }), 'Row 2 has no first number'],
    [NO_CAVITY, 'at least one cavity'],
  ])('%o', (face, words) => expect(() => cavitiesOf(face)).toThrow(words));
});

it('a view says in words which side it is, and where the latch points', () => {
  expect(viewInWords({ side: 'wire', latch: 'up' })).toBe('Wire side: the wires come towards you; latch up.');
  expect(viewInWords({ side: 'mating', latch: 'left' })).toBe(
    'Mating side: you look into the front, where the mate goes in; latch to the left.',
  );
});

it('every lock family has ordered steps that begin with noting the cavity, and says what never to do', () => {
  for (const family of LOCK_FAMILIES) {
    const guide = RELEASE_GUIDES[family];
    expect(guide.steps[0], family).toContain('Note the cavity');
    expect(
      [guide.steps.length >= 4, guide.never.length > 20, guide.lift.length > 10, guide.refit.length > 20],
      family,
    ).toEqual([true, true, true, true]);
  }
});
