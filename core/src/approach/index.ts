export type { Gate, GateEntry, GateNeed, GateState, SaidBy } from './gate.ts';
export { gateState, GATE_ENTRIES } from './gate.ts';
export type { Caution, CautionCase } from './cautions.ts';
export { cautionsFor, MANUAL_FIRST } from './cautions.ts';
export type { Approach, Choice, CoverId, DecideInput, Decision, Electrical, RankedCover, Redo, RunFacts } from './types.ts';
export { COVER_IDS } from './types.ts';
export { decide } from './decide.ts';
export { electricalOf, runFacts } from './electrical.ts';
export { rankCovers } from './cover.ts';
