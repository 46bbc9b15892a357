import type { EarlierRepair, Finding } from '@mendum/core/damage';
import type { FindingPlan } from '@mendum/core/plan';
import { EarlierBodies } from './EarlierBodies.tsx';
import { DamageMark } from './DamageMark.tsx';
import type { Row } from './rows.ts';
import { SpliceBody } from './SpliceBody.tsx';
import { WireLine } from '../shapes/WireLine.tsx';

interface RunRowProps {
  readonly row: Row;
  readonly y: number;
  readonly x: (mm: number) => number;
  readonly endMm: number;
  readonly thick: number;
  readonly findings: readonly Finding[];
  readonly plans?: readonly FindingPlan[] | undefined;
  readonly selectedId?: string | undefined;
  /** Repairs of earlier jobs on the run. */
  readonly earlier?: readonly EarlierRepair[] | undefined;
}

/**
 * What is done about one finding, drawn on its wire: the insert brighter between its splices, a cover dashed, else the
 * damage.
 */
function Mended({
  finding,
  plan,
  y,
  x,
  thick,
  selected,
}: {
  readonly finding: Finding;
  readonly plan: FindingPlan | undefined;
  readonly y: number;
  readonly x: (mm: number) => number;
  readonly thick: number;
  readonly selected: boolean;
}) {
  if (plan?.cover) {
    const half =
      (plan.cover.coverId === 'sleeveCover' ? plan.cover.lengthMm * 0.9 : plan.lost.toMm - plan.lost.fromMm + 24) / 2;
    return (
      <rect
        x={x(plan.cover.atMm - half)}
        y={y - thick / 2 - 4}
        width={x(plan.cover.atMm + half) - x(plan.cover.atMm - half)}
        height={thick + 8}
        rx={4}
        fill="var(--sheet)"
        fillOpacity={0.75}
        stroke="var(--ink)"
        strokeWidth={selected ? 3 : 1.6}
        strokeDasharray="5 3"
      />
    );
  }
  if (!plan || (plan.splices.length === 0 && !plan.insert))
    return <DamageMark kind={finding.kind} x1={x(finding.fromMm)} x2={x(finding.toMm)} y={y} thick={thick} />;
  return (
    <g>
      {plan.insert ? (
        <g>
          <rect
            x={x(plan.x1Mm)}
            y={y - thick / 2 - 5}
            width={x(plan.x2Mm) - x(plan.x1Mm)}
            height={thick + 10}
            fill="var(--copper)"
            fillOpacity={0.28}
          />
          <WireLine x1={x(plan.x1Mm)} x2={x(plan.x2Mm)} y={y} thick={thick} colour={plan.insert.wire.wire.colour} />
        </g>
      ) : null}
      {plan.splices.map(({ id, leavesAtMm }) =>
        leavesAtMm === undefined ? null : (
          <path
            key={`${id} on`}
            d={`M${x(leavesAtMm)} ${y}l${leavesAtMm <= 0 ? 11 : -11} -7v14Z`}
            fill="var(--copper)"
            stroke="var(--sheet)"
            strokeWidth={1}
          />
        ),
      )}
      {plan.splices.map((splice) => (
        <SpliceBody
          key={splice.id}
          x1={x(splice.fromMm)}
          x2={x(splice.toMm)}
          y={y}
          high={18}
          glyph={splice.glyph}
          selected={selected}
        />
      ))}
    </g>
  );
}

/** One line of the run drawing. */
export function RunRow({ row, y, x, endMm, thick, findings, plans, selectedId, earlier = [] }: RunRowProps) {
  if (row.kind === 'band') {
    return (
      <g>
        {row.circuits.slice(0, 5).map((circuit, index) => (
          <WireLine
            key={circuit.id}
            x1={x(0)}
            x2={x(endMm)}
            y={y - 6 + index * 3}
            thick={2.5}
            colour={circuit.wire.colour}
          />
        ))}
      </g>
    );
  }
  const own = findings.filter((finding) => finding.circuitId === row.circuit.id);
  return (
    <g>
      <WireLine x1={x(0)} x2={x(endMm)} y={y} thick={thick} colour={row.circuit.wire.colour} />
      <EarlierBodies
        repairs={earlier.filter((repair) => repair.circuitId === row.circuit.id)}
        cutOut={new Set(plans?.flatMap(({ cutsOut }) => cutsOut.map(({ id }) => id)))}
        x={x}
        y={y}
      />
      {own.map((finding) => (
        <g key={finding.id}>
          {finding.id === selectedId && !plans ? (
            <rect
              x={x(finding.fromMm - finding.cutBackLeftMm) - 4}
              y={y - 12}
              width={x(finding.toMm + finding.cutBackRightMm) - x(finding.fromMm - finding.cutBackLeftMm) + 8}
              height={24}
              fill="none"
              stroke="var(--copper)"
              strokeWidth={2.5}
              rx={3}
            />
          ) : null}
          <Mended
            finding={finding}
            plan={plans?.find((one) => one.findingId === finding.id)}
            y={y}
            x={x}
            thick={thick}
            selected={finding.id === selectedId}
          />
        </g>
      ))}
    </g>
  );
}
