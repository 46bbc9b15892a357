import { family } from '../types.ts';
import { TAP_LOOKS } from './looks.ts';
import { PIERCING_TAP } from './parts.ts';
import { piercingTap } from './piercingTap.ts';
import { tapSteps } from './steps.ts';

/** Taps that pierce a jacket: only to add a circuit, only for a time. */
export const tap = family({
  words: 'piercing tap',
  joins: 'tooth',
  temporary: 'a piercing tap loses contact and lets water in',
  methods: [piercingTap],
  parts: [PIERCING_TAP],
  tasks: { pressTap: { does: 'presses taps', tool: 'pliers', isCrimp: false } },
  tools: [{ id: 'tool-pliers', name: 'Slip-joint pliers', tasks: ['pressTap'], ratchet: false }],
  joinSteps: tapSteps,
  proof: { looks: () => TAP_LOOKS, isTugged: false, isMeasured: false, samples: { cut: false, pulled: false } },
  glyph: 'tooth',
});
