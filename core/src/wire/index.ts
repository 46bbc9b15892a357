export {
  awgAreaMm2,
  awgDiameterMm,
  awgLabel,
  areaMm2,
  sizeInWords,
  isSmaller,
  nextSizeThatWouldDo,
  sizeDisagreement,
  stepsUp,
  METRIC_SIZES_MM2,
  TRADE_PAIRS_MM2,
  NEVER_SMALLER_SHARE,
  LARGEST_AWG,
  SMALLEST_AWG,
} from './size.ts';
export type { WireSize } from './size.ts';
export {
  conductorDiameterMm,
  conductorInWords,
  isAluminium,
  jacketDiameterMm,
  jacketOfClass,
  ratedC,
  wireFacts,
  wireInWords,
  remainingShare,
  JACKETS,
  WALLS_MM,
  BUNCHED_FACTOR,
} from './conductor.ts';
export type { WireSpec, Conductor, Jacket, JacketMaterial, JacketWall, WireFacts } from './conductor.ts';
export { resistanceMilliohm, LAY_STRANDED, RHO20_OHM_MM2_PER_M, ALPHA20_PER_K } from './resistance.ts';
export { JOINT_DROP_MV, LEAST_JOINT_MM, contactLimits, resistanceLimits } from './joint.ts';
export type { ResistanceLimits } from './joint.ts';
export { betweenProbes, LEAST_TRUE_SHARE, outsideMilliohm } from './probes.ts';
export type { BetweenProbes } from './probes.ts';
export { airAt } from './air.ts';
export { allowedCurrentA, conductorTemperatureC, bundleFactor, CANNOT_BE_C } from './current.ts';
export { COLOURS, colourInWords, isColour } from './colour.ts';
export type { ColourName, WireColour } from './colour.ts';
export { COLOUR_SYSTEMS, COLOUR_SYSTEM_WORDS } from './colourSystems.ts';
export type { ColourSystem } from './colourSystems.ts';
export { judgeColourSystem, readColour } from './colourWords.ts';
export type { ColourReading, SystemEvidence, SystemVerdict } from './colourWords.ts';
export { USUAL_CONDUCTOR, USUAL_JACKET, usualWire } from './usual.ts';
export { TURNS_PER_M } from './twist.ts';
