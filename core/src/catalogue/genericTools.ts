import { HOUSING_FAMILIES, LOOSE_FAMILIES } from '../harness/index.ts';
import type { Tool } from './types.ts';

/** A full set of generic tools, never calibrated: a shop adds its own dates. */
export const GENERIC_TOOLS: readonly Tool[] = [
  {
    id: 'tool-butt',
    name: 'Ratchet crimper, insulated barrels',
    tasks: ['crimpSealedButt', 'crimpPlainButt'],
    range: { minMm2: 0.12, maxMm2: 6.64 },
    ratchet: true,
  },
  {
    id: 'tool-clip',
    name: 'Ratchet crimper, open barrels',
    tasks: ['crimpClip'],
    range: { minMm2: 0.35, maxMm2: 6 },
    ratchet: true,
  },
  {
    id: 'tool-multiClip',
    name: 'Ratchet crimper, multi-wire clips',
    tasks: ['crimpMultiClip'],
    range: { minMm2: 0.13, maxMm2: 14 },
    ratchet: true,
  },
  {
    id: 'tool-cap',
    name: 'Ratchet crimper, closed-end caps',
    tasks: ['crimpCap'],
    range: { minMm2: 0.13, maxMm2: 6.6 },
    ratchet: true,
  },
  {
    id: 'tool-housingTerminals',
    name: 'Ratchet crimper, housing terminals',
    tasks: ['crimpTerminal'],
    range: { minMm2: 0.13, maxMm2: 6 },
    families: HOUSING_FAMILIES,
    ratchet: true,
  },
  {
    id: 'tool-looseTerminals',
    name: 'Ratchet crimper, insulated terminals and ferrules',
    tasks: ['crimpTerminal'],
    range: { minMm2: 0.12, maxMm2: 6.64 },
    families: LOOSE_FAMILIES,
    ratchet: true,
  },
  {
    id: 'tool-iron',
    name: 'Soldering iron 70 W',
    tasks: ['solder'],
    range: { minMm2: 0, maxMm2: 2.5 },
    ratchet: false,
  },
  {
    id: 'tool-iron-140',
    name: 'Soldering iron 140 W',
    tasks: ['solder'],
    range: { minMm2: 0, maxMm2: 6 },
    ratchet: false,
  },
  { id: 'tool-hotAir', name: 'Hot-air gun with reflector', tasks: ['hotAir'], ratchet: false },
  { id: 'tool-pliers', name: 'Slip-joint pliers', tasks: ['pressTap'], ratchet: false },
];
