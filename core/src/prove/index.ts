export { pullMinimumN, tugTargetN, judgeSamples } from './pull.ts';
export type { SampleRuling } from './pull.ts';
export { judgeCompression } from './compression.ts';
export { checksFor, checksForCover } from './checks.ts';
export { bad, CUT_OUT, good, look } from './looks.ts';
export { rule, standingOf } from './ruling.ts';
export type {
  Check,
  JoinProof,
  LookAnswer,
  Provable,
  Reading,
  ReadingValue,
  Ruling,
  Standing,
  VerdictWord,
} from './types.ts';
export { checksAtCavity } from './cavityChecks.ts';
export type { ProvableAtCavity } from './cavityChecks.ts';
