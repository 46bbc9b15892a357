import type { Habits } from '../practice/index.ts';
import type { JoinProof } from '../prove/index.ts';
import type { Act, StepDraft } from '../step/index.ts';
import type { AnyTool, CommonTask, PartKind, Task } from '../stock/index.ts';
import type { Seal, SizedJoint } from './joint.ts';
import type { Sizing, SizingRequest } from './sizing.ts';

/** A way of joining wires: one part or lay, one seal. */
export interface Method<Id extends string = string, T extends string = string> {
  readonly id: Id;
  readonly name: string;
  /** Made on a bared window of a main wire. */
  readonly window?: boolean;
  /** The main wire is not cut for it: it stays whole. */
  readonly leavesWhole?: boolean;
  /** It grips each of two sizes in a bore of its own. */
  readonly gripsTwoSizes?: boolean;
  /**
   * What hands and tools do in it, besides cutting and stripping the wire: what may be done at the place, and the
   * cautions, follow from it.
   */
  readonly acts: readonly Act[];
  readonly seal: Seal['kind'];
  /** What its barrel has round it, which its nest must be made for; absent where there is no barrel. */
  readonly barrel?: 'insulated' | 'bare';
  /**
   * Place in the order of preference, lower first; where that hangs on the copper, by the thickest that is joined, mm².
   */
  readonly order: number | ((thickestMm2: number) => number);
  /** The joint in a sentence about a shop that solders first: "a wrapped, soldered joint". */
  readonly lay?: string;
  /** What tools have to do for it: its family's own tasks, or those that are everybody's. */
  readonly tasks: readonly T[];
  /** Bench steps and minutes per joint, by which equals are ranked. */
  readonly steps: number;
  readonly minutes: number;
  readonly size: (request: SizingRequest) => Sizing;
}

/** What is done with a place that only some families ask: rules read these and never a family's name. */
export interface FamilyTraits {
  /** What holds the copper: a crimp, molten solder, or a tooth that pierces the jacket. */
  readonly joins: 'crimp' | 'solder' | 'tooth';
  /** Conductors lie beside each other in it, as many as there are: slim, short, and made for three and more. */
  readonly sideBySide?: boolean;
  /**
   * It is open at one end, so only for dry and still places, and never for a signal: why, as a clause; and what becomes
   * of the reading.
   */
  readonly openEnded?: { readonly because: string; readonly reading: string };
  /** Never for good, only with a day to come back: why, as a clause. */
  readonly temporary?: string;
  /** The step that joins it seals it as well. */
  readonly sealsInOne?: boolean;
}

/** A splice as its family's steps see it. */
export interface JoinWork {
  readonly joint: SizedJoint;
  /** The main wire stays whole: a window is bared on it, or a tap pressed over it. */
  readonly whole: boolean;
  /** "the harvester module", "the insert": what each end leads to. */
  readonly leftName: string;
  readonly rightName: string;
  /** A wire of it is solid: it cannot be pushed into another's strands. */
  readonly solid: boolean;
  readonly ironW: number;
  readonly habits: Habits;
  /** The place stands still and stays dry. */
  readonly stillAndDry: boolean;
}

/**
 * A family of joints: all that is to be known of one way of making them. One folder holds one, and everything outside
 * asks what stands here: nothing compares a family's or a method's name.
 */
export interface Family<
  Id extends string = string,
  K extends PartKind = PartKind,
  T extends string = string,
  G extends string = string,
> extends FamilyTraits {
  /** What it is called where its subject is named: "soldered joint". */
  readonly words: string;
  readonly methods: readonly Method<Id, NoInfer<T> | CommonTask>[];
  /** Its own kinds of part; sleeve, tape and solder are everybody's. */
  readonly parts: readonly K[];
  /** What its own tools do, and one of each. */
  readonly tasks: Readonly<Record<T, Task>>;
  readonly tools: readonly AnyTool<NoInfer<T>>[];
  /** The steps from the bare ends to the joint that holds; cut, sleeve, strip, tug and seal are everybody's. */
  readonly joinSteps: (work: JoinWork) => readonly StepDraft[];
  readonly proof: JoinProof;
  /** Name of its drawing. */
  readonly glyph: G;
}

/** A method with its id and tasks as they are written, so that its family can be held to them. */
export const method = <const Id extends string, const T extends string>(of: Method<Id, T>): Method<Id, T> => of;

/** Names a family's methods, parts, tasks and glyph once, so that the lists made of all families know them. */
export const family = <const Id extends string, K extends PartKind, const T extends string, const G extends string>(
  of: Family<Id, K, T, G>,
): Family<Id, K, T, G> => of;
