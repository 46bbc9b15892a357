import { describe, expect, test } from 'vitest';
import { contactLimits, type ResistanceLimits } from './joint.ts';

describe('from a wire to the mating contact: alarm at twice the good one, or at 50 mV under load', () => {
  test.each<[string, number, number | undefined, ResistanceLimits]>([
    ['no load known', 5, undefined, { goodMilliohm: 5, alarmMilliohm: 10, alarmFrom: 'twice the good contact' }],
    ['no load', 5, 0, { goodMilliohm: 5, alarmMilliohm: 10, alarmFrom: 'twice the good contact' }],
    [
      '5 A: 50 ÷ 5 is as much as twice',
      5,
      5,
      { goodMilliohm: 5, alarmMilliohm: 10, alarmFrom: 'twice the good contact' },
    ],
    ['8 A', 5, 8, { goodMilliohm: 5, alarmMilliohm: 6.25, alarmFrom: '50 mV under load' }],
    [
      '20 A: good is never above the alarm',
      5,
      20,
      { goodMilliohm: 2.5, alarmMilliohm: 2.5, alarmFrom: '50 mV under load' },
    ],
    [
      '100 A on a stud: less than a meter shows is not asked',
      1,
      100,
      { goodMilliohm: 0.6, alarmMilliohm: 0.6, alarmFrom: 'the least that a shop meter shows' },
    ],
  ])('%s', (_, good, loadA, limits) => expect(contactLimits(good, loadA)).toEqual(limits));
});
