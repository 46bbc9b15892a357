import type { Latch, LockFamily } from '../connector/index.ts';
import type { Cavity, TerminalFamily } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { Ask } from './askTypes.ts';
import type { Attach, EndSeal, RankedEnd } from './ends/types.ts';

/** What is done at the cavity itself. */
export const CAVITY_ACTS = [
  'unplug',
  'crimpTerminal',
  'refit',
  'correct',
  'rehouse',
  'seal',
  'plug',
  'lockPiece',
  'solderToPin',
  'pigtail',
  'move',
  'cableEnd',
  'boot',
  'route',
] as const;
export type CavityAct = (typeof CAVITY_ACTS)[number];

/** A terminal sized for a wire, with its seal where the cavity wants one. Lengths in mm. */
export interface FittedTerminal {
  readonly family: TerminalFamily;
  readonly partId: string;
  readonly partName: string;
  /** What holds the copper; and whether it goes in doubled over. */
  readonly attach: Attach;
  readonly folded: boolean;
  readonly fitsWords: string;
  readonly stripMm: number;
  /** Metal under its jacket support takes a second crimp; wings of its own grip the jacket. */
  readonly hasMetalSupport: boolean;
  readonly gripsJacket: boolean;
  /** Tool and nest that close it on the copper, and on the jacket where it has wings for that; in words. */
  readonly crimpedBy?:
    { readonly conductor: string; readonly jacket?: string | undefined; readonly hasRatchet: boolean } | undefined;
  readonly seal?: EndSeal | undefined;
  readonly usesPartIds: readonly string[];
}

/**
 * The end of a jacketed cable at its connector: how far the jacket goes back, cores that stay unused, the sleeve over
 * jacket and back cap; mm.
 */
export interface CableEnd {
  readonly backMm: number;
  readonly unusedCores: number;
  /** Something of it could not be counted: nobody has measured it, or no sleeve is known. */
  readonly isUncounted: boolean;
  /** Colours of those that somebody has looked at. */
  readonly spareColours?: readonly string[] | undefined;
  /** The sleeve over the end of each unused core. */
  readonly spare?: { readonly partId: string; readonly name: string; readonly cutMm: number } | undefined;
  readonly sleeve?:
    | {
        readonly partId: string;
        readonly name: string;
        readonly cutMm: number;
        /** On the jacket and on the cap, mm; and how much of its length it loses. */
        readonly overlapMm: number;
        readonly shrink: number;
      }
    | undefined;
}

/** Work at a cavity: the acts in their order, with all they take. */
export interface CavityWork {
  readonly acts: readonly CavityAct[];
  readonly at: Cavity;
  readonly nodeName: string;
  readonly lock?: LockFamily | undefined;
  /** How its two halves are held together, and the tool that frees its terminals; where they are noted. */
  readonly latch?: Latch | undefined;
  readonly releaseTool?: string | undefined;
  readonly name: string;
  /** It is an end of a circuit that is added, which carries this, A: not what the circuit beside it carries. */
  readonly added?: { readonly loadA?: number | undefined } | undefined;
  readonly terminal?: FittedTerminal | undefined;
  readonly partIds: readonly string[];
  /** Parts of which one serves the whole connector. */
  readonly sharedPartIds: readonly string[];
  readonly toolNames: readonly string[];
  readonly wire: WireSpec;
  /** Every terminal that was looked at for it, and what is to be watched at the one taken. */
  readonly terminals: readonly RankedEnd[];
  readonly warnings: readonly string[];
  /** What has to be noted before a terminal can be named, or why none can. */
  readonly unknown?: string | undefined;
  /** The cavity that its wire moves into. */
  readonly toCavity?: string | undefined;
  /** The end of its cable, made anew. */
  readonly cable?: CableEnd | undefined;
  /** Least bend radius on a new route, where it lies still and where it moves; mm. */
  readonly bendMm?: { readonly fixed: number; readonly moving: number } | undefined;
  /** Parts for the whole connector that lie on the shelf and were not taken, each with its reason. */
  readonly passed: readonly string[];
  /** What has to be noted of the connector or its part. */
  readonly asks: readonly Ask[];
}
