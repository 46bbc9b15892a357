import type { Stretch } from '../damage/index.ts';
import type { KeepOut } from '../harness/index.ts';
import type { LeadSite } from '../method/index.ts';
import type { SizedJoint } from '../family/index.ts';
import type { Asked } from './kinds.ts';
import type { LayoutKind } from '../practice/index.ts';

export type SpliceSide = 'only' | 'left' | 'right';

/** The one name of a splice: its finding and which of the finding's splices it is. */
export const spliceId = (findingId: string, side: SpliceSide): string => `${findingId}:${side}`;

/** The finding for which something was made: a splice, a cover or work at a cavity, by its name. */
export const findingOf = (id: string): string => id.slice(0, Math.max(0, id.lastIndexOf(':')));

/** A splice that stays where it is: made already, or put there by a person. */
export interface Pin {
  readonly findingId: string;
  readonly side: SpliceSide;
  readonly centreMm: number;
  /** The run on which it lies, where that is not its finding's. */
  readonly runId?: string | undefined;
}

/** A layout that is taken for a run. */
export interface ChosenLayout extends Asked {
  readonly runId: string;
}

/** What a longer search found for a run and a layout: where its splices may lie. */
export interface SearchedLayout extends ChosenLayout {
  readonly places: readonly Pin[];
  /** What it was searched for, as a fingerprint, once nothing more is to be looked for; see `fingerprintOf`. */
  readonly endedFor?: string | undefined;
}

/** What people decided about where splices go, besides what is made already. */
export interface LayoutWishes {
  /** Splices that a person put where they are. */
  readonly pins: readonly Pin[];
  /** Findings that are to get one splice where one would do, whatever lies beside it. */
  readonly atOne: readonly string[];
  /**
   * Places that are kept as they are while they are legal for what is to be made: where the others lay when one was
   * moved, or what a longer search found. None: searched anew.
   */
  readonly found: readonly Pin[];
  /** Which layout is wanted on a run, where somebody took one. */
  readonly chosen?: readonly ChosenLayout[] | undefined;
  /** What longer searches found: taken while it is legal, and better than what a plan finds by itself. */
  readonly searched?: readonly SearchedLayout[] | undefined;
  /** Whether inserts may be of another colour where their own is not on hand: tagged at both ends. */
  readonly otherColours?: boolean | undefined;
}

export const NO_WISHES: LayoutWishes = { pins: [], atOne: [], found: [] };

/**
 * Of a repair that reaches past an end of a run: which of its two splices lies on the run that is looked at. The other
 * one lies on another run of its circuit.
 */
export interface Half {
  readonly side: 'left' | 'right';
  /** Where the inserted wire leaves this run: 0 or the run's length, mm. */
  readonly leavesAtMm: number;
  /** From there along the inserted wire to the other splice's conductor end, mm. */
  readonly beyondMm: number;
  /** This run, where it is not the finding's. */
  readonly runId?: string | undefined;
}

/** One finding's splices that want a place. */
export interface LayoutItem {
  readonly findingId: string;
  readonly circuitId: string;
  readonly joints: readonly SizedJoint[];
  /** Where one splice would do: the two that could be made in its place, when it may get two. */
  readonly twoJoints?: readonly SizedJoint[] | undefined;
  /** Mm from the run's start; of a half on another run than the finding's it lies past the run's end. */
  readonly lost: Stretch;
  readonly slackMm: number;
  /**
   * The stretch of its own wire that is free for its bodies, on its finding's run; absent where nothing else is on the
   * wire.
   */
  readonly within?: Stretch | undefined;
  /** Only one of the two splices lies here. */
  readonly half?: Half | undefined;
  readonly pairFindingId?: string | undefined;
  /** A new lead from a connector with one splice, and what its terminal takes, mm. */
  readonly lead?: (LeadSite & { readonly terminalTakesMm: number }) | undefined;
  /** Wire that the insert gets on top, for a lead that is too short, mm. */
  readonly extraMm?: number | undefined;
}

/**
 * What lies on a run already and stays where it is: a splice or a cover of an earlier job, or a cover of this one. From
 * edge to edge, mm from the run's start; mm thick.
 */
export interface LyingBody extends Stretch {
  readonly circuitId: string;
  readonly kind: 'splice' | 'cover';
  readonly diameterMm: number;
  /** What it is called where it matters: "the sealed butt, job 0126". */
  readonly words: string;
}

export interface RunToLayOut {
  /** Which layout is wanted; Wide unless it is said. */
  readonly kind?: LayoutKind | undefined;
  /** Of an even layout: how far apart bodies have to lie, mm; 10 unless it is said. */
  readonly apartMm?: number | undefined;
  /** Of a short layout: how thick the bundle may become where two bodies lie over one place, mm. */
  readonly twoAtMostMm?: number | undefined;
  readonly lengthMm: number;
  readonly keepOuts: readonly KeepOut[];
  readonly items: readonly LayoutItem[];
  readonly pins: readonly Pin[];
  /** How far the faces of one wire of a pair may lie beyond the other's, tried besides the usual shifts, mm. */
  readonly shiftsMm?: readonly number[] | undefined;
  /** Places that are kept as they are when there is a legal one for every splice. */
  readonly found?: readonly Pin[] | undefined;
  readonly betweenBodiesMm: number;
  readonly preferFromConnectorMm: number;
  /** Clearance already in the connectors' keep-outs, mm. */
  readonly connectorClearMm: number;
  /** The wires of the bundle, for its diameter. */
  readonly wires?: readonly BundleWire[] | undefined;
  /** What is on the wires already; a splice counts like a body that is pinned, a cover for the thickness alone. */
  readonly lying?: readonly LyingBody[] | undefined;
  /** What is opened besides the items' losses: covers. */
  readonly alsoOpened?: readonly Stretch[] | undefined;
}

/**
 * A thing of the bundle: a wire with its jacket, and the circuit by which a splice takes its place; or a cable as thick
 * as its own jacket, whose cores lie in it until one of them is spliced.
 */
export interface BundleWire {
  readonly circuitId: string;
  readonly jacketMm: number;
  readonly cores?: readonly BundleWire[] | undefined;
}

/**
 * A splice with its place: the body from edge to edge, and the cut that its outer wire end is made by. Mm from the
 * run's start.
 */
export interface PlacedSplice {
  readonly id: string;
  readonly findingId: string;
  readonly circuitId: string;
  readonly side: SpliceSide;
  readonly centreMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly joint: SizedJoint;
  readonly pinned: boolean;
  /** The run on which it lies, where that is not its finding's. */
  readonly runId?: string | undefined;
  /** Where its inserted wire leaves the run, when the other splice lies on another run, mm. */
  readonly leavesAtMm?: number | undefined;
}

/** A finding's splices in place, with the remaining ends x1 and x2 and the insert between them. */
export interface PlacedItem {
  readonly findingId: string;
  readonly splices: readonly PlacedSplice[];
  readonly x1Mm: number;
  readonly x2Mm: number;
  readonly insertMm?: number | undefined;
}

/** The bundle's diameter over a stretch of the run. */
export interface ProfileStretch extends Stretch {
  readonly diameterMm: number;
}
