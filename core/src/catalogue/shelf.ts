import { kindOf } from './kinds.ts';
import type { Catalogue, Part, PartOf } from './types.ts';

/** The parts of one kind. */
export const partsOf = <K extends Part['kind']>(parts: readonly Part[], kind: K): PartOf<K>[] =>
  parts.filter((part): part is PartOf<K> => part.kind === kind);

/** Pieces of a part on the shelf; 0 when it is not listed. */
export const quantityOf = (catalogue: Catalogue, partId: string): number =>
  catalogue.parts.find((part) => part.id === partId)?.quantity ?? 0;

export const isStocked = (part: Part): boolean => part.quantity > 0;

/** Whether each joint or cavity takes a piece of its own; of a stick, roll or reel one does for many. */
export const isPerJoint = (part: Part): boolean => kindOf(part.kind).isBulk !== true;
