export { kitFor } from './kit.ts';
export type { Kit, KitLine, KitNeed, SleeveCut, WireCut } from './kit.ts';
export { sticksNeeded } from './sticks.ts';
