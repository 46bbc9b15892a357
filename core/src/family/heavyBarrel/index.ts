import { family } from '../types.ts';
import { heavySleeve, heavyWrap } from './heavyButt.ts';
import { HEAVY_LOOKS } from './looks.ts';
import { HEAVY_BUTT } from './parts.ts';
import { heavySteps } from './steps.ts';

/** Barrels for one heavy size each, pressed with a die of that size. */
export const heavyBarrel = family({
  words: 'heavy butt barrel',
  joins: 'crimp',
  methods: [heavySleeve, heavyWrap],
  parts: [HEAVY_BUTT],
  tasks: { crimpHeavy: { does: 'presses heavy barrels', tool: 'a press with dies for heavy barrels', isCrimp: true } },
  tools: [
    {
      id: 'tool-heavyHand',
      name: 'Long-handled crimper, heavy barrels to 20 mm²',
      tasks: ['crimpHeavy'],
      range: { minMm2: 7.3, maxMm2: 21.6 },
      ratchet: true,
    },
    {
      id: 'tool-heavyHydraulic',
      name: 'Hand hydraulic press, heavy barrels from 25 mm²',
      tasks: ['crimpHeavy'],
      range: { minMm2: 22, maxMm2: 116 },
      ratchet: true,
    },
  ],
  joinSteps: heavySteps,
  proof: { looks: () => HEAVY_LOOKS, isTugged: false, isMeasured: true, samples: { cut: false, pulled: true } },
  glyph: 'pressedBarrel',
});
