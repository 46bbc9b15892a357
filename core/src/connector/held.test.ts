import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { movedApart, seenCavities, type ConnectorFace } from './index.ts';
import { MATING_UP, lines, rows } from './test/faces.ts';

describe('a latch, key, rib or notch that points elsewhere as it is described', () => {
  test.each([
    // Described with the latch at the right: that is how it is seen, held so.
    [90, 'mating', 'right', ['1 2 3 4', '5 6 7 8']],
    // Turned over, the latch stays at the right: above and below change places.
    [90, 'wire', 'right', ['5 6 7 8', '1 2 3 4']],
    [90, 'mating', 'up', ['4 8', '3 7', '2 6', '1 5']],
    [90, 'wire', 'up', ['8 4', '7 3', '6 2', '5 1']],
    [180, 'mating', 'up', ['8 7 6 5', '4 3 2 1']],
    [180, 'wire', 'down', ['4 3 2 1', '8 7 6 5']],
    [270, 'wire', 'left', ['5 6 7 8', '1 2 3 4']],
  ] as const)('%i°, %s side, held with it %s', (latchDeg, side, latch, expected) =>
    expect(lines(seenCavities(rows(2, 4, { latchDeg }), { side, latch }))).toEqual(expected),
  );
  it('a key at any angle is the axis about which the face is mirrored', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 359.9, noNaN: true }), fc.integer({ min: 1, max: 9 }), (latchDeg, count) => {
        const face: ConnectorFace = {
          latchDeg,
          layout: { kind: 'round', rings: [{ count, startDeg: latchDeg }] },
          numbering: { kind: 'rowWise' },
        };
        // The first place is at the key: it is at the top on either side, and the others run the other way round.
        const [front, back] = (['mating', 'wire'] as const).map((side) => seenCavities(face, { side, latch: 'up' }));
        expect(front![0]!.x).toBeCloseTo(0, 9);
        front!.forEach((one, at) => {
          expect(back![at]!.x).toBeCloseTo(-one.x, 9);
          expect(back![at]!.y).toBeCloseTo(one.y, 9);
        });
      }),
    );
  });
});

describe('drawn as squares', () => {
  const apart = (face: ConnectorFace): number[] => {
    const drawn = movedApart(seenCavities(face, MATING_UP));
    return drawn.flatMap((one, at) =>
      drawn.slice(at + 1).map((other) => Math.max(Math.abs(one.x - other.x), Math.abs(one.y - other.y))),
    );
  };
  it('none lies on another, at any angle and on any ring; a grid stays as it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 359, noNaN: true }), fc.integer({ min: 1, max: 14 }), (latchDeg, count) => {
        const ring: ConnectorFace = {
          latchDeg,
          layout: { kind: 'round', rings: [{ count }, { count: 1 }] },
          numbering: { kind: 'rowWise' },
        };
        for (const least of [...apart(rows(2, 4, { latchDeg })), ...apart(ring)])
          expect(least).toBeGreaterThanOrEqual(0.95 - 1e-9);
      }),
    );
    expect(movedApart(seenCavities(rows(2, 4), MATING_UP))).toEqual(seenCavities(rows(2, 4), MATING_UP));
  });
  it('places that lie on one another stay', () =>
    expect(
      movedApart([
        { x: 1, y: 2 },
        { x: 1, y: 2 },
      ]),
    ).toEqual([
      { x: 1, y: 2 },
      { x: 1, y: 2 },
    ]));
});
