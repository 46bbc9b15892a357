import type { ConnectorFace, ConnectorIdentity, LockFamily } from '../connector/index.ts';
import type { WireSpec } from '../wire/index.ts';
import type { Cable } from './cables.ts';
import type { EndUse, Stud, TabMm, TerminalFamily } from './terminals.ts';

export const NODE_KINDS = ['connector', 'branch', 'grommet', 'clip', 'splice', 'end'] as const;
export type NodeKind = (typeof NODE_KINDS)[number];

/**
 * What keeps water out of a cavity: its wire's seal, a plug, nothing because it needs none, or nothing though it
 * should.
 */
export const SEAL_STATES = ['seal', 'plug', 'none', 'missing'] as const;
export type SealState = (typeof SEAL_STATES)[number];

/** What sits in a cavity besides its wire. */
export interface CavityFitting {
  readonly terminal?: TerminalFamily | undefined;
  readonly seal?: SealState | undefined;
  /** What the end is for, by which a terminal is proposed where none is noted. */
  readonly use?: EndUse | undefined;
  /** The stud or screw there, and the width of the tab there, mm. */
  readonly stud?: Stud | undefined;
  readonly tabMm?: TabMm | undefined;
}

/** A named point of the harness between two runs or at the end of one. */
export interface HarnessNode {
  readonly id: string;
  readonly kind: NodeKind;
  readonly name: string;
  /** Number of cavities, of a connector. */
  readonly ways?: number | undefined;
  /** Where a connector's cavities lie and how they are numbered. */
  readonly face?: ConnectorFace | undefined;
  /** What is moulded and printed on it, of a connector. */
  readonly identity?: ConnectorIdentity | undefined;
  /** How its terminals are held. */
  readonly lock?: LockFamily | undefined;
  /** Terminal family and seal by cavity. */
  readonly fittings?: Readonly<Record<string, CavityFitting>> | undefined;
}

export const VIBRATIONS = ['none', 'low', 'moderate', 'high'] as const;
export type Vibration = (typeof VIBRATIONS)[number];
export const MOISTURES = ['dry', 'damp', 'wet'] as const;
export type Moisture = (typeof MOISTURES)[number];
export const AREAS = ['cabin', 'body', 'chassis', 'engine'] as const;
export type Area = (typeof AREAS)[number];

/** What a run has to live with. Without a measured ambient, the area's usual one counts. */
export interface Zone {
  readonly area: Area;
  readonly vibration: Vibration;
  readonly moisture: Moisture;
  readonly ambientC?: number | undefined;
  readonly fuelVapour: boolean;
}

export const FEATURE_KINDS = ['branch', 'grommet', 'clip', 'flex'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/**
 * Something along a run that splices keep away from; `flex` is a stretch that bends in use. Positions in mm from the
 * run's start.
 */
export interface Feature {
  readonly kind: FeatureKind;
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
}

/** A stretch of harness between two named points; positions along it are mm from `fromNodeId`. */
export interface Run {
  readonly id: string;
  readonly name: string;
  readonly fromNodeId: string;
  readonly toNodeId: string;
  readonly lengthMm: number;
  /** Nobody has measured all of it: it is at least as long as `lengthMm`. */
  readonly atLeast?: true | undefined;
  readonly conduitInsideMm?: number | undefined;
  readonly zone: Zone;
  readonly features: readonly Feature[];
}

export const CIRCUIT_KINDS = [
  'power',
  'ground',
  'ignition',
  'signal',
  'lowLevel',
  'data',
  'shielded',
  'airbag',
  'highVoltage',
] as const;
export type CircuitKind = (typeof CIRCUIT_KINDS)[number];

/** A place in a housing. */
export interface Cavity {
  readonly nodeId: string;
  readonly cavity: string;
}

/** Letters that a remark of a circuit may have. */
export const REMARK_MOST = 500;

/** An electrical path with a number and a function, and the wire that it is made of. */
export interface Circuit {
  readonly id: string;
  readonly number: string;
  readonly function: string;
  readonly kind: CircuitKind;
  readonly wire: WireSpec;
  readonly from: Cavity;
  readonly to: Cavity;
  readonly runIds: readonly string[];
  readonly fuseA?: number | undefined;
  readonly loadA?: number | undefined;
  /** Id of the other wire of a twisted pair. */
  readonly pairWith?: string | undefined;
  /** The shield that it lies in, its pair's other wire with it: its drain's copper, mm², where it is known. */
  readonly shield?: { readonly drainMm2?: number | undefined } | undefined;
  /** What else is noted of it, as it was written. */
  readonly remark?: string | undefined;
}

/** Where what is known of a harness comes from: a manual's page, a list of the maker's, a drawing. */
export interface PinoutSource {
  readonly source: string;
  /** Of which model years it is. */
  readonly year?: string | undefined;
  /** For which variant of the machine. */
  readonly variant?: string | undefined;
}

export interface Harness {
  readonly id: string;
  readonly name: string;
  readonly nodes: readonly HarnessNode[];
  readonly runs: readonly Run[];
  readonly circuits: readonly Circuit[];
  /** Jacketed cables along its runs. */
  readonly cables?: readonly Cable[] | undefined;
  /** The sheets that its circuits were read from, in the order that they came. */
  readonly sources?: readonly PinoutSource[] | undefined;
}

/** A stretch, clearance included, that no part of a splice's body may enter; touching its edge is allowed. */
export interface KeepOut {
  readonly kind: FeatureKind | 'connector' | 'splice' | 'end';
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
}
