export type { PartColour, Range, Stocked } from './stocked.ts';
export { PART_COLOURS } from './stocked.ts';
export {
  areaField,
  choiceField,
  countField,
  jacketFields,
  mayLack,
  mmField,
  ofKind,
  rangeFields,
  rangeInWords,
  textField,
  SHELF_GROUPS,
  usual,
} from './kind.ts';
export type { AnyPart, FieldChoice, PartField, PartKind, ShelfGroup } from './kind.ts';
export { SLEEVE_SERIES, SLEEVE_SERIES_WORDS } from './supplyTypes.ts';
export type { SleevePart, SleeveSeries, SolderPart, TapePart } from './supplyTypes.ts';
export { SLEEVE, SOLDER, TAPE } from './supplies.ts';
export type {
  ConnectorKitPart,
  ConnectorPart,
  HousingPart,
  JacketRange,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  TerminalBody,
  TerminalPart,
  WireSealPart,
} from './ends.ts';
export { TERMINAL_BODIES } from './ends.ts';
export { leadsInWords, readLeads } from './leads.ts';
export type { LeadsReading, PigtailLead } from './leads.ts';
export { CONNECTOR_KIT, HOUSING, LOCK_PIECE, PIGTAIL, PLUG, POTTING, WIRE_SEAL } from './endKinds.ts';
export { COMMON_TASKS, COMMON_TOOLS, NEST_BARRELS, NEST_STROKES } from './tools.ts';
export type { AnyTool, CommonTask, Nest, Task, WireStock } from './tools.ts';
export { BARE_NESTS, BARREL_CLASSES, BARREL_NESTS, colourDisagreement } from './colour.ts';
export type { BarrelClass } from './colour.ts';
