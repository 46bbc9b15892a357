import { stepsAtCavity } from '../bench/index.ts';
import { isInHousing } from '../harness/index.ts';
import type { PlacedItem } from '../layout/index.ts';
import { checksAtCavity, pullMinimumN } from '../prove/index.ts';
import { areaMm2, LEAST_JOINT_MM, resistanceLimits } from '../wire/index.ts';
import type { Surroundings } from './splicePlan.ts';
import type { CavityPlan } from './made.ts';
import type { Decided, PieceOfWork } from './types.ts';

/** Work at a cavity made into a plan: its steps and its checks. */
export function cavityPlan(
  { decision, finding, circuit }: Decided,
  { run, practice }: Surroundings,
  item: PlacedItem | undefined,
  piece?: PieceOfWork,
): CavityPlan | undefined {
  const { cavity: work } = decision;
  if (!work) return undefined;
  const id = `${finding.id}:cavity`;
  const make = decision.redoCount + 1;
  const { terminal, acts } = work;
  const crimps = acts.includes('crimpTerminal');
  return {
    id,
    findingId: finding.id,
    name: work.name,
    work,
    atMm:
      work.at.nodeId === run.fromNodeId
        ? 0
        : work.at.nodeId === run.toNodeId
          ? run.lengthMm
          : (item?.x1Mm ?? finding.fromMm),
    make,
    steps: stepsAtCavity(id, make, work, practice.habits, {
      wires: piece?.findingIds.length ?? 1,
      isFirst: piece === undefined || piece.findingIds[0] === finding.id,
      isLast: piece === undefined || piece.findingIds.at(-1) === finding.id,
    }),
    checks: checksAtCavity({
      crimpsTerminal: crimps,
      inHousing: terminal === undefined || isInHousing(terminal.family),
      wireSeal: terminal?.seal !== undefined || acts.includes('seal'),
      seats: !acts.includes('plug') && !acts.includes('pigtail'),
      soldered: acts.includes('solderToPin'),
      pullMinimumN: pullMinimumN(areaMm2(work.wire.size)),
      limits: crimps ? resistanceLimits(work.wire, LEAST_JOINT_MM, circuit.loadA) : undefined,
    }),
  };
}
