import type { Stocked } from './stocked.ts';

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
