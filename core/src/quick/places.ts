import type { Zone } from '../harness/index.ts';

/** Where a wire may live, as it is tapped; each sets what the place is like, which can be changed. */
export const QUICK_PLACES = ['engine', 'chassis', 'cabin', 'boom', 'tank', 'boat', 'box'] as const;
export type QuickPlace = (typeof QUICK_PLACES)[number];

interface PlaceFacts {
  readonly words: string;
  readonly zone: Zone;
  /** The wire bends there in use. */
  readonly bends: boolean;
}

type Likeness = Pick<Zone, 'area' | 'vibration' | 'moisture'>;
const SHAKEN_WET: Likeness = { area: 'chassis', vibration: 'high', moisture: 'wet' };

const usually = (words: string, like: Likeness, { fuelVapour = false, bends = false } = {}): PlaceFacts => ({
  words,
  zone: { ...like, fuelVapour },
  bends,
});

const FACTS: Record<QuickPlace, PlaceFacts> = {
  engine: usually('Engine bay', { ...SHAKEN_WET, area: 'engine' }),
  chassis: usually('Chassis', SHAKEN_WET),
  cabin: usually('Cabin', { area: 'cabin', vibration: 'low', moisture: 'dry' }),
  boom: usually('Boom or arm that moves', SHAKEN_WET, { bends: true }),
  tank: usually('At a fuel tank', { ...SHAKEN_WET, vibration: 'moderate' }, { fuelVapour: true }),
  boat: usually('Boat', { area: 'body', vibration: 'moderate', moisture: 'wet' }),
  box: usually('Box that stands still', { area: 'cabin', vibration: 'none', moisture: 'dry' }),
};

/** What is usual for a place: its name, what it is like, and whether the wire bends there in use. */
export const placeFacts = (place: QuickPlace): PlaceFacts => FACTS[place];
