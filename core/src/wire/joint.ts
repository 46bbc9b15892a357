import type { WireSpec } from './conductor.ts';
import { resistanceMilliohm } from './resistance.ts';

/** Limits for a joint measured with four leads, mΩ. `alarm` says which of its three causes is the least. */
export interface ResistanceLimits {
  readonly goodMilliohm: number;
  readonly alarmMilliohm: number;
  readonly alarmFrom: 'twice the wire' | '5 mΩ' | '50 mV under load';
}

/** A joint or terminal is judged as at least this length of wire, mm. */
export const LEAST_JOINT_MM = 10;
/** Usual limit of the drop over one joint or terminal, mV, at 12 V; as an alarm, at any system voltage. */
export const JOINT_DROP_MV = 50;
const HIGHEST_MILLIOHM = 5;

/**
 * Good up to the resistance of the same length of the (smaller) wire, not under 10 mm; alarm at twice that, above 5 mΩ, or above
 * 50 mV ÷ load, whichever is least.
 * @param wire the smaller of two sizes
 */
export function resistanceLimits(wire: WireSpec, jointLengthMm: number, loadA?: number): ResistanceLimits {
  const goodMilliohm = resistanceMilliohm(wire, Math.max(LEAST_JOINT_MM, jointLengthMm));
  const alarms: readonly ResistanceLimits[] = [
    { goodMilliohm, alarmMilliohm: 2 * goodMilliohm, alarmFrom: 'twice the wire' },
    { goodMilliohm, alarmMilliohm: HIGHEST_MILLIOHM, alarmFrom: '5 mΩ' },
    ...(loadA !== undefined && loadA > 0
      ? [{ goodMilliohm, alarmMilliohm: JOINT_DROP_MV / loadA, alarmFrom: '50 mV under load' as const }]
      : []),
  ];
  return alarms.reduce((least, next) => (next.alarmMilliohm < least.alarmMilliohm ? next : least));
}
