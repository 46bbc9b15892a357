export { stagger } from './stagger.ts';
export { bundleWith, bundleProfile, lumpDiameterMm, diameterAt, sectionMm } from './profile.ts';
export { lyingSplices, thickLying, thickSplice } from './lying.ts';
export type { BodyOn } from './profile.ts';
export { brokenRules } from './check.ts';
export type { BrokenRule } from './check.ts';
export { findingOf, spliceId, NO_WISHES } from './types.ts';
export type {
  BundleWire,
  ChosenLayout,
  Half,
  LayoutItem,
  LayoutWishes,
  LyingBody,
  PlacedItem,
  PlacedSplice,
  Pin,
  ProfileStretch,
  RunToLayOut,
  SearchedLayout,
  SpliceSide,
} from './types.ts';
export { measure } from './objective.ts';
export { compareLayouts, firstDifference, isBefore, levelsOf } from './levels.ts';
export type { Level, Objective } from './levels.ts';
export { EVEN_APART_MM } from './kinds.ts';
export { asAsked } from './asked.ts';
export type { Asked } from './kinds.ts';
export { cutOf, itemAt, legalPlaces, openedFor, PLACE_GRACE_MM, windowsOf } from './place.ts';
export { movedSplice, placesOf } from './move.ts';
export type { Moved } from './move.ts';
export { fingerprintOf, inWords } from './fingerprint.ts';
export { keptLayout } from './solve/found.ts';
export { better, orFound } from './solve/better.ts';
export { optimise, quickLayout } from './solve/optimise.ts';
export { CROWDING, QUICK, THOROUGH } from './solve/laidOut.ts';
export type { Effort, LaidOut } from './solve/laidOut.ts';
export { openedParts } from './stretches.ts';
export { openedMmOf, openedThings, wholeOf } from './opened.ts';
export { closingOf } from './closing.ts';
export type { Closing } from './closing.ts';
export { brokenPairRules, pairLayout, untwistedAlong } from './pairs.ts';
export type { PairLayout, Untwisted } from './pairs.ts';
