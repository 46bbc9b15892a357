export { BEND_FIXED, BEND_MOVING } from './bend.ts';
export { bundleDiameterMm, bundleWithBodiesMm, ESTIMATE_FROM } from './bundle.ts';
export { bundleSection, knownSections, sectionThicknessMm, takeSections } from './section.ts';
export type { KnownSections } from './section.ts';
export { packCircles } from './pack.ts';
export type { PackedBundle, PackedCircle } from './pack.ts';
export { conduitFor, spiralTapeMm, CONDUITS_MM } from './closing.ts';
