import type { GateEntry } from './gate.ts';

/** Where in the job, the harness or the workshop the field stands that answers what is asked. */
export type AnsweredAt =
  | { readonly on: 'finding'; readonly findingId: string; readonly field: FindingField }
  | { readonly on: 'gate'; readonly entry: GateEntry }
  | { readonly on: 'fitting'; readonly nodeId: string; readonly cavity: string }
  | { readonly on: 'node'; readonly nodeId: string; readonly field: NodeField }
  | { readonly on: 'circuit'; readonly circuitId: string; readonly field: CircuitField }
  | { readonly on: 'run'; readonly runId: string; readonly field: RunField }
  | { readonly on: 'shelf'; readonly name: string }
  | { readonly on: 'practice' };
export type NodeField = 'lock' | 'family' | 'keying' | 'capMm';
export type FindingField =
  | 'fromMm'
  | 'slackMm'
  | 'freedEndMm'
  | 'note'
  | 'insertWire'
  | 'otherCavity'
  | 'otherEnd'
  | 'addedMm'
  | 'addedLoadA'
  | 'addedFuseA';
export type CircuitField = 'fuseA' | 'loadA' | 'wire';
export type RunField = 'ambientC' | 'moisture' | 'vibration' | 'fuelVapour' | 'features' | 'cableMm' | 'lengthMm';

/** What a person has to do before the plan can go on: what it is, in words, and the field that answers it. */
export interface Ask {
  readonly does: 'order' | 'measure' | 'note' | 'decide';
  readonly words: string;
  readonly at: AnsweredAt;
  /** The work is planned, and what it takes may change with the answer: the kit is not ready before. */
  readonly holdsKit?: boolean | undefined;
}
