import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { wire } from '../test/samples.ts';
import { kitFor, sticksNeeded, type KitNeed } from './index.ts';

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
  it('a piece longer than a stick is refused with both figures', () => expect(() => sticksNeeded([1300], 1200)).toThrow('A piece of 1300 mm cannot be cut from sticks of 1200 mm'));
  it('never takes fewer than the tube there is, nor more than a stick a piece', () => {
    fc.assert(fc.property(fc.array(fc.integer({ min: 20, max: 400 }), { minLength: 1, maxLength: 40 }), (pieces) => {
      const sticks = sticksNeeded(pieces, 1200);
      const tube = pieces.reduce((sum, piece) => sum + piece, 0);
      expect(sticks).toBeGreaterThanOrEqual(Math.ceil(tube / 1200));
      expect(sticks).toBeLessThanOrEqual(pieces.length);
      expect(sticksNeeded([...pieces].reverse(), 1200)).toBe(sticks);
    }), { seed: 11 });
  });
});

describe('the kit', () => {
  const need = (more: Partial<KitNeed>): KitNeed => ({ spliceId: 's', partIds: [], sleeveCuts: [], tapeMm: [], toolNames: [], ...more });
  it('counts pieces of the same part together, and each tool once', () => {
    const kit = kitFor([need({ partIds: ['clip-L'], toolNames: ['Crimper'] }), need({ partIds: ['clip-L'], toolNames: ['Crimper', 'Gun'] })], FULL_SHELF);
    expect(kit.lines).toMatchObject([{ id: 'clip-L', need: 2, unit: 'piece', state: 'have' }]);
    expect(kit.tools).toEqual(['Crimper', 'Gun']);
  });
  it('solder is one reel for all joints', () => {
    const kit = kitFor([need({ partIds: ['solder-tinLead'] }), need({ partIds: ['solder-tinLead'] })], FULL_SHELF);
    expect(kit.lines).toMatchObject([{ id: 'solder-tinLead', need: 1, unit: 'reel' }]);
  });
  it('wire of one reel adds up, and says when the reel is too short', () => {
    const piece = (lengthMm: number): KitNeed => need({ wire: { circuitNumber: '1', spec: wire(2.5), lengthMm, stockId: 'reel-2.5-red', tag: false } });
    expect(kitFor([piece(4000), piece(3000)], FULL_SHELF).lines).toMatchObject([{ need: 7000, have: 10_000, state: 'have' }]);
    expect(kitFor([piece(8000), piece(3000)], FULL_SHELF).lines).toMatchObject([{ state: 'short', note: 'Find 1000 mm more, from a scrap harness or reel.' }]);
  });
  it('wire that no reel has is to be found', () => {
    const kit = kitFor([need({ wire: { circuitNumber: '1', spec: wire(35), lengthMm: 200, tag: false } })], FULL_SHELF);
    expect(kit).toMatchObject({ ready: false, lines: [{ need: 200, have: 0, state: 'short' }] });
  });
  it('nothing to make is a kit that is ready', () => expect(kitFor([], FULL_SHELF)).toMatchObject({ lines: [], ready: true }));
});
