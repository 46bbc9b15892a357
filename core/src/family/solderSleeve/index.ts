import { family } from '../types.ts';
import { RING_LOOKS } from './looks.ts';
import { SOLDER_SLEEVE } from './parts.ts';
import { solderSleeve } from './solderSleeve.ts';
import { solderSleeveSteps } from './steps.ts';

/** Sleeves with solder and glue in them, melted by hot air. */
export const solderAndSeal = family({
  words: 'solder-and-seal sleeve',
  joins: 'solder',
  sealsInOne: true,
  methods: [solderSleeve],
  parts: [SOLDER_SLEEVE],
  tasks: {},
  tools: [],
  joinSteps: solderSleeveSteps,
  proof: {
    looks: () => RING_LOOKS,
    isTugged: true,
    isMeasured: true,
    samples: { cut: false, pulled: false },
  },
  glyph: 'ring',
});
