import { BARE_NESTS, BARREL_NESTS } from '../../stock/index.ts';
import { family } from '../types.ts';
import { plainSleeve, plainWrap, sealedButt } from './butt.ts';
import { BARREL_LOOKS } from './looks.ts';
import { PLAIN_BUTT, SEALED_BUTT, STEP_DOWN } from './parts.ts';
import { stepDown } from './stepDown.ts';
import { barrelSteps } from './steps.ts';

/** Barrels crimped from both ends. */
export const closedBarrel = family({
  words: 'butt barrel',
  joins: 'crimp',
  methods: [sealedButt, stepDown, plainSleeve, plainWrap],
  parts: [SEALED_BUTT, PLAIN_BUTT, STEP_DOWN],
  tasks: {
    crimpSealedButt: { does: 'crimps sealed butts', tool: 'a crimper for sealed butts', isCrimp: true },
    crimpPlainButt: { does: 'crimps plain barrels', tool: 'a crimper for plain barrels', isCrimp: true },
  },
  tools: [
    {
      id: 'tool-butt',
      name: 'Ratchet crimper, insulated barrels',
      tasks: ['crimpSealedButt', 'crimpPlainButt'],
      range: { minMm2: 0.12, maxMm2: 6.64 },
      nests: [...BARREL_NESTS, ...BARE_NESTS],
      ratchet: true,
    },
  ],
  joinSteps: barrelSteps,
  proof: { looks: () => BARREL_LOOKS, isTugged: true, isMeasured: true, samples: { cut: false, pulled: true } },
  glyph: 'barrel',
});
