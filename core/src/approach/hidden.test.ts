import { describe, expect, it } from 'vitest';
import { onlyFinding, WET_SHAKING } from '../test/samples.ts';

describe('a break inside whole insulation: all between two good readings is lost', () => {
  const broken = (toMm: number, slackMm?: number) =>
    onlyFinding({ kind: 'brokenInside', fromMm: 500, toMm, slackMm }, { zone: WET_SHAKING });
  it('a stretch no longer than the slack is cut out as if parted, with one splice', () => {
    expect(broken(530, 30)).toMatchObject({ approach: 'oneSplice', lost: { fromMm: 500, toMm: 530 }, asks: [] });
    expect(broken(530, 30).because[0]).toMatch(/all between the two good readings/);
  });
  it('a longer one is read once more first', () => {
    expect(broken(531, 30).asks).toMatchObject([
      { does: 'measure', at: { on: 'finding', findingId: 'F1', field: 'fromMm' } },
    ]);
    expect(broken(700).asks[0]?.words).toBe(
      'Read once more between 500 and 700 mm before anything is cut: the stretch is 200 mm and no slack is measured. Or note why it cannot be narrowed',
    );
    expect(broken(540, 30).asks[0]?.words).toMatch(/the stretch is 40 mm and slack is 30\./);
    expect(broken(700).approach).toBe('insert');
  });
  it('once it is noted why it cannot be narrowed, nothing is asked any more', () =>
    expect(
      onlyFinding({ kind: 'brokenInside', fromMm: 500, toMm: 700, note: 'Moulded in.' }, { zone: WET_SHAKING }).asks,
    ).toEqual([]));
});
