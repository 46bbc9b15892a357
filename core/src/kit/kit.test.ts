import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { editCatalogue, FULL_SHELF } from '../catalogue/index.ts';
import { wire } from '../test/samples.ts';
import { cutSticks, cutWire, kitFor, KERF_MM, type CutList, type KitNeed } from './index.ts';

const asPieces = (list: readonly number[]) => list.map((mm, index) => ({ id: `p${index}`, mm }));
const sticksNeeded = (list: readonly number[], stickMm: number): number => cutSticks(asPieces(list), stickMm).begun;

describe('sticks of 1200 with a kerf of 0.5', () => {
  test.each([
    { pieces: [], sticks: 0, why: 'nothing to cut' },
    { pieces: [40], sticks: 1, why: 'one piece' },
    { pieces: [1200], sticks: 1, why: 'a whole stick needs no cut' },
    { pieces: [600, 599.5], sticks: 1, why: 'one kerf between two pieces' },
    { pieces: [600, 600], sticks: 2, why: 'no room left for the kerf' },
    { pieces: Array<number>(29).fill(40), sticks: 1, why: '29 × 40.5 − 0.5 = 1174' },
    { pieces: Array<number>(30).fill(40), sticks: 2, why: '30 × 40.5 − 0.5 = 1214.5' },
  ])('$why: $sticks', ({ pieces, sticks }) => expect(sticksNeeded(pieces, 1200)).toBe(sticks));
  it('a piece longer than a stick is refused with both figures', () =>
    expect(() => sticksNeeded([1300], 1200)).toThrow('A piece of 1300 mm cannot be cut from sticks of 1200 mm'));
  it('never takes fewer than the tube there is, nor more than a stick a piece', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 400 }), { minLength: 1, maxLength: 40 }), (pieces) => {
        const sticks = sticksNeeded(pieces, 1200);
        const tube = pieces.reduce((sum, piece) => sum + piece, 0);
        expect(sticks).toBeGreaterThanOrEqual(Math.ceil(tube / 1200));
        expect(sticks).toBeLessThanOrEqual(pieces.length);
        expect(sticksNeeded([...pieces].reverse(), 1200)).toBe(sticks);
      }),
      { seed: 11 },
    );
  });
});

/** Fewest sticks by trying every set of pieces for the first stick, then for the next: slow, and plainly right. */
function fewestByTrying(pieces: readonly number[], stickMm: number): number {
  const fits = Array.from(
    { length: 2 ** pieces.length },
    (_, set) =>
      pieces.reduce((sum, mm, index) => sum + ((set >> index) & 1 ? mm + KERF_MM : 0), 0) <= stickMm + KERF_MM + 1e-9,
  );
  const fewest = [0];
  for (let set = 1; set < fits.length; set += 1) {
    fewest[set] = Infinity;
    for (let part = set; part > 0; part = (part - 1) & set)
      if (fits[part]) fewest[set] = Math.min(fewest[set]!, 1 + fewest[set ^ part]!);
  }
  return fewest[fits.length - 1]!;
}

/** Every piece once, and no stick or reel cut beyond its length. */
function expectSound(list: CutList, pieces: readonly number[], kerfMm: number): void {
  expect(
    [...list.cuts.flatMap((cut) => cut.pieces), ...list.missing].map((piece) => piece.mm).sort((a, b) => a - b),
  ).toEqual([...pieces].sort((a, b) => a - b));
  for (const cut of list.cuts) {
    const used = cut.pieces.reduce((sum, piece) => sum + piece.mm, 0) + kerfMm * Math.max(0, cut.pieces.length - 1);
    expect(used).toBeLessThanOrEqual(cut.lengthMm + 1e-6);
    expect(cut.leftMm).toBeGreaterThanOrEqual(0);
  }
}

describe('cut lists', () => {
  it('up to ten pieces take the fewest sticks there can be', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 60, max: 900 }), { minLength: 1, maxLength: 10 }), (pieces) => {
        const list = cutSticks(asPieces(pieces), 1200);
        expectSound(list, pieces, KERF_MM);
        expect(list.begun).toBe(fewestByTrying(pieces, 1200));
        expect(list.bound).toBe(list.begun);
      }),
      { seed: 3, numRuns: 60 },
    );
  }, 120_000);
  it('three hundred pieces are within one stick of the bound', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 600 }), { minLength: 100, maxLength: 300 }), (pieces) => {
        const list = cutSticks(asPieces(pieces), 1200);
        expectSound(list, pieces, KERF_MM);
        expect(list.begun - list.bound).toBeLessThanOrEqual(1);
      }),
      { seed: 8, numRuns: 20 },
    );
  }, 120_000);
  /** Lengths from one to another, all as likely: the same ones for the same seed. */
  const evenly = (seed: number) => {
    let state = seed * 7919;
    return (from: number, to: number): number => {
      state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
      return from + Math.floor((state / 2_147_483_648) * (to - from + 1));
    };
  };
  type Evenly = ReturnType<typeof evenly>;
  test.each<[string, (any: Evenly) => readonly number[], number]>([
    ['200 to 500 mm', (any) => [any(200, 500)], 2],
    [
      'triplets that fill a stick',
      (any) => {
        const [a, b] = [any(340, 420), any(300, 440)];
        return [a, b, 1199 - a - b];
      },
      3,
    ],
  ])(
    'three hundred pieces of %s, twenty lists',
    (_what, some, over) => {
      for (let seed = 1; seed <= 20; seed += 1) {
        const any = evenly(seed);
        const pieces = Array.from({ length: 300 }, () => some(any))
          .flat()
          .slice(0, 300);
        const list = cutSticks(asPieces(pieces), 1200);
        expectSound(list, pieces, KERF_MM);
        expect(list.begun - list.bound).toBeLessThanOrEqual(over);
      }
    },
    120_000,
  );
  it('wire comes from the rests that leave least, not from a fresh reel', () => {
    const list = cutWire(asPieces([300, 250, 200]), [
      { id: 'reel', lengthMm: 10_000 },
      { id: 'rest a', lengthMm: 520 },
      { id: 'rest b', lengthMm: 310 },
    ]);
    expectSound(list, [300, 250, 200], 0);
    expect(list.cuts.map((cut) => cut.id).sort()).toEqual(['rest a', 'rest b']);
    expect(list).toMatchObject({ begun: 830, bound: 830, missing: [] });
  });
  it('what no reel holds in one piece has to be found', () => {
    const list = cutWire(asPieces([900, 300]), [
      { id: 'a', lengthMm: 500 },
      { id: 'b', lengthMm: 500 },
    ]);
    expect(list.missing.map((piece) => piece.mm)).toEqual([900]);
    expect(list.cuts).toHaveLength(1);
  });
});

describe('the kit', () => {
  const need = (more: Partial<KitNeed>): KitNeed => ({
    spliceId: 's',
    partIds: [],
    sleeveCuts: [],
    tapeMm: [],
    toolNames: [],
    ...more,
  });
  it('counts pieces of the same part together, and each tool once', () => {
    const kit = kitFor(
      [
        need({ partIds: ['clip-L'], toolNames: ['Crimper'] }),
        need({ partIds: ['clip-L'], toolNames: ['Crimper', 'Gun'] }),
      ],
      FULL_SHELF,
    );
    expect(kit.lines).toMatchObject([{ id: 'clip-L', need: 2, unit: 'piece', state: 'have' }]);
    expect(kit.tools).toEqual(['Crimper', 'Gun']);
  });
  it('solder is one reel for all joints', () => {
    const kit = kitFor([need({ partIds: ['solder-tinLead'] }), need({ partIds: ['solder-tinLead'] })], FULL_SHELF);
    expect(kit.lines).toMatchObject([{ id: 'solder-tinLead', need: 1, unit: 'reel' }]);
  });
  it('wire of one reel adds up, and says when the reel is too short', () => {
    const piece = (lengthMm: number): KitNeed =>
      need({ wire: { circuitNumber: '1', spec: wire(2.5), lengthMm, stockId: 'reel-2.5-red', tag: false } });
    expect(kitFor([piece(4000), piece(3000)], FULL_SHELF).lines).toMatchObject([
      { need: 7000, have: 10_000, state: 'have' },
    ]);
    expect(kitFor([piece(8000), piece(3000)], FULL_SHELF).lines).toMatchObject([
      { state: 'short', note: expect.stringContaining('Find 3000 mm, each in one piece') as string },
    ]);
  });
  it('colours are never cut for one another', () => {
    const kit = kitFor(
      [
        need({ wire: { circuitNumber: '1', spec: wire(2.5), lengthMm: 300, tag: false } }),
        need({
          wire: { circuitNumber: '2', spec: wire(2.5, { colour: { base: 'pink' } }), lengthMm: 300, tag: false },
        }),
      ],
      FULL_SHELF,
    );
    expect(kit.cutGroups.map((group) => [group.list.cuts.length, group.list.missing.length])).toEqual([
      [1, 0],
      [0, 1],
    ]);
  });
  it('wire that no reel has is to be found', () => {
    const kit = kitFor([need({ wire: { circuitNumber: '1', spec: wire(35), lengthMm: 200, tag: false } })], FULL_SHELF);
    expect(kit).toMatchObject({ ready: false, lines: [{ need: 200, have: 0, state: 'short' }] });
  });
  it('nothing to make is a kit that is ready', () =>
    expect(kitFor([], FULL_SHELF)).toMatchObject({ lines: [], ready: true }));
});

describe('a shelf that nobody has counted', () => {
  const need: KitNeed = { spliceId: 'S', partIds: ['sealedButt-middle'], sleeveCuts: [], tapeMm: [], toolNames: [] };
  it('makes no kit ready, whatever stands on it; once it is counted it does', () => {
    const uncounted = { ...FULL_SHELF, uncounted: true };
    expect(kitFor([need], FULL_SHELF)).toMatchObject({ counted: true, ready: true });
    expect(kitFor([need], uncounted)).toMatchObject({ counted: false, ready: false });
    const said = editCatalogue(uncounted, [{ kind: 'setCounted', counted: true }]);
    expect(kitFor([need], said).ready).toBe(true);
    expect(editCatalogue(said, [{ kind: 'setCounted', counted: false }]).uncounted).toBe(true);
  });
});
