export type {
  LeadSite,
  MethodCase,
  MethodStatus,
  Preference,
  RankedMethod,
  Rule,
  RuleHit,
  Site,
  Verdict,
} from './types.ts';
export { nearestByOrder, ordersThatLift } from './missing.ts';
export { ratedWords } from './pick.ts';
export { parkDistanceMm } from './park.ts';
export { redoLossMm, redoTakesMm, spareOf } from './redo.ts';
export { methodBook, switchableRuleIds } from './book.ts';
export type { BookEntry } from './book.ts';
export { substituteFor, whatItLoses } from './substitute.ts';
export type { Substitute } from './substitute.ts';
export { compareMethods, wouldNeed } from './compare.ts';
export type { ComparedFigure, Comparison, WouldNeed } from './compare.ts';
export { lapsed } from './rules/shelf.ts';
export { rankOfTool, toolThat } from './tools.ts';
export { crimpedBy } from './crimped.ts';
export { isSwitchable, rankMethods, RULES } from './rank.ts';
export { readyShelf } from './ready.ts';
export type { ReadyShelf } from './ready.ts';
export { PREFERENCES } from './rules/preference.ts';
export { deciding, equalTo, ONLY_ONE, statusOf } from './standing.ts';
export { ORIGINS, type Source } from './source.ts';
