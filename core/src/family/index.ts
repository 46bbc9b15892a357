export { FAMILIES } from './families.ts';
export {
  FAMILY_KINDS,
  FAMILY_TASKS,
  FAMILY_TOOLS,
  familyOf,
  glyphOf,
  METHOD_IDS,
  methodById,
  METHODS,
} from './lists.ts';
export type { AnyMethod, FamilyPart, GlyphName, MethodId, ToolTask } from './lists.ts';
export type { EndPrep, Rated, Seal, SizedJoint } from './joint.ts';
export { partOfSize } from './sizing.ts';
export type { Sizing, SizingRequest } from './sizing.ts';
export type { Family, FamilyTraits, JoinWork } from './types.ts';
export { sealBare, WRAP_LAYERS } from './seal/sealing.ts';
