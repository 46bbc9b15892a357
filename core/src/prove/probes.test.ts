import { describe, expect, it, test } from 'vitest';
import { betweenProbes, resistanceLimits } from '../wire/index.ts';
import { wire } from '../test/samples.ts';
import { familyOf } from '../family/index.ts';
import { checksFor, rule, type Check, type MeasuredPath, type ReadingValue } from './index.ts';

/** Worked by hand: 1 mm of 0.5 mm² stranded has 1.02 · 0.017241 / 0.5 = 0.035172 mΩ at 20 °C, of 1.5 mm² 0.011724. */
const checksOf = (mm2: number, loadA: number | undefined, path?: MeasuredPath): readonly Check[] =>
  checksFor({
    proof: familyOf('sealedButt').proof,
    seal: 'builtIn',
    tinLead: false,
    pullMinimumN: 58,
    limits: resistanceLimits(wire(mm2), 15, loadA),
    between: betweenProbes([wire(mm2)], 15),
    proving: 'measured',
    loadA,
    path,
    copperMm2: mm2,
  });
const ruled = (checks: readonly Check[], id: string, value: ReadingValue) =>
  rule(
    checks.find((check) => check.id === id)!,
    value,
  );
const word = ({ verdict, watch }: ReturnType<typeof rule>): string => (watch ? `${verdict}, watch` : verdict);

describe('probes that stand away from the joint read wire as well', () => {
  // 0.5 mm², joint 15: good 0.5276, alarm at 1.0551. Probes 115 apart: 100 of bare wire, 3.5172; 0.7 of it 2.4620.
  const checks = checksOf(0.5, undefined);
  test.each<[number, number | undefined, string]>([
    [0.52, undefined, 'pass'],
    [0.54, undefined, 'pass, watch'],
    [1.05, undefined, 'pass, watch'],
    [1.06, undefined, 'scrap'],
    [2.461, 115, 'open'],
    [2.463, 115, 'pass'],
    [4.044, 115, 'pass'],
    [4.046, 115, 'pass, watch'],
    [4.572, 115, 'pass, watch'],
    [4.573, 115, 'scrap'],
    [0.52, 15, 'pass'],
    [0.54, 12, 'pass, watch'],
    [0, 115, 'open'],
  ])('%s mΩ with %s mm between the probes: %s', (milliohm, probesMm, verdict) => {
    expect(word(ruled(checks, 'resistance', { kind: 'resistance', milliohm, probesMm }))).toBe(verdict);
    expect(
      word(ruled(checks, 'drop', { kind: 'drop', millivolt: milliohm * 3, ampere: 3, probesMm })),
      'the same as a drop at 3 A',
    ).toBe(verdict);
  });
  it('takes the thicker of two wires, which has the least: no reading is passed by wire that is not there', () => {
    expect(betweenProbes([wire(0.5), wire(1.5)], 10).milliohmPerMm).toBeCloseTo(0.011724, 6);
  });
  it('says what the wire alone has', () => {
    expect(ruled(checks, 'resistance', { kind: 'resistance', milliohm: 1, probesMm: 115 }).cause).toBe(
      '1 mΩ, 0 without the wire beside it: too low to be true, the wire between the probes alone has 3.5 mΩ.',
    );
  });
  test.each([0, -5, 20_001])('%s mm between the probes cannot be', (probesMm) => {
    expect(() => ruled(checks, 'resistance', { kind: 'resistance', milliohm: 1, probesMm })).toThrow(
      /A distance between the probes of .* mm cannot be/,
    );
  });
});

describe('a drop over the path is shared by its joints', () => {
  // 3000 mm of 1.5 mm²: 35.172 mΩ at 20 °C, 37.937 at 40 °C; with 500 mm of 2.5 mm² in it 32.827.
  const path: MeasuredPath = { wire: wire(1.5), lengthMm: 3000, pieces: [], joints: 2 };
  const insert: MeasuredPath = { ...path, pieces: [{ wire: wire(2.5), lengthMm: 500 }] };
  const at = (millivolt: number, celsius = 20, joints = 2): ReadingValue => ({
    kind: 'path',
    millivolt,
    ampere: 10,
    lengthMm: 3000,
    celsius,
    joints,
  });
  test.each<[string, MeasuredPath, number | undefined, ReadingValue, string]>([
    ['1 mΩ each, just', path, 8, at(371.7), 'pass'],
    ['over 1 mΩ each', path, 8, at(371.8), 'pass, watch'],
    ['5 mΩ each, just', path, 8, at(451.7), 'pass, watch'],
    ['over 5 mΩ each', path, 8, at(451.8), 'rework'],
    ['50 mV each at 20 A is 2.5 mΩ', path, 20, at(401.7), 'pass, watch'],
    ['over 50 mV each at 20 A', path, 20, at(401.8), 'rework'],
    ['one joint has it all', path, 8, at(371.8, 20, 1), 'pass, watch'],
    ['a warm wire has more itself', path, 8, at(399.3, 40), 'pass'],
    ['a warm wire, over', path, 8, at(399.4, 40), 'pass, watch'],
    ['a thicker insert has less', insert, 8, at(348.2), 'pass'],
    ['a thicker insert, over', insert, 8, at(348.3), 'pass, watch'],
    ['0.7 of the cold wire, just', path, 8, at(246.3), 'pass'],
    ['under 0.7 of the cold wire', path, 8, at(246.1), 'open'],
    ['nothing at all', path, 8, at(0), 'open'],
    ['a fifth of the load, just', path, 50, at(360), 'pass'],
    ['under a fifth of the load', path, 50.1, at(360), 'open'],
  ])('%s', (_, of, loadA, value, verdict) => {
    expect(word(ruled(checksOf(1.5, loadA, of), 'path', value))).toBe(verdict);
  });
  it('where the wire itself is less well known than its joints, that is said', () => {
    const long: MeasuredPath = { ...path, wire: wire(0.35), lengthMm: 6000, joints: 1 };
    const ruling = ruled(checksOf(0.35, undefined, long), 'path', {
      kind: 'path',
      millivolt: 301.5,
      ampere: 1,
      lengthMm: 6000,
      celsius: 20,
      joints: 1,
    });
    expect(word(ruling)).toBe('pass, watch');
    expect(ruling.next).toMatch(/over the joint alone is surer/);
  });
});

describe('above 6.64 mm² the drop is the reading', () => {
  const group = (mm2: number): string[] =>
    checksOf(mm2, 40, { wire: wire(mm2), lengthMm: 900, pieces: [], joints: 1 })
      .filter(({ anyOf }) => anyOf !== undefined)
      .map(({ id }) => id);
  it('micro-ohms are nothing for a shop', () => {
    expect(group(6)).toEqual(['resistance', 'drop', 'path', 'unmeasured']);
    expect(group(8)).toEqual(['drop', 'path', 'unmeasured']);
  });
});
