export type { Catalogue, Part, PartOf, Tool } from './types.ts';
export { GENERIC_PARTS, GENERIC_TOOLS, isPartKind, kindOf, PART_KINDS, TOOL_TASK_IDS, TOOL_TASKS } from './kinds.ts';
export { FULL_SHELF } from './fullShelf.ts';
export { partsOf, quantityOf, isStocked, isPerJoint } from './shelf.ts';
export { editCatalogue } from './edit.ts';
export type { CatalogueEdit } from './edit.ts';
export { fieldOf, fieldText, withField } from './fields.ts';
export type { Lack } from './find.ts';
export {
  findPart,
  findStanding,
  lackNamed,
  lackOf,
  lackOfSize,
  lackRated,
  mostOf,
  notOnShelf,
  orderInWords,
  partById,
} from './find.ts';
