export type {
  EndPrep, Heat, LeadSite, Method, MethodCase, MethodFamily, MethodId, MethodStatus, Preference, RankedMethod, Rule, RuleHit, Seal, Site, SizedJoint, Verdict,
} from './types.ts';
export { METHOD_IDS } from './types.ts';
export { METHODS, methodById } from './kinds/index.ts';
export { isSwitchable, rankMethods, readyShelf, RULES } from './rank.ts';
export type { ReadyShelf } from './rank.ts';
export { PREFERENCES } from './rules/preference.ts';
