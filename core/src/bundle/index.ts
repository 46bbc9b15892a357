export { bundleDiameterMm, bundleSection, ESTIMATE_FROM } from './bundle.ts';
export { packCircles } from './pack.ts';
export type { PackedBundle, PackedCircle } from './pack.ts';
export { conduitFor, spiralTapeMm, CONDUITS_MM } from './closing.ts';
