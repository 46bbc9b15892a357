export { kitFor } from './kit.ts';
export type { Kit, KitLine, KitNeed, CutGroup, SleeveCut, WireCut } from './kit.ts';
export { cutSticks, KERF_MM } from './cutting.ts';
export { leastBins } from './leastBins.ts';
export { cutWire } from './wireCuts.ts';
export type { Cut, CutList, Piece } from './cutting.ts';
export type { Reel } from './wireCuts.ts';
