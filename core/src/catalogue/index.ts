export type { PartColour, Range, Stocked } from './stocked.ts';
export { PART_COLOURS } from './stocked.ts';
export type {
  ButtPart,
  CapPart,
  Catalogue,
  ClipPart,
  Part,
  PartOf,
  SleevePart,
  SleeveSeries,
  SolderPart,
  SolderSleevePart,
  StepDownPart,
  TapPart,
  TapePart,
  Tool,
  ToolTask,
  WireStock,
} from './types.ts';
export type {
  HousingPart,
  JacketRange,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  TerminalPart,
  WireSealPart,
} from './ends.ts';
export { TOOL_TASKS, SLEEVE_SERIES, SLEEVE_SERIES_WORDS } from './types.ts';
export { GENERIC_PARTS } from './generic.ts';
export { GENERIC_TOOLS } from './genericTools.ts';
export { FULL_SHELF } from './fullShelf.ts';
export { partsOf, quantityOf, rangeInWords, isStocked, isPerJoint } from './shelf.ts';
export { colourDisagreement } from './colour.ts';
export { editCatalogue } from './edit.ts';
export type { CatalogueEdit } from './edit.ts';
export { fieldOf, fieldText, PART_FIELDS, PART_KIND_WORDS, withField } from './fields.ts';
export type { PartField } from './fields.ts';
export { findPart, findStanding, mostOf, notOnShelf } from './find.ts';
