import type { Practice } from '../practice/index.ts';
import type { JointWires } from '../sizing/index.ts';
import type { AnyPart, Range } from '../stock/index.ts';
import { figure } from '../units/index.ts';
import type { SizedJoint } from './joint.ts';

/**
 * Sizing either gives the joints that hold the copper, best by size first, or says which figure stands in the way;
 * `sleeve` failures are told apart from copper that nothing holds.
 */
export type Sizing =
  | { readonly ok: true; readonly joints: readonly SizedJoint[] }
  | {
      readonly ok: false;
      readonly lacks: 'barrel' | 'sleeve' | 'wires' | 'solid' | 'duty';
      readonly because: string;
      readonly wanted?: WantedPart | undefined;
    };

/** A part that would do and is not listed: its kind, and what it takes, in words. */
export interface WantedPart {
  readonly name: string;
  readonly takes: string;
}

/**
 * A kind of part is made for so much copper and no more: one of twice the size of those listed, or half, may still be
 * found. Our own figure.
 */
const NEAR = 2;

/**
 * The part that would hold as much copper on every end, where that is near to what is listed of its kind; nothing where
 * it is not, or where the ends are unlike.
 * @param ranges copper that the listed ones take, mm² @param ends copper of each end, mm² @param more what else it
 * takes, after the figure
 */
export function partOfSize(
  name: string,
  ranges: readonly Range[],
  ends: readonly number[],
  more: string,
): WantedPart | undefined {
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  const isNear = ranges.some((range) => most <= NEAR * range.maxMm2 && least >= range.minMm2 / NEAR);
  return isNear && most <= NEAR * least
    ? { name: `${name.charAt(0).toUpperCase()}${name.slice(1)}`, takes: `${figure(most, 3)} mm²${more}` }
    : undefined;
}

/** The wires of a joint and what sizing may use. */
export interface SizingRequest {
  readonly wires: JointWires;
  readonly duty: 'join' | 'add';
  readonly parts: readonly AnyPart[];
  readonly practice: Practice;
  /** One of several joints of a repair, some of which are between unlike sizes. */
  readonly amongUnlike?: boolean | undefined;
  /** Largest thing on the freed end that a sleeve has to pass where no wire is cut, mm. */
  readonly freedEndMm?: number | undefined;
}
