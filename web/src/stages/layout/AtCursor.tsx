import { diameterAt, jacketDiameterMm, type Circuit, type FindingPlan, type RunPlan } from '@mendum/core';
import { CrossSection, type InSection } from '../../draw/CrossSection.tsx';
import { Figure, useLength } from '../../ui/units.tsx';

interface AtCursorProps {
  readonly atMm: number;
  readonly circuits: readonly Circuit[];
  readonly plans: readonly FindingPlan[];
  readonly runPlan: RunPlan;
}

/** The bundle cut through where the cursor stands. */
export function AtCursor({ atMm, circuits, plans, runPlan }: AtCursorProps) {
  const { plain, unit } = useLength();
  const splices = plans.flatMap((finding) => finding.splices).filter((splice) => splice.fromMm <= atMm && atMm <= splice.toMm);
  const parts = circuits.map((circuit): InSection => {
    const splice = splices.find((one) => one.circuitId === circuit.id);
    return { key: circuit.id, colour: circuit.wire.colour, diameterMm: splice?.joint.bodyDiameterMm ?? jacketDiameterMm(circuit.wire), isSplice: splice !== undefined };
  });
  return (
    <div className="flex items-center gap-4">
      <CrossSection parts={parts} />
      <div>
        <p className="text-soft">At <Figure value={plain(atMm, 0)} unit={unit} /></p>
        <p className="text-4xl font-semibold"><Figure value={plain(diameterAt(runPlan.profile, atMm))} /></p>
        <p className="text-soft">{unit} across</p>
      </div>
    </div>
  );
}
