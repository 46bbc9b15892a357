export type {
  CavityFinding,
  CavityFindingKind,
  Finding,
  FindingKind,
  FindingOf,
  RunFindingKind,
  Stretch,
} from './types.ts';
export { CAVITY_FINDING_KINDS, FINDING_KINDS, FINDING_SORTS, FINDING_WORDS, RUN_FINDING_KINDS } from './types.ts';
export type { EarlierRepair } from './earlier.ts';
export { endOfCircuit, findingInWords, isAtCavity, isCavityKind, isOfWholeConnector } from './cavity.ts';
export { branchesOf, lostStretch, visibleLengthMm, strandsInWords } from './stretch.ts';
