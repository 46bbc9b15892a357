export { stagger } from './stagger.ts';
export { bundleProfile, lumpDiameterMm, diameterAt, sectionAt } from './profile.ts';
export { brokenRules } from './check.ts';
export type { BrokenRule } from './check.ts';
export { spliceId } from './types.ts';
export type { BundleWire, LayoutItem, PlacedItem, PlacedSplice, Pin, ProfileStretch, RunToLayOut, SpliceSide } from './types.ts';
