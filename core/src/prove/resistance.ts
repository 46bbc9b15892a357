import { resistanceMilliohm, type WireSpec } from '../wire/index.ts';

/** Limits for a joint measured with four leads, mΩ. `alarm` says which of its three causes is the least. */
export interface ResistanceLimits {
  readonly goodMilliohm: number;
  readonly alarmMilliohm: number;
  readonly alarmFrom: 'twice the wire' | '5 mΩ' | '50 mV under load';
}

const SHORTEST_MM = 10;
const HIGHEST_MILLIOHM = 5;
const HIGHEST_DROP_MV = 50;

/**
 * Good up to the resistance of the same length of the (smaller) wire, not under 10 mm; alarm at twice that, above 5 mΩ, or above
 * 50 mV ÷ load, whichever is least.
 * @param wire the smaller of two sizes
 */
export function resistanceLimits(wire: WireSpec, jointLengthMm: number, loadA?: number): ResistanceLimits {
  const goodMilliohm = resistanceMilliohm(wire, Math.max(SHORTEST_MM, jointLengthMm));
  const alarms: readonly ResistanceLimits[] = [
    { goodMilliohm, alarmMilliohm: 2 * goodMilliohm, alarmFrom: 'twice the wire' },
    { goodMilliohm, alarmMilliohm: HIGHEST_MILLIOHM, alarmFrom: '5 mΩ' },
    ...(loadA !== undefined && loadA > 0 ? [{ goodMilliohm, alarmMilliohm: HIGHEST_DROP_MV / loadA, alarmFrom: '50 mV under load' as const }] : []),
  ];
  return alarms.reduce((least, next) => (next.alarmMilliohm < least.alarmMilliohm ? next : least));
}
