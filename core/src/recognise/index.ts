export { CANNOT_TELL, narrow } from './key.ts';
export type { Answered, KeyAnswer, KeyQuestion, Narrowed } from './key.ts';
export { LOCK_KEY, whichLock } from './lock.ts';
export { GRADES, LOOKED_AT, LOOKS } from './look.ts';
export type { Grade, Look, LookedAt } from './look.ts';
export { whichSeal } from './seal.ts';
export type { SealFound } from './seal.ts';
export { familyAt, gaugeOf, TERMINAL_KEY, TERMINAL_SHAPES, whichShape } from './terminal.ts';
export type { GaugeSize, Measured, Sized, TerminalShape } from './terminal.ts';
