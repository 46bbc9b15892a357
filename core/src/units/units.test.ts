import { describe, expect, it, test } from 'vitest';
import { findingInWords, lostStretch, visibleLengthMm, type Finding } from '../damage/index.ts';
import { colourInWords, isColour } from '../wire/index.ts';
import {
  ceilTo,
  figure,
  formatArea,
  formatMm,
  inchesToMm,
  mmToInches,
  newtonsToPoundsForce,
  roundTo,
} from './index.ts';

describe('units', () => {
  it('an inch is 25.4 mm, exactly, there and back', () => {
    expect(inchesToMm(1)).toBe(25.4);
    expect(mmToInches(inchesToMm(7.25))).toBeCloseTo(7.25, 12);
  });
  it('50 lbf are 222.4 N', () => expect(newtonsToPoundsForce(222.41108)).toBeCloseTo(50, 5));
});

describe('figures for people', () => {
  test.each([
    [7, 1, '7'],
    [3.75, 2, '3.75'],
    [36.7 - 0.2, 1, '36.5'],
    [0.5, 0, '1'],
    [-0.5, 0, '-1'],
    [1.005, 2, '1.01'],
    [1e-12, 3, '0'],
  ])('%d to %i decimals is %s', (value, digits, text) => expect(figure(value, digits)).toBe(text));
  it('ties go away from zero on both sides', () => expect([roundTo(2.5, 0), roundTo(-2.5, 0)]).toEqual([3, -3]));
  test.each([
    [37.0000000001, 37],
    [36.7, 37],
    [37, 37],
    [37.01, 38],
  ])('%d rounded up is %i, with grace for floats', (value, up) => expect(ceilTo(value)).toBe(up));
  it('lengths and areas carry their unit', () => {
    expect(formatMm(19.5)).toBe('19.5 mm');
    expect(formatArea(0.518)).toBe('0.518 mm²');
    expect(formatArea(2.5)).toBe('2.5 mm²');
  });
});

describe('what was found, in words and lengths', () => {
  const finding: Finding = {
    id: 'F',
    circuitId: 'C',
    runId: 'R',
    kind: 'strandsLost',
    fromMm: 100,
    toMm: 112,
    cutBackLeftMm: 4,
    cutBackRightMm: 6,
    strandsLost: 3,
    strandsTotal: 19,
  };
  it('what is lost is what is seen and the cut-back on both sides', () => {
    expect(visibleLengthMm(finding)).toBe(12);
    expect(lostStretch(finding)).toEqual({ fromMm: 96, toMm: 118 });
  });
  it('strands are counted, and what is left of the copper', () =>
    expect(findingInWords(finding)).toBe('strands nicked or broken, 3 of 19 lost, 16/19 of the copper left'));
});

describe('colours', () => {
  it('are told base first, then the stripe', () => {
    expect(colourInWords({ base: 'red', stripe: 'black' })).toBe('red with black stripe');
    expect(colourInWords({ base: 'light blue' })).toBe('light blue');
  });
  it.each([
    ['red', true],
    ['mauve', false],
    ['', false],
  ])('%j is a colour: %s', (word, known) => expect(isColour(word)).toBe(known));
});
