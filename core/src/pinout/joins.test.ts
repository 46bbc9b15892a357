import { describe, expect, it } from 'vitest';
import type { PinoutHarness } from './index.ts';
import { asked, circuits, clean, read } from './test/sheets.ts';

/** A list of one end that was read before: its far end is not known. */
const KNOWN: PinoutHarness = {
  nodes: [
    { id: 'X1', kind: 'connector', name: 'X1' },
    { id: 'Far-end-not-known', kind: 'end', name: 'Far end not known' },
  ],
  runs: [],
  circuits: clean(
    read(
      'Connector | Cavity | Circuit | Size | Colour | Function\nX1 | 1 | 701 | trade 16 | red | Lamp feed',
      { answers: { to: '?' } },
      { nodes: [], runs: [], circuits: [] },
    ),
  ).rows.map(({ circuit }) => circuit),
};
const second = (size: string, answers: Readonly<Record<string, string>> = {}) =>
  read(`Connector | Cavity | Circuit | Size | Colour\nX2 | A | 701 | ${size} | red`, { answers }, KNOWN);

describe('a second sheet, of the other end', () => {
  it('is asked whether it is that wire, and fills its far end', () => {
    expect(asked(second('1.0'))).toEqual(['number:701']);
    // As much copper by another name: what is known stays.
    expect(circuits(clean(second('1.0', { 'number:701': 'one' })))).toEqual(['701 Lamp feed trade16 red X1.1-X2.A']);
  });
  it('with another wire is refused, on both sides of what counts as the same', () => {
    expect(second('1.009 mm²', { 'number:701': 'one' }).problems).toEqual([]);
    expect(second('1.5', { 'number:701': 'one' }).problems.map(({ line, why }) => [line, why])).toEqual([
      [2, 'Circuit 701 is 1.5 mm² red here and trade 16 (1 mm²) red in the harness.'],
    ]);
  });
  it('is a wire of its own where somebody says so', () =>
    expect(circuits(clean(second('1.5', { 'number:701': 'own', to: '?' })))).toEqual([
      '701-2 Circuit 701-2 1.5 red X2.A-Far-end-not-known.701-2',
    ]));
  it('the same cavity again changes what is known of it, and asks nothing of its far end', () =>
    expect(
      circuits(clean(read('Connector | Cavity | Circuit | Size | Colour\nX1 | 1 | 701 | 1.5 | blue', {}, KNOWN))),
    ).toEqual(['701 Lamp feed 1.5 blue X1.1-Far-end-not-known.701']));
});
