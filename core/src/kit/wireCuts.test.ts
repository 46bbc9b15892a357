import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { cutWire, type CutList, type Piece, type Reel } from './index.ts';
import { notCut } from './kit.ts';

const piecesOf = (list: readonly number[]): Piece[] => list.map((mm, index) => ({ id: `p${index}`, mm }));
const reelsOf = (list: readonly number[]): Reel[] => list.map((lengthMm, index) => ({ id: `r${index}`, lengthMm }));
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** Every piece is in the list once, no reel is cut beyond its length or begun twice. */
function nothingLost(list: CutList, pieces: readonly Piece[], reels: readonly Reel[]): void {
  const told = [...list.cuts.flatMap((cut) => cut.pieces), ...list.missing, ...list.open].map(({ id }) => id).sort();
  expect(told).toEqual(pieces.map(({ id }) => id).sort());
  expect(new Set(list.cuts.map(({ id }) => id)).size).toBe(list.cuts.length);
  for (const { id, lengthMm, pieces: own, leftMm } of list.cuts) {
    expect(lengthMm).toBe(reels.find((reel) => reel.id === id)?.lengthMm);
    expect(sum(own.map(({ mm }) => mm)) + leftMm).toBeCloseTo(lengthMm, 6);
    expect(leftMm).toBeGreaterThanOrEqual(-1e-6);
    expect(own.length).toBeGreaterThan(0);
  }
  expect(list.begun).toBeCloseTo(sum(list.cuts.map(({ lengthMm }) => lengthMm)), 6);
  if (list.cuts.length > 0) expect(list.bound).toBeLessThanOrEqual(list.begun + 1e-6);
}

/** Whether pieces fit into rooms, by trying every room for every piece: slow, and plainly right. */
function fits([first, ...rest]: readonly number[], rooms: readonly number[]): boolean {
  if (first === undefined) return true;
  return rooms.some(
    (room, at) =>
      room >= first - 1e-9 &&
      fits(
        rest,
        rooms.map((one, other) => (other === at ? one - first : one)),
      ),
  );
}

describe('wire out of several rests', () => {
  /** Rests in which the pieces just fit, as somebody would lay them, with a little left on some. */
  const tight = fc.array(fc.integer({ min: 60, max: 600 }), { minLength: 20, maxLength: 20 }).chain((pieces) =>
    fc
      .record({
        of: fc.array(fc.nat({ max: 4 }), { minLength: 20, maxLength: 20 }),
        spare: fc.array(fc.constantFrom(0, 0, 3, 17), { minLength: 5, maxLength: 5 }),
      })
      .map(({ of, spare }) => {
        const rests = [0, 1, 2, 3, 4].map((rest) => sum(pieces.filter((_, at) => of[at] === rest)) + spare[rest]!);
        return { pieces: piecesOf(pieces), reels: reelsOf(rests.filter((mm) => mm > 0)) };
      }),
  );
  it('loses no piece, 300 lists of 20 that just fit', () => {
    fc.assert(
      fc.property(tight, ({ pieces, reels }) => {
        const list = cutWire(pieces, reels);
        nothingLost(list, pieces, reels);
        // They fit: that one cannot be cut is nothing that could be proved.
        expect(list.missing).toEqual([]);
      }),
      { seed: 17, numRuns: 300 },
    );
  }, 240_000);
  it('loses none whatever there is, and however few steps a search may take', () => {
    const any = fc.record({
      pieces: fc.array(fc.integer({ min: 60, max: 900 }), { maxLength: 24 }).map(piecesOf),
      reels: fc.array(fc.integer({ min: 50, max: 3000 }), { maxLength: 20 }).map(reelsOf),
      steps: fc.constantFrom(0, 10, 1000, 400_000),
    });
    fc.assert(
      fc.property(any, ({ pieces, reels, steps }) => nothingLost(cutWire(pieces, reels, steps), pieces, reels)),
      { numRuns: 200 },
    );
  }, 240_000);
  it('names what cannot be cut only where it cannot, and begins the least there is, held against trying all', () => {
    const small = fc.record({
      pieces: fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 7 }),
      reels: fc.array(fc.integer({ min: 2, max: 20 }), { minLength: 1, maxLength: 5 }),
    });
    fc.assert(
      fc.property(small, ({ pieces, reels }) => {
        const list = cutWire(piecesOf(pieces), reelsOf(reels));
        nothingLost(list, piecesOf(pieces), reelsOf(reels));
        expect(list.open).toEqual([]);
        const cut = list.cuts.flatMap((one) => one.pieces.map(({ mm }) => mm));
        for (const { mm } of list.missing) {
          // Beside the longer ones that are cut it has no room.
          const longer = cut.filter((one) => one >= mm);
          expect(
            fits(
              [...longer, mm].sort((a, b) => b - a),
              reels,
            ),
          ).toBe(false);
        }
        const choices = Array.from({ length: 2 ** reels.length }, (_, bits) =>
          reels.filter((__, at) => (bits >> at) & 1),
        );
        const least = Math.min(
          ...choices
            .filter((rooms) =>
              fits(
                [...cut].sort((a, b) => b - a),
                rooms,
              ),
            )
            .map(sum),
        );
        expect([list.begun, list.bound]).toEqual([least, least]);
      }),
      { numRuns: 400 },
    );
  }, 240_000);
  test.each([
    ['a fresh reel behind twelve short rests is found', [500], [...Array<number>(12).fill(510), 480], 510],
    ['thirteen rests, the last alone is long enough', [900], [...Array<number>(13).fill(100), 1000], 1000],
    ['more rests than every choice of them is tried for', [90, 80, 70], [...Array<number>(20).fill(95), 400], 285],
  ])('%s', (_what, pieces, reels, begun) =>
    expect(cutWire(piecesOf(pieces), reelsOf(reels))).toMatchObject({ begun, missing: [], open: [] }),
  );
  it('what a search leaves open is told as that, and never as missing', () => {
    // Ten rests of 1000, each of which three pieces fill to the millimetre.
    const triplets = Array.from({ length: 10 }, (_, at) => [260 + 7 * at, 330 + 3 * at, 1000 - 590 - 10 * at]);
    const [pieces, reels] = [piecesOf(triplets.flat()), reelsOf(Array<number>(10).fill(1000))];
    const list = cutWire(pieces, reels, 0);
    nothingLost(list, pieces, reels);
    expect(list.missing).toEqual([]);
    expect(list.open.length).toBeGreaterThan(0);
  });
  test.each([
    [[], [], ''],
    [[300], [], 'Find 300 mm, each in one piece, from a scrap harness or reel.'],
    [
      [],
      [120, 110],
      '120 + 110 mm found no place in the rests; that they have none is not proved. Try it, or take a longer reel.',
    ],
    [[5, 4, 3, 2, 1], [], 'Find 5 + 4 + 3 + 2 and 1 more mm, each in one piece, from a scrap harness or reel.'],
  ])('of %j missing and %j open the kit says so', (missing, open, words) =>
    expect(notCut({ missing: piecesOf(missing), open: piecesOf(open) })).toBe(words),
  );
});
