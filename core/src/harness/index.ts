export type {
  Area,
  Cavity,
  CavityFitting,
  Circuit,
  CircuitKind,
  Feature,
  FeatureKind,
  Harness,
  PinoutSource,
  HarnessNode,
  KeepOut,
  Moisture,
  NodeKind,
  Run,
  SealState,
  Vibration,
  Zone,
} from './types.ts';
export {
  CIRCUIT_KINDS,
  AREAS,
  MOISTURES,
  VIBRATIONS,
  NODE_KINDS,
  FEATURE_KINDS,
  REMARK_MOST,
  SEAL_STATES,
} from './types.ts';
export {
  TERMINAL_FAMILIES,
  HOUSING_FAMILIES,
  LOOSE_FAMILIES,
  TERMINAL_FORMS,
  END_USES,
  STUDS,
  TABS_MM,
  isInHousing,
  studOf,
  tabOf,
  terminalForm,
  terminalInWords,
} from './terminals.ts';
export type { EndUse, HousingFamily, Stud, TabMm, TerminalFamily, TerminalForm } from './terminals.ts';
export { ambientC, isVibrating, isStill, vibrationInWords, moistureInWords, AMBIENT_BY_AREA_C } from './zone.ts';
export { keepOuts, keptOutOn, flexStretches } from './keepOuts.ts';
export type { Clearances } from './keepOuts.ts';
export { circuitIdFrom, idFrom } from './ids.ts';
export { routeBetween } from './route.ts';
export { besideAlong, beyondOf, isNoHarsher, keepOutsBeyond, placeBeyond } from './beyond.ts';
export type { Beyond, Beyonds } from './beyond.ts';
export { countsAsLoaded, isPowerKind, isShielded, KIND_WORDS } from './circuits.ts';
export { placeGrown, runGrown, stretchGrown } from './grown.ts';
export type { Growth } from './grown.ts';
export { cableOf, cablesAlong } from './cables.ts';
export type { Cable, SpareCore } from './cables.ts';
export { sourceInWords, withSources } from './sources.ts';
export { thingsAlong } from './thingsAlong.ts';
export type { ThingAlong } from './thingsAlong.ts';
export { farthestOn, LONGEST_MM, NOT_MEASURED_MM, notMeasured, runLengthInWords } from './lengths.ts';
