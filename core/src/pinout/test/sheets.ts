import fc from 'fast-check';
import { expect } from 'vitest';
import { type Circuit, type Run } from '../../harness/index.ts';
import { COLOURS, METRIC_SIZES_MM2, TRADE_PAIRS_MM2, type WireSpec } from '../../wire/index.ts';
import { importable, readPinout, type PinoutChoices, type PinoutHarness, type PinoutReading } from '../index.ts';

const zone = { area: 'chassis', vibration: 'low', moisture: 'dry', fuelVapour: false } as const;
const run = (id: string, fromNodeId: string, toNodeId: string): Run => ({
  id,
  name: `Run ${id}`,
  fromNodeId,
  toNodeId,
  lengthMm: 500,
  zone,
  features: [],
});
export const EMPTY: PinoutHarness = { nodes: [], runs: [], circuits: [] };
export const BARE_TREE: PinoutHarness = {
  nodes: [
    {
      id: 'X31',
      kind: 'connector',
      name: 'X31',
      face: { layout: { kind: 'rows', rows: 2, columns: 7 }, numbering: { kind: 'rowWise' } },
    },
    { id: 'B1', kind: 'branch', name: 'B1' },
    { id: 'X32', kind: 'connector', name: 'X32' },
    { id: 'X33', kind: 'connector', name: 'Sensor plug' },
  ],
  runs: [run('R1', 'X31', 'B1'), run('R2', 'B1', 'X32'), run('R3', 'B1', 'X33')],
  circuits: [],
};

/** Cells written as a table with | between them. */
export const table = (text: string): string[][] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()));
export const read = (text: string, choices: PinoutChoices = {}, harness = BARE_TREE): PinoutReading =>
  readPinout({ rows: table(text) }, harness, choices);
const short = ({ number, function: words, wire, from, to }: Circuit): string =>
  `${number} ${words} ${wire.size.basis === 'metric' ? wire.size.areaMm2 : `${wire.size.basis}${wire.size.awg}`} ${wire.colour.base}${wire.colour.stripe ? `/${wire.colour.stripe}` : ''} ${from.nodeId}.${from.cavity}-${to.nodeId}.${to.cavity}`;
export const circuits = (reading: PinoutReading): string[] => reading.rows.map((row) => short(row.circuit));
/** What becomes of every line, in the order of the sheet. */
export const outcomes = (reading: PinoutReading): string[] => reading.lines.map(({ outcome }) => outcome);
/** The words of the lines that are left out. */
export const leftOut = (reading: PinoutReading): string[] =>
  reading.lines.flatMap(({ outcome, text }) => (outcome === 'leftOut' ? [text] : []));
/** What is asked, by its key. */
export const asked = (reading: PinoutReading): string[] => reading.questions.map(({ key }) => key);
export const clean = (reading: PinoutReading): PinoutReading => {
  expect([...reading.problems, ...reading.questions]).toEqual([]);
  expect(importable(reading)).toBe(true);
  return reading;
};

const size: fc.Arbitrary<WireSpec['size']> = fc.oneof(
  fc.constantFrom(...METRIC_SIZES_MM2).map((areaMm2) => ({ basis: 'metric' as const, areaMm2 })),
  fc.record({ basis: fc.constant('awg' as const), awg: fc.integer({ min: -3, max: 30 }) }),
  fc.record({ basis: fc.constant('trade' as const), awg: fc.constantFrom(...TRADE_PAIRS_MM2.keys()) }),
);
export const words = fc
  .string({ minLength: 1, maxLength: 30, unit: 'grapheme-ascii' })
  .map((text) => text.trim())
  .filter((text) => text !== '' && !/^(?:["'^.-]+|do\.?|ditto|same|id\.?|idem)$/i.test(text));
const colour = fc
  .tuple(fc.constantFrom(...COLOURS), fc.option(fc.constantFrom(...COLOURS)))
  .map(([base, stripe]) => (stripe === null || stripe === base ? { base } : { base, stripe }));
export const wire: fc.Arbitrary<WireSpec> = fc.record({
  size,
  colour,
  conductor: fc.oneof(
    fc.constant({ kind: 'solid' as const }),
    fc.constant({ kind: 'stranded' as const }),
    fc.integer({ min: 2, max: 400 }).map((strands) => ({ kind: 'stranded' as const, strands })),
  ),
  jacket: fc.record({
    material: fc.constantFrom('pvc', 'pvc105', 'xlpe', 'etfe', 'silicone', 'ptfe'),
    wall: fc.constantFrom('extraThin', 'thin', 'general', 'heavy', 'pvcPrimary'),
  }),
});
