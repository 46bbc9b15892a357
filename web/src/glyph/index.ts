import type { GlyphName } from '@mendum/core/family';
import { BARREL } from './barrel.tsx';
import { CAP } from './cap.tsx';
import { CLIP } from './clip.tsx';
import { PRESSED_BARREL } from './pressedBarrel.tsx';
import { RING } from './ring.tsx';
import { TOOTH } from './tooth.tsx';
import { TURNS } from './turns.tsx';
import type { Glyph } from './types.ts';

export { BARREL };
export { JOINT, type Glyph } from './types.ts';

/** The drawing of every family, by the name that the family gives. */
export const GLYPHS: Readonly<Record<GlyphName, Glyph>> = {
  barrel: BARREL,
  pressedBarrel: PRESSED_BARREL,
  clip: CLIP,
  cap: CAP,
  turns: TURNS,
  ring: RING,
  tooth: TOOTH,
};
