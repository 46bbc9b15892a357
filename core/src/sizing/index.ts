export { byPreference, holds, sumAreaMm2, totalFits, RANGE_TOLERANCE } from './barrel.ts';
export type { Figures, JointWires } from './barrel.ts';
export { balanceSides, MOST_IN_A_JOINT } from './balance.ts';
export {
  fitWireSeal,
  newTerminalTakesMm,
  takesJacket,
  terminalFits,
  wireSealFits,
  TERMINAL_EXTRA_MM,
} from './terminal.ts';
export { stripClosedBarrelMm, crimpPointMm, BARREL_STOP_MM, STRIP_TOLERANCE_MM } from './strip.ts';
export {
  RECOVERS_AT_C,
  chooseSleeve,
  overSleeveMm,
  sleeveFits,
  sleeveCutMm,
  recoveredLengthMm,
  recoveredWallMm,
  lengthwiseShrink,
} from './sleeve.ts';
export type { SleeveNeed } from './sleeve.ts';
export {
  easeMm,
  insertLengthMm,
  reachCostMm,
  spareMm,
  SPARE_AT_MOST_MM,
  splicesFromSlack,
  centreWindowOfLead,
  centreWindowOfOne,
  centreWindowsOfTwo,
  leadLengthMm,
  centreFromFace,
  faceFromCentre,
} from './insert.ts';
export type { Reach, Window, Side } from './insert.ts';
export { centresWithin, legalCentres, nearestLegal } from './place.ts';
export { redoLossPerSideMm, REDO_EXTRA_MM } from './redo.ts';
export { chooseInsertWire } from './insertWire.ts';
export type { InsertWireChoice } from './insertWire.ts';
export { hasNest, nestFor, nestInWords, toolAndNest } from './nests.ts';
export type { ToClose } from './nests.ts';
export { leadAt, pigtailWire } from './pigtail.ts';
