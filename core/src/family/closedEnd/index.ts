import { family } from '../types.ts';
import { cap } from './cap.ts';
import { CAP_LOOKS } from './looks.ts';
import { CAP } from './parts.ts';
import { capSteps } from './steps.ts';

/** Caps crimped over wires that come from one side. */
export const closedEnd = family({
  words: 'closed-end cap',
  joins: 'crimp',
  openEnded: {
    because: 'a cap is open at one end and hangs on its wires',
    reading: "a cap's resistance wanders, and its reading with it",
  },
  methods: [cap],
  parts: [CAP],
  tasks: {
    crimpCap: { does: 'crimps caps', tool: 'a crimper for closed-end caps', isCrimp: true, isByTotal: true },
  },
  tools: [
    {
      id: 'tool-cap',
      name: 'Ratchet crimper, closed-end caps',
      tasks: ['crimpCap'],
      range: { minMm2: 0.13, maxMm2: 6.6 },
      ratchet: true,
    },
  ],
  joinSteps: capSteps,
  proof: { looks: () => CAP_LOOKS, isTugged: true, isMeasured: true, samples: { cut: false, pulled: false } },
  glyph: 'cap',
});
