import type { WireSpec } from './conductor.ts';
import { resistanceMilliohm } from './resistance.ts';

/** Limits for a joint measured with four leads, mΩ. `alarmFrom` says which of its causes is the least. */
export interface ResistanceLimits {
  readonly goodMilliohm: number;
  readonly alarmMilliohm: number;
  readonly alarmFrom:
    'twice the wire' | 'twice the good contact' | '5 mΩ' | '50 mV under load' | 'the least that a shop meter shows';
}

/** A joint or terminal is judged as at least this length of wire, mm. */
export const LEAST_JOINT_MM = 10;
/** Usual limit of the drop over one joint or terminal, mV, at 12 V; as an alarm, at any system voltage. */
export const JOINT_DROP_MV = 50;
const HIGHEST_MILLIOHM = 5;
/**
 * Under these nothing is asked: what a good shop meter shows with certainty, mΩ. Source: numbers, resistance of a
 * joint.
 */
const LEAST_GOOD_MILLIOHM = 0.3;
const LEAST_ALARM_MILLIOHM = 0.6;

/**
 * Good up to the resistance of the same length of the (smaller) wire, not under 10 mm; alarm at twice that, above 5 mΩ,
 * or above 50 mV ÷ load, whichever is least. Good is never asked under 0.3 mΩ nor alarm under 0.6.
 * @param wire the smaller of two sizes
 */
export function resistanceLimits(wire: WireSpec, jointLengthMm: number, loadA?: number): ResistanceLimits {
  const ofWire = resistanceMilliohm(wire, Math.max(LEAST_JOINT_MM, jointLengthMm));
  const goodMilliohm = Math.max(LEAST_GOOD_MILLIOHM, ofWire);
  const alarms: readonly ResistanceLimits[] = [
    { goodMilliohm, alarmMilliohm: 2 * ofWire, alarmFrom: 'twice the wire' },
    { goodMilliohm, alarmMilliohm: HIGHEST_MILLIOHM, alarmFrom: '5 mΩ' },
    ...(loadA !== undefined && loadA > 0
      ? [{ goodMilliohm, alarmMilliohm: JOINT_DROP_MV / loadA, alarmFrom: '50 mV under load' as const }]
      : []),
  ];
  const least = alarms.reduce((one, next) => (next.alarmMilliohm < one.alarmMilliohm ? next : one));
  return least.alarmMilliohm < LEAST_ALARM_MILLIOHM
    ? { goodMilliohm, alarmMilliohm: LEAST_ALARM_MILLIOHM, alarmFrom: 'the least that a shop meter shows' }
    : least;
}

/**
 * From the wire to the mating contact: good up to what its family's contact reads, alarm at twice that and above, or
 * above 50 mV ÷ load, whichever is least; good is never above the alarm. Source: numbers, current.
 * @param goodMilliohm what a good contact of the family reads, mΩ
 */
export function contactLimits(goodMilliohm: number, loadA?: number): ResistanceLimits {
  const ofLoad = loadA !== undefined && loadA > 0 ? JOINT_DROP_MV / loadA : Infinity;
  const least = Math.max(LEAST_ALARM_MILLIOHM, Math.min(2 * goodMilliohm, ofLoad));
  return {
    goodMilliohm: Math.min(goodMilliohm, least),
    alarmMilliohm: least,
    alarmFrom:
      least === 2 * goodMilliohm
        ? 'twice the good contact'
        : least === ofLoad
          ? '50 mV under load'
          : 'the least that a shop meter shows',
  };
}
