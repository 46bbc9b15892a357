import { figure } from '../units/index.ts';
import type { Range } from './stocked.ts';
import type { Catalogue, Part, PartOf } from './types.ts';

/** The parts of one kind. */
export const partsOf = <K extends Part['kind']>(parts: readonly Part[], kind: K): PartOf<K>[] =>
  parts.filter((part): part is PartOf<K> => part.kind === kind);

/** Pieces of a part on the shelf; 0 when it is not listed. */
export const quantityOf = (catalogue: Catalogue, partId: string): number =>
  catalogue.parts.find((part) => part.id === partId)?.quantity ?? 0;

export const isStocked = (part: Part): boolean => part.quantity > 0;

/** "1.04–2.63 mm²". */
export const rangeInWords = (range: Range): string => `${figure(range.minMm2)}–${figure(range.maxMm2)} mm²`;

/** Parts of which one stick, roll or reel does for many joints; of all others a joint or a cavity takes one each. */
const BULK: ReadonlySet<Part['kind']> = new Set(['sleeve', 'tape', 'solder']);

/** Whether each joint or cavity takes a piece of its own. */
export const isPerJoint = (part: Part): boolean => !BULK.has(part.kind);
