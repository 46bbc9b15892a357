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

const at = (zone: Omit<Zone, 'fuelVapour'>, more: Partial<Pick<Zone, 'fuelVapour'>> = {}): Zone => ({
  fuelVapour: false,
  ...zone,
  ...more,
});

const FACTS: Record<QuickPlace, PlaceFacts> = {
  engine: {
    words: 'Engine bay',
    zone: at({ area: 'engine', vibration: 'high', moisture: 'wet' }),
    bends: false,
  },
  chassis: {
    words: 'Chassis',
    zone: at({ area: 'chassis', vibration: 'high', moisture: 'wet' }),
    bends: false,
  },
  cabin: {
    words: 'Cabin',
    zone: at({ area: 'cabin', vibration: 'low', moisture: 'dry' }),
    bends: false,
  },
  boom: {
    words: 'Boom or arm that moves',
    zone: at({ area: 'chassis', vibration: 'high', moisture: 'wet' }),
    bends: true,
  },
  tank: {
    words: 'At a fuel tank',
    zone: at({ area: 'chassis', vibration: 'moderate', moisture: 'wet' }, { fuelVapour: true }),
    bends: false,
  },
  boat: {
    words: 'Boat',
    zone: at({ area: 'body', vibration: 'moderate', moisture: 'wet' }),
    bends: false,
  },
  box: {
    words: 'Box that stands still',
    zone: at({ area: 'cabin', vibration: 'none', moisture: 'dry' }),
    bends: false,
  },
};

/** What is usual for a place: its name, what it is like, and whether the wire bends there in use. */
export const placeFacts = (place: QuickPlace): PlaceFacts => FACTS[place];
