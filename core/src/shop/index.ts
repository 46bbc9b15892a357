export { jobStanding } from './standing.ts';
export { shortAcross } from './short.ts';
export type { Short } from './short.ts';
export type { Doubt, JobStanding } from './types.ts';
export { PAUSE_MIN, workedMinutes } from './worked.ts';
