import type { WireSpec } from '../wire/index.ts';

/** A stretch along a run, mm from the run's start, from < to. */
export interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

export const FINDING_KINDS = ['jacketRubbed', 'strandsLost', 'parted', 'corroded', 'cooked', 'poorRepair', 'addCircuit'] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

export const FINDING_WORDS: Record<FindingKind, string> = {
  jacketRubbed: 'jacket rubbed through, copper whole',
  strandsLost: 'strands nicked or broken',
  parted: 'wire cut or a length missing',
  corroded: 'corrosion under the jacket',
  cooked: 'wire cooked stiff',
  poorRepair: 'earlier poor repair',
  addCircuit: 'a circuit to be added here',
};

interface Base extends Stretch {
  readonly id: string;
  readonly circuitId: string;
  readonly runId: string;
  /** Beyond the visible damage, until copper is bright and the jacket supple; mm on each side. */
  readonly cutBackLeftMm: number;
  readonly cutBackRightMm: number;
  /** Wire that the harness gives back when it is pulled together here, by hand; unknown counts as 0. */
  readonly slackMm?: number | undefined;
  /** Largest thing on the freed end that a sleeve must pass; absent when no end can be freed. */
  readonly freedEndMm?: number | undefined;
  /** The wire beyond the damage, where it differs from the circuit's own. */
  readonly farWire?: WireSpec | undefined;
  /** The wire asked for as an insert; chosen from the wire on hand when absent. */
  readonly insertWire?: WireSpec | undefined;
  /** ISO date by which a temporary repair comes back; absent for a permanent one. */
  readonly temporaryUntil?: string | undefined;
  readonly note?: string | undefined;
}

/** What was found on one wire at one place. */
export type Finding =
  | (Base & { readonly kind: Exclude<FindingKind, 'strandsLost' | 'addCircuit'> })
  | (Base & { readonly kind: 'strandsLost'; readonly strandsLost: number; readonly strandsTotal: number })
  | (Base & { readonly kind: 'addCircuit'; readonly branchWires: readonly WireSpec[] });

export type FindingOf<K extends FindingKind> = Extract<Finding, { readonly kind: K }>;
