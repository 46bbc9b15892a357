import { family } from '../types.ts';
import { clipSleeve, clipWrap, multiClipSleeve, multiClipWrap } from './clip.ts';
import { CLIP_LOOKS } from './looks.ts';
import { CLIP, MULTI_CLIP } from './parts.ts';
import { clipSteps } from './steps.ts';
import { windowClipSleeve, windowClipWrap } from './windowClip.ts';

/** Open barrels closed round conductors that lie side by side. */
export const openClip = family({
  words: 'open clip',
  joins: 'crimp',
  sideBySide: true,
  methods: [clipSleeve, multiClipSleeve, windowClipSleeve, windowClipWrap, clipWrap, multiClipWrap],
  parts: [CLIP, MULTI_CLIP],
  tasks: {
    crimpClip: { does: 'crimps splice clips', tool: 'a crimper for open clips', isCrimp: true, isByTotal: true },
    crimpMultiClip: {
      does: 'crimps multi-wire clips',
      tool: 'a crimper for multi-wire clips',
      isCrimp: true,
      isByTotal: true,
    },
  },
  tools: [
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
  ],
  joinSteps: clipSteps,
  proof: { looks: () => CLIP_LOOKS, isTugged: true, isMeasured: true, samples: { cut: true, pulled: true } },
  glyph: 'clip',
});
