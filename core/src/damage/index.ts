export type { Finding, FindingKind, FindingOf, Stretch } from './types.ts';
export { FINDING_KINDS, FINDING_WORDS } from './types.ts';
export { lostStretch, visibleLengthMm, strandsInWords } from './stretch.ts';
