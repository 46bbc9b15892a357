import type { Area, Moisture, Vibration, Zone } from './types.ts';

/** Maximum ambient in °C where a zone has none of its own. */
export const AMBIENT_BY_AREA_C: Record<Area, number> = { cabin: 40, body: 60, chassis: 60, engine: 85 };

/** Maximum ambient of a zone, °C: as measured, else its area's usual one. */
export const ambientC = (zone: Zone): number => zone.ambientC ?? AMBIENT_BY_AREA_C[zone.area];

/** Vibrating means moderate or high. */
export const isVibrating = (zone: Pick<Zone, 'vibration'>): boolean =>
  zone.vibration === 'moderate' || zone.vibration === 'high';

/** Still means no vibration that counts. */
export const isStill = (zone: Pick<Zone, 'vibration'>): boolean => !isVibrating(zone);

const VIBRATION_WORDS: Record<Vibration, string> = {
  none: 'stands still',
  low: 'hardly shakes',
  moderate: 'shakes',
  high: 'shakes hard',
};
const MOISTURE_WORDS: Record<Moisture, string> = { dry: 'stays dry', damp: 'is damp', wet: 'gets wet' };

export const vibrationInWords = (zone: Pick<Zone, 'vibration'>): string => VIBRATION_WORDS[zone.vibration];
export const moistureInWords = (zone: Pick<Zone, 'moisture'>): string => MOISTURE_WORDS[zone.moisture];
