import type { CircuitKind, Zone } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';

/** What may have happened to a wire in the hand. */
export const QUICK_DAMAGES = ['parted', 'jacketRubbed', 'strandsLost', 'corroded', 'cooked', 'poorRepair'] as const;
export type QuickDamage = (typeof QUICK_DAMAGES)[number];

/** Circuits that a repair may begin with without more being known of them. */
export const QUICK_CIRCUITS = [
  'power',
  'ground',
  'ignition',
  'signal',
  'lowLevel',
  'data',
] as const satisfies CircuitKind[];
export type QuickCircuit = (typeof QUICK_CIRCUITS)[number];

/** Most wires that are begun with at once. */
export const QUICK_WIRES_MOST = 24;
/** Longest stretch that is opened, or lost, at one place, mm. */
export const QUICK_LENGTH_MOST_MM = 5000;

/**
 * A repair that begins with a wire in the hand: what is tapped, and what was assumed where nothing was. Lengths are mm.
 */
export interface QuickRepair {
  /** The damaged wires at that place, 1 to 24. */
  readonly wires: readonly WireSpec[];
  readonly circuitKind: QuickCircuit;
  readonly systemVoltageV: number;
  readonly damage: QuickDamage;
  /** Visible damage, or what is missing, along the wire. */
  readonly lostMm: number;
  /** Cut back on each side until copper is bright and the jacket supple. */
  readonly cutBackMm: number;
  /** Of how many strands how many are lost; with `strandsLost` only. */
  readonly strands?: { readonly lost: number; readonly total: number } | undefined;
  readonly zone: Zone;
  /** Length that bends in use, the damage in its middle; absent where nothing moves. */
  readonly bendsMm?: number | undefined;
  /** Wire to spare when the harness is pulled together at the damage. */
  readonly slackMm: number;
  /** Harness that can be opened on each side of the middle of the damage. */
  readonly openMm: number;
  /** Where it is, as it will be found again: "left frame rail, behind the step". */
  readonly where?: string | undefined;
}
