import type { Method, MethodId } from '../types.ts';
import { plainSleeve, plainWrap, sealedButt } from './butt.ts';
import { cap } from './cap.ts';
import { clipSleeve, clipWrap, multiClipSleeve, multiClipWrap } from './clip.ts';
import { piercingTap } from './piercingTap.ts';
import { interlacedSolder, lapSolder, solderSleeve, wrappedSolder } from './soldered.ts';
import { stepDown } from './stepDown.ts';
import { windowClipSleeve, windowClipWrap, windowSolderSleeve, windowSolderWrap } from './window.ts';

/** Every method there is. */
export const METHODS: readonly Method[] = [
  sealedButt,
  stepDown,
  clipSleeve,
  multiClipSleeve,
  plainSleeve,
  wrappedSolder,
  interlacedSolder,
  lapSolder,
  solderSleeve,
  windowClipSleeve,
  windowClipWrap,
  windowSolderSleeve,
  windowSolderWrap,
  clipWrap,
  multiClipWrap,
  plainWrap,
  cap,
  piercingTap,
];

const BY_ID = Object.fromEntries(METHODS.map((method) => [method.id, method])) as Record<MethodId, Method>;

/** The method of an id. */
export const methodById = (id: MethodId): Method => BY_ID[id];
