import { describe, expect, it, test } from 'vitest';
import type { WireStock } from '../stock/index.ts';
import { wire } from '../test/samples.ts';
import type { WireSpec } from '../wire/index.ts';
import { chooseInsertWire } from './index.ts';

describe('wire to insert, at its limits', () => {
  const old = wire(1);
  const reel = (id: string, area: number, more: Partial<WireSpec> = {}, lengthMm = 1000): WireStock => ({
    id,
    wire: wire(area, more),
    lengthMm,
  });
  const chosen = (stock: readonly WireStock[], more: { placeC?: number; otherColours?: boolean } = {}) =>
    chooseInsertWire(old, stock, more.placeC ?? 60, 200, more);
  test.each<[string, WireStock, boolean]>([
    ['just long enough', reel('r', 1, {}, 200), true],
    ['1 mm short', reel('r', 1, {}, 199), false],
    ['one step larger', reel('r', 1.5), true],
    ['two steps larger', reel('r', 2.5), false],
    ['a size smaller', reel('r', 0.75), false],
    ['solid', reel('r', 1, { conductor: { kind: 'solid' } }), false],
  ])('%s', (_why, item, taken) => expect(chosen([item]).stockId).toBe(taken ? 'r' : undefined));
  it('a jacket that just stands the place is taken, one that does not is not', () => {
    const pvc = reel('r', 1, { jacket: { material: 'pvc', wall: 'thin' } });
    const stands = [80, 85, 90, 100, 105, 106, 125, 126].map((placeC) => chosen([pvc], { placeC }).stockId === 'r');
    const limit = stands.lastIndexOf(true);
    expect(stands).toEqual(stands.map((_, at) => at <= limit));
    expect(limit).toBeGreaterThan(-1);
    expect(limit).toBeLessThan(stands.length - 1);
  });
  it('the same size goes before a larger one, its own colour before another, the id between equals', () => {
    const stock = [
      reel('larger', 1.5),
      reel('other', 1, { colour: { base: 'blue' } }),
      reel('stripe', 1, { colour: { base: 'red', stripe: 'white' } }),
      reel('b', 1),
      reel('a', 1),
    ];
    const order: string[] = [];
    for (let left = stock; left.length > 0;) {
      const { stockId } = chosen(left, { otherColours: true });
      order.push(stockId!);
      left = left.filter(({ id }) => id !== stockId);
    }
    expect(order).toEqual(['a', 'b', 'other', 'stripe', 'larger']);
    expect(chosen([stock[1]!], { otherColours: true })).toMatchObject({ colourDiffers: true, larger: false });
    expect(chosen([stock[2]!], { otherColours: true })).toMatchObject({ colourDiffers: true });
    expect(chosen([stock[0]!])).toMatchObject({ colourDiffers: false, larger: true });
    expect(chosen([stock[3]!])).toMatchObject({ colourDiffers: false, larger: false });
  });
  it('one that is asked for is taken, and said to differ', () => {
    const asked = wire(1.5, { colour: { base: 'blue' } });
    expect(chooseInsertWire(old, [], 60, 200, { asked })).toEqual({ wire: asked, colourDiffers: true, larger: true });
    expect(chooseInsertWire(old, [], 60, 200, { asked: old })).toMatchObject({ colourDiffers: false, larger: false });
  });
  it('one that is asked for and too small is refused by name, and chosen anew', () => {
    const made = chooseInsertWire(old, [reel('r', 1)], 60, 200, { asked: wire(0.5) });
    expect([made.stockId, made.refusedBecause]).toEqual([
      'r',
      expect.stringMatching(/0.5 mm² is smaller than the 1 mm²/),
    ]);
  });
});
