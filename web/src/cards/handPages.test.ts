import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { CARD, drawnOnCard, handPages, linesBeside } from './handPages.ts';

describe('a card for the hand', () => {
  test.each([
    [2, 60, 2],
    [14, 62, 2],
    [15, 62, 4],
    [80, 62, 6],
  ])('%d cavities beside a face of %d mm', (cavities, high, sides) =>
    expect(handPages(Array.from({ length: cavities }, String), high)).toHaveLength(sides),
  );
  it('has every cavity, in order, on both sides where that fits, no side over its room, as many sides as can be folded', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.double({ min: 5, max: 62, noNaN: true }), (cavities, high) => {
        const all = Array.from({ length: cavities }, String);
        const pages = handPages(all, high);
        const told = pages.flatMap(({ lines }) => lines);
        expect(told).toEqual(cavities <= linesBeside(high) ? [...all, ...all] : all);
        expect(pages.length % 2).toBe(0);
        expect(pages.slice(0, 2).map(({ side }) => side)).toEqual(['wire', 'mating']);
        for (const { side, lines } of pages) expect(lines.length).toBeLessThanOrEqual(linesBeside(side ? high : 0));
      }),
    );
  });
  test.each([
    ['a wide face', 1000, 100],
    ['a high one', 100, 1000],
    ['a small one', 68, 90],
  ])('%s is drawn within the card, in its own proportions', (_what, wide, high) => {
    const drawn = drawnOnCard(wide, high);
    expect(drawn.wide).toBeLessThanOrEqual(CARD.wide - 2 * CARD.margin + 1e-9);
    expect(drawn.high).toBeLessThanOrEqual(62 + 1e-9);
    expect(drawn.wide / drawn.high).toBeCloseTo(wide / high, 9);
  });
});
