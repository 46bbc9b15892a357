export { afterMishap, mishapOf } from './after.ts';
export { mishapCost } from './cost.ts';
export { mishapAsks, mishapInWords, mishapsOf, type MishapAsks } from './kinds.ts';
export { slackLedger, ledgerInWords, type LedgerLine, type SlackLedger } from './ledger.ts';
export { checkMishap } from './problems.ts';
export { progressOf, type Progress } from './progress.ts';
export { LONGEST_MISHAP_MM } from './types.ts';
export type { MishapCost, MishapProblem, MishapSaid, SideLoss } from './types.ts';
