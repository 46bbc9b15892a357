import type { Harness } from '../harness/index.ts';
import type { Stretch } from './base.ts';
import { endOfCircuit } from './cavity.ts';
import type { EarlierEnd, EarlierRepair, EarlierWork } from './earlier.ts';
import { isAtCavity, type Finding } from './types.ts';

/** So near an earlier repair on the same wire, mm, damage may have come from it. */
const NEAR_MM = 100;

/** An earlier repair beside a place, and how far they are apart, mm; 0 where one lies on the other. */
export interface RepairNear {
  readonly repair: EarlierRepair | EarlierEnd;
  readonly apartMm: number;
}

const apart = (a: Stretch, b: Stretch): number => Math.max(0, a.fromMm - b.toMm, b.fromMm - a.toMm);

/** How far work at a cavity is from what was found: at the same cavity, else along the wire that ends there. */
function fromEnd(finding: Finding, { circuitId, nodeId, cavity }: EarlierEnd, harness: Ends): number | undefined {
  if (isAtCavity(finding) && finding.at.nodeId === nodeId && finding.at.cavity === cavity) return 0;
  const circuit = harness.circuits.find(({ id }) => id === circuitId);
  const end = circuit && circuitId === finding.circuitId ? endOfCircuit(circuit, harness.runs, nodeId) : undefined;
  return end?.runId === finding.runId && end.cavity === cavity ? apart(end, finding) : undefined;
}

type Ends = Pick<Harness, 'circuits' | 'runs'>;

/**
 * Earlier repairs on the wire of what was found, on it or within 100 mm of it, and earlier work at its cavity, the
 * nearest first.
 */
export const repairsNear = (
  finding: Finding,
  { earlier = [], earlierEnds = [], harness }: EarlierWork & { readonly harness: Ends },
): readonly RepairNear[] =>
  [
    ...earlier
      .filter(({ circuitId, runId }) => circuitId === finding.circuitId && runId === finding.runId)
      .map((repair) => ({ repair, apartMm: apart(repair, finding) })),
    ...earlierEnds.flatMap((repair) => {
      const apartMm = fromEnd(finding, repair, harness);
      return apartMm === undefined ? [] : [{ repair, apartMm }];
    }),
  ]
    .filter(({ apartMm }) => apartMm <= NEAR_MM)
    .sort((a, b) => a.apartMm - b.apartMm);
