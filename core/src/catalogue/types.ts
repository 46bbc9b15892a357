import type { TerminalFamily } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type {
  HousingPart,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  TerminalPart,
  WireSealPart,
} from './ends.ts';
import type { Range, Stocked } from './stocked.ts';

/** A butt barrel: crimped from both ends, with (`sealedButt`) or without (`plainButt`) an adhesive tube built in. */
export interface ButtPart extends Stocked {
  readonly kind: 'sealedButt' | 'plainButt';
  readonly range: Range;
  readonly barrelIdMm: number;
  readonly barrelLengthMm: number;
  readonly overallLengthMm: number;
  readonly crimpedDiameterMm: number;
}

/** A sealed butt with a bore for each of two sizes. */
export interface StepDownPart extends Stocked {
  readonly kind: 'stepDown';
  readonly smallRange: Range;
  readonly largeRange: Range;
  readonly barrelLengthMm: number;
  readonly overallLengthMm: number;
  readonly crimpedDiameterMm: number;
}

/** An open-barrel splice clip, or one made for many wires; its range is for the total copper of all wires in it. */
export interface ClipPart extends Stocked {
  readonly kind: 'clip' | 'multiClip';
  readonly totalRange: Range;
  readonly barrelLengthMm: number;
  readonly lapMm: number;
  readonly crimpedDiameterMm: number;
}

export const SLEEVE_SERIES = ['adhesive3to1', 'adhesive4to1', 'single2to1'] as const;
export type SleeveSeries = (typeof SLEEVE_SERIES)[number];
export const SLEEVE_SERIES_WORDS: Record<SleeveSeries, string> = {
  adhesive3to1: 'adhesive 3:1',
  adhesive4to1: 'adhesive 4:1',
  single2to1: 'single wall 2:1',
};

/** Heat-shrink tube in sticks. */
export interface SleevePart extends Stocked {
  readonly kind: 'sleeve';
  readonly series: SleeveSeries;
  readonly suppliedIdMm: number;
  readonly recoveredIdMm: number;
  readonly stickMm: number;
}

export interface TapePart extends Stocked {
  readonly kind: 'tape';
  readonly tape: 'selfFusing' | 'cloth';
  readonly widthMm: number;
  readonly thicknessMm: number;
}

export interface SolderPart extends Stocked {
  readonly kind: 'solder';
  readonly alloy: 'tinLead' | 'leadFree';
  readonly core: 'rosin' | 'acid';
}

export interface TapPart extends Stocked {
  readonly kind: 'piercingTap';
  readonly range: Range;
  readonly lengthMm: number;
  readonly thickMm: number;
}

/** A closed-end cap over wires that lie parallel; its range is for all copper in it. */
export interface CapPart extends Stocked {
  readonly kind: 'cap';
  readonly totalRange: Range;
  readonly depthMm: number;
  readonly lengthMm: number;
  readonly diameterMm: number;
}

/** A clear sleeve with a ring of solder and glue at both ends; its range is for each side. */
export interface SolderSleevePart extends Stocked {
  readonly kind: 'solderSleeve';
  readonly range: Range;
  readonly lapMm: number;
  readonly overallLengthMm: number;
  readonly diameterMm: number;
}

export type Part =
  | ButtPart
  | StepDownPart
  | ClipPart
  | CapPart
  | SolderSleevePart
  | SleevePart
  | TapePart
  | SolderPart
  | TapPart
  | TerminalPart
  | WireSealPart
  | PlugPart
  | PottingPart
  | HousingPart
  | LockPiecePart
  | PigtailPart;
/** The part of one kind, where a kind may be one of several that share a shape. */
export type PartOf<K extends Part['kind']> = Part extends infer P
  ? P extends Part
    ? K extends P['kind']
      ? P
      : never
    : never
  : never;

export const TOOL_TASKS = [
  'crimpSealedButt',
  'crimpPlainButt',
  'crimpClip',
  'crimpMultiClip',
  'crimpCap',
  'crimpTerminal',
  'solder',
  'hotAir',
  'pressTap',
] as const;
export type ToolTask = (typeof TOOL_TASKS)[number];

/** A tool that is really there. Calibration is an ISO date; without one it was never calibrated. */
export interface Tool {
  readonly id: string;
  readonly name: string;
  readonly tasks: readonly ToolTask[];
  /** Copper range of its dies, mm²; absent when the task has no dies. */
  readonly range?: Range | undefined;
  /** Terminal families of its dies, for a tool that crimps terminals. */
  readonly families?: readonly TerminalFamily[] | undefined;
  readonly ratchet: boolean;
  readonly calibratedUntil?: string | undefined;
}

/** Wire on hand. */
export interface WireStock {
  readonly id: string;
  readonly wire: WireSpec;
  readonly lengthMm: number;
}

/** Everything that can be used: a part listed with quantity 0 is known but not there. */
export interface Catalogue {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly parts: readonly Part[];
  readonly tools: readonly Tool[];
  readonly wires: readonly WireStock[];
}
