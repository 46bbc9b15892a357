export { bundleDiameterMm, ESTIMATE_FROM } from './bundle.ts';
export { packCircles } from './pack.ts';
export type { PackedCircle } from './pack.ts';
export { conduitFor, spiralTapeMm, CONDUITS_MM } from './closing.ts';
