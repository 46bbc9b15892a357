import { addDays, addHours } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dailyName, KEPT, madeAt, tooMany } from './keep.ts';

const begin = new Date(2031, 4, 20, 3, 0, 0);
const days = (count: number): string[] => Array.from({ length: count }, (_, n) => dailyName(addDays(begin, n)));

describe('daily backups that are kept', () => {
  it('are named by the moment, and read back', () => {
    expect(dailyName(begin)).toBe('mendum-daily-2031-05-20T03-00-00.tar.gz');
    expect(madeAt(dailyName(begin))).toEqual(begin);
  });
  const cases: readonly (readonly [string, readonly string[], number])[] = [
    ['a week: all', days(7), 7],
    // 20 to 27 May are two weeks of the calendar, the older of which has its newest among the seven days.
    ['eight days: the oldest goes', days(8), 7],
    ['two on one day: the newer stays', [dailyName(begin), dailyName(addHours(begin, 5))], 1],
    ['files of other names stay, and are not counted', ['mendum.tar.gz', 'photos', ...days(1)], 1],
  ];
  it.each(cases)('%s', (_, names, left) => {
    const gone = tooMany(names);
    expect(names.filter((name) => madeAt(name) && !gone.includes(name))).toHaveLength(left);
    expect(gone.filter((name) => madeAt(name) === undefined)).toEqual([]);
  });
  it('after two years: 7 days, further back a week each, further back a month each', () => {
    const names = days(730);
    const gone = tooMany(names);
    const kept = names.filter((name) => !gone.includes(name)).reverse();
    expect(kept.slice(0, 7)).toEqual(names.slice(-7).reverse());
    expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
    const oldest = madeAt(kept.at(-1) ?? '');
    const newest = madeAt(names.at(-1) ?? '');
    expect((newest?.getTime() ?? 0) - (oldest?.getTime() ?? 0)).toBeGreaterThan(300 * 86_400_000);
  });
  it('pruned day by day it keeps what pruning once would, and the newest always', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 120 }), (hours) => {
        let at = begin;
        let there: string[] = [];
        for (const more of hours) {
          at = addHours(at, more);
          there = [...there, dailyName(at)];
          const gone = tooMany(there);
          expect(gone).not.toContain(dailyName(at));
          there = there.filter((name) => !gone.includes(name));
          expect(there.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
          expect(tooMany(there)).toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });
});
