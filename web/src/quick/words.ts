import type { Moisture, Vibration } from '@mendum/core';

export const VIBRATION_WORDS: Record<Vibration, string> = {
  none: 'stands still',
  low: 'hardly shakes',
  moderate: 'shakes',
  high: 'shakes hard',
};
export const MOISTURE_WORDS: Record<Moisture, string> = { dry: 'dry', damp: 'damp', wet: 'wet' };
