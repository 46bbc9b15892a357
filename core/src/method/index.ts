export type {
  EndPrep,
  Heat,
  LeadSite,
  Method,
  MethodCase,
  MethodFamily,
  MethodId,
  MethodStatus,
  Preference,
  RankedMethod,
  Rule,
  RuleHit,
  Seal,
  Site,
  SizedJoint,
  Verdict,
} from './types.ts';
export { ACTS, type Act } from './acts.ts';
export { WRAP_LAYERS } from './kinds/sealing.ts';
export { redoPerSideMm, spareOf } from './redo.ts';
export { METHOD_IDS } from './types.ts';
export { methodBook, switchableRuleIds } from './book.ts';
export type { BookEntry } from './book.ts';
export { substituteFor, whatItLoses } from './substitute.ts';
export type { Substitute } from './substitute.ts';
export { compareMethods, wouldNeed } from './compare.ts';
export type { ComparedFigure, Comparison, WouldNeed } from './compare.ts';
export { METHODS, methodById } from './kinds/index.ts';
export { isSwitchable, rankMethods, RULES } from './rank.ts';
export { readyShelf } from './ready.ts';
export type { ReadyShelf } from './ready.ts';
export { PREFERENCES } from './rules/preference.ts';
