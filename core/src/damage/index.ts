export type { Stretch } from './base.ts';
export type { CavityWay, DamagedWire } from './kind.ts';
export type { OwnField, OwnFields } from './own.ts';
export { CAUSES } from './cause.ts';
export { NOTED, NOTED_NAMES, notedInWords, type NotedName } from './noted.ts';
export type {
  CavityFinding,
  CavityFindingKind,
  Finding,
  FindingKind,
  FindingOf,
  RunFinding,
  RunFindingKind,
} from './types.ts';
export {
  CAVITY_FINDING_KINDS,
  cavityKindOf,
  damageOf,
  FINDING_KINDS,
  isAtCavity,
  isCavityKind,
  ownFieldsOf,
  RUN_FINDING_KINDS,
  runKindOf,
} from './types.ts';
export type { EarlierEnd, EarlierRepair, EarlierWork } from './earlier.ts';
export { repairsNear } from './near.ts';
export { failedBefore, failureInWords, withAnswer } from './comeback.ts';
export { FAILURE_NAMES, FAILURES, type EarlierSeen, type Failure } from './failure.ts';
export { endOfCircuit, isOfWholeConnector, isOnePiece } from './cavity.ts';
export {
  addsCircuit,
  branchesOf,
  findingInWords,
  isJacketOnly,
  leavesAt,
  lostStretch,
  shareLeft,
  shortByMm,
  visibleLengthMm,
} from './stretch.ts';
export { addedBy } from './added.ts';
export type { AddedCircuit } from './added.ts';
