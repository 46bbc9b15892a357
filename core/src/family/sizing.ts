import type { Practice } from '../practice/index.ts';
import type { JointWires } from '../sizing/index.ts';
import type { AnyPart } from '../stock/index.ts';
import type { SizedJoint } from './joint.ts';

/** Sizing either gives the joints that hold the copper, best by size first, or says which figure stands in the way; `sleeve` failures are told apart from copper that nothing holds. */
export type Sizing =
  | { readonly ok: true; readonly joints: readonly SizedJoint[] }
  | { readonly ok: false; readonly lacks: 'barrel' | 'sleeve' | 'wires' | 'solid' | 'duty'; readonly because: string };

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
