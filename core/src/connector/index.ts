export type {
  CavityLayout,
  ConnectorFace,
  Direction,
  FaceSide,
  FaceView,
  Gaps,
  GridPlace,
  LatchDirection,
  Numbering,
  SeenCavity,
} from './types.ts';
export { DIRECTIONS, FACE_SIDES, GAPS, LATCH_DIRECTIONS } from './types.ts';
export { cavitiesOf } from './numbering.ts';
export type { NumberedCavity } from './numbering.ts';
export { comeToSame, usualWays, waysWithStarts } from './ways.ts';
export type { StartsReading, Way } from './ways.ts';
export { mateCavities, movedApart, neighbour, otherSide, seenCavities, turnedOn, viewInWords } from './face.ts';
export { LOCK_FAMILIES, RELEASE_GUIDES } from './release.ts';
export type { LockFamily, ReleaseGuide } from './release.ts';
export {
  IDENTITY_TEXTS,
  identityInWords,
  isSameName,
  LATCH_WORDS,
  LATCHES,
  namesAgree,
  releaseToolInWords,
} from './identity.ts';
export type { ConnectorIdentity, IdentityText, Latch } from './identity.ts';
