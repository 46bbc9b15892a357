export type {
  ButtPart, Catalogue, ClipPart, Part, PartOf, Range, SleevePart, SleeveSeries, SolderPart, TapPart, TapePart, Tool, ToolTask, WireStock,
} from './types.ts';
export { TOOL_TASKS, SLEEVE_SERIES, SLEEVE_SERIES_WORDS } from './types.ts';
export { GENERIC_PARTS, GENERIC_TOOLS, FULL_SHELF } from './generic.ts';
export { partsOf, quantityOf, rangeInWords, isStocked } from './shelf.ts';
