import { describe, expect, it, test } from 'vitest';
import { deciding, statusOf, type Verdict } from '../method/index.ts';
import { hit, ratedHits } from './hits.ts';

const hits = (...verdicts: readonly Verdict[]) =>
  verdicts.map((verdict, index) => hit(`${verdict}${index}`, verdict, 'because', 'trade practice'));

test.each<[string, readonly Verdict[], string, string | undefined]>([
  ['nothing said', [], 'allowed', undefined],
  ['only warned', ['warn', 'prefer'], 'allowed', undefined],
  ['warned, then not there', ['warn', 'shelf'], 'shelf', 'shelf1'],
  ['warned, then refused', ['warn', 'refuse'], 'refused', 'refuse1'],
  ['not there, then refused', ['shelf', 'warn', 'refuse'], 'refused', 'refuse2'],
  ['refused twice', ['refuse', 'refuse'], 'refused', 'refuse0'],
])('%s', (_, verdicts, status, ruleId) => {
  expect(statusOf(hits(...verdicts))).toBe(status);
  expect(deciding(hits(...verdicts))?.ruleId).toBe(ruleId);
});

it('what is refused no practice lifts', () =>
  expect(hits('refuse', 'warn', 'shelf').map(({ overridable }) => overridable)).toEqual([false, true, true]));

describe('what does not stand the heat of its place', () => {
  const [cool, warm] = [
    { name: 'Cool', ratedC: 90 },
    { name: 'Warm', ratedC: 105 },
  ];
  test.each([
    [90, undefined],
    [90.1, 'Cool is rated 90 °C; ambient and own heating reach 90.'],
    [120, 'Cool is rated 90 °C; ambient and own heating reach 120.'],
  ])('at %d °C', (placeC, because) =>
    expect(ratedHits([cool, warm], placeC).map((one) => one.because)).toEqual(because === undefined ? [] : [because]),
  );
});
