import { describe, expect, it, test } from 'vitest';
import { GENERIC_PARTS, type Part } from '../catalogue/index.ts';
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
  const [known] = GENERIC_PARTS.filter((part) => part.kind === 'tape');
  const of = (name: string, ratedC: number): Part => ({ ...known!, id: name, name, ratedC });
  const hitsAt = (placeC: number) => ratedHits([of('Cool', 90), of('Warm', 105)], placeC);
  test.each([
    [90, undefined, []],
    [90.1, 'Cool is rated 90 °C; ambient and own heating reach 91.', ['Cool 91']],
    [105, 'Cool is rated 90 °C; ambient and own heating reach 105.', ['Cool 105']],
    [120, 'Cool is rated 90 °C; ambient and own heating reach 120.', ['Cool 120', 'Warm 120']],
  ])('at %d °C', (placeC, because, orders) => {
    expect(hitsAt(placeC).map((one) => one.because)).toEqual(because === undefined ? [] : [because]);
    expect(hitsAt(placeC).flatMap((one) => one.orders ?? [])).toEqual(
      orders.map((words) => {
        const [name = '', ratedC] = words.split(' ');
        return { name, number: 1, fits: `25 mm wide, rated ${ratedC} °C or more`, isUnlisted: true };
      }),
    );
  });
});
