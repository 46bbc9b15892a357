import type { Stretch } from './base.ts';
import type { EarlierRepair } from './earlier.ts';

/** So near an earlier repair on the same wire, mm, damage may have come from it. */
const NEAR_MM = 100;

/** An earlier repair beside a place, and how far they are apart, mm; 0 where one lies on the other. */
export interface RepairNear {
  readonly repair: EarlierRepair;
  readonly apartMm: number;
}

/** Earlier repairs on the wire of what was found, on it or within 100 mm of it, the nearest first. */
export const repairsNear = (
  { circuitId, runId, fromMm, toMm }: Stretch & Pick<EarlierRepair, 'circuitId' | 'runId'>,
  earlier: readonly EarlierRepair[] = [],
): readonly RepairNear[] =>
  earlier
    .filter((repair) => repair.circuitId === circuitId && repair.runId === runId)
    .map((repair) => ({ repair, apartMm: Math.max(0, repair.fromMm - toMm, fromMm - repair.toMm) }))
    .filter(({ apartMm }) => apartMm <= NEAR_MM)
    .sort((a, b) => a.apartMm - b.apartMm);
