import { describe, expect, it } from 'vitest';
import { checkJob, NOTHING_YET } from '../job/index.ts';
import { stretchHarness, type OpenedStretch } from './index.ts';

const STRETCH: OpenedStretch = {
  ends: ['Cab wall', 'Grommet G4'],
  lengthMm: 820,
  place: 'cabin',
  wires: [
    { colour: { base: 'red' }, size: { basis: 'metric', areaMm2: 1.5 } },
    { colour: { base: 'blue', stripe: 'white' }, size: { basis: 'trade', awg: 18 } },
  ],
};
const machine = { id: 'M', name: 'M', kind: 'tractor', systemVoltageV: 12 };

describe('a stretch of harness that was opened', () => {
  it('is a harness between its two ends, with the wires numbered as they were seen', () => {
    const harness = stretchHarness(STRETCH);
    expect(harness.name).toBe('Cab wall to Grommet G4');
    expect(harness.runs).toMatchObject([{ lengthMm: 820, fromNodeId: 'A', toNodeId: 'B' }]);
    expect(harness.circuits.map(({ number, function: does }) => [number, does])).toEqual([
      ['1', 'Red wire'],
      ['2', 'Blue with white stripe wire'],
    ]);
    expect(
      checkJob({ ...NOTHING_YET, id: 'J', number: '1', title: '', machine, harness: { id: 'H', ...harness } }),
    ).toEqual([]);
  });
  it('may have no length: that is said, and none is made up', () =>
    expect(stretchHarness({ ...STRETCH, lengthMm: undefined }).runs).toMatchObject([{ lengthMm: 1, atLeast: true }]));
  it('makes up no connector and no cavity', () =>
    expect(stretchHarness(STRETCH).nodes.map(({ kind }) => kind)).toEqual(['end', 'end']));
});
