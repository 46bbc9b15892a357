import { family } from '../types.ts';
import { interlacedSolder, lapSolder, wrappedSolder } from './lays.ts';
import { solderLooks } from './looks.ts';
import { solderSteps } from './steps.ts';
import { windowSolderSleeve, windowSolderWrap } from './windowSolder.ts';

/** Conductors wrapped, interlaced or lapped, and soldered with an iron. */
export const soldered = family({
  words: 'soldered joint',
  joins: 'solder',
  methods: [wrappedSolder, interlacedSolder, lapSolder, windowSolderSleeve, windowSolderWrap],
  parts: [],
  tasks: {},
  tools: [],
  joinSteps: solderSteps,
  proof: {
    looks: ({ tinLead }) => solderLooks(tinLead),
    isTugged: true,
    isMeasured: true,
    samples: { cut: false, pulled: false },
  },
  glyph: 'turns',
});
