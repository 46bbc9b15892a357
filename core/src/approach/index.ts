export type { Gate, GateEntry, GateNeed, GateState, SaidBy } from './gate.ts';
export { gateState, GATE_ENTRIES } from './gate.ts';
export type { Caution, CautionCase } from './cautions.ts';
export { cautionsFor, MANUAL_FIRST } from './cautions.ts';
export type { AnsweredAt, Ask, CircuitField, FindingField, RunField } from './askTypes.ts';
export { liftedAt } from './asks.ts';
export type { Attach, EndSeal, RankedEnd } from './ends/types.ts';
export type { CavityAct, CavityWork, FittedTerminal } from './cavityTypes.ts';
export type {
  Approach,
  Choice,
  CoverId,
  DecideInput,
  Decision,
  Electrical,
  BegunWork,
  RankedCover,
  RankedWay,
  RunFacts,
  Way,
  WorkShare,
} from './types.ts';
export type { Mishap, Redo, Spent } from './redoTypes.ts';
export { CAVITY_ACTS } from './cavityTypes.ts';
export { aloneOnWire, COVER_IDS, WAYS } from './types.ts';
export { hasWays, isOfFamily, otherConnector } from './ways/belongs.ts';
export { withJacketBack } from './ways/cable.ts';
export { WAY_WORDS } from './ways/work.ts';
export { decide } from './decide.ts';
export { jacketClusters, takenByOne } from './copper.ts';
export { withShield, withShieldBeside } from './shield.ts';
export { believedLoadA, electricalOf, runFacts } from './electrical.ts';
export { rankCovers } from './cover.ts';
export { ruleBook } from './book.ts';
