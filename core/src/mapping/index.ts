export type { ContinuityReading, MappingCard, MappingJoin, PigtailWire } from './types.ts';
export { checkMapping, circuitsAt, continuityNeeds, isProved, joinsByCavity, mappingLines } from './mapping.ts';
export type { ContinuityNeed, MappingLine, MappingProblem } from './mapping.ts';
