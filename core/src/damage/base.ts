import type { WireSpec } from '../wire/index.ts';
import type { EarlierSeen } from './failure.ts';
import type { Noted } from './noted.ts';

/** A stretch along a run, mm from the run's start, from < to. */
export interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
}

/** What every finding has, whatever its kind. */
export interface Base extends Stretch, Noted {
  readonly id: string;
  readonly circuitId: string;
  readonly runId: string;
  /** Beyond the visible damage, until copper is bright and the jacket supple; mm on each side. */
  readonly cutBackLeftMm: number;
  readonly cutBackRightMm: number;
  /** Wire to spare when the harness is pulled together here, by hand; unknown counts as 0. */
  readonly slackMm?: number | undefined;
  /** Largest thing on the freed end that a sleeve must pass; absent when no end can be freed. */
  readonly freedEndMm?: number | undefined;
  /** The wire beyond the damage, where it differs from the circuit's own. */
  readonly farWire?: WireSpec | undefined;
  /** The wire asked for as an insert; chosen from the wire on hand when absent. */
  readonly insertWire?: WireSpec | undefined;
  /** One of the kind's sorts. */
  readonly sort?: string | undefined;
  /** Temporary repairs that this one makes good, by the ids of their records. */
  readonly makesGood?: readonly string[] | undefined;
  /** What was answered about earlier repairs beside it. */
  readonly earlierSeen?: readonly EarlierSeen[] | undefined;
}
