export { kitFor } from './kit.ts';
export type { Kit, KitLine, KitNeed, CutGroup, SleeveCut, WireCut } from './kit.ts';
export { cutSticks, cutWire, KERF_MM, leastBins } from './cutting.ts';
export type { Cut, CutList, Piece, Reel } from './cutting.ts';
