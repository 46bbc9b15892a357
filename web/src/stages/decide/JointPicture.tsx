import type { SplicePlan, WireColour } from '@mendum/core';
import { COPPER_HEX, COPPER_LINE_HEX } from '../../draw/colours.ts';
import { WireLine } from '../../draw/WireLine.tsx';
import { useLength } from '../../ui/units.tsx';

const WIDE = 700;
const MIDDLE = WIDE / 2;
const Y = 62;

function Inside({
  splice,
  half,
  jointHalf,
}: {
  readonly splice: SplicePlan;
  readonly half: number;
  readonly jointHalf: number;
}) {
  const { family } = splice;
  const strand = (x1: number, x2: number, y: number) => (
    <line x1={x1} x2={x2} y1={y} y2={y} stroke={COPPER_LINE_HEX} strokeWidth={1} />
  );
  if (family === 'closedBarrel') {
    return (
      <g>
        <rect x={MIDDLE - jointHalf} y={Y - 17} width={jointHalf - 2} height={34} fill="var(--copper)" />
        <rect x={MIDDLE + 2} y={Y - 17} width={jointHalf - 2} height={34} fill="var(--copper)" />
      </g>
    );
  }
  if (family === 'openClip') {
    return (
      <g>
        <rect x={MIDDLE - jointHalf} y={Y - 8} width={jointHalf * 2} height={7} fill={COPPER_HEX} />
        <rect x={MIDDLE - jointHalf} y={Y + 1} width={jointHalf * 2} height={7} fill={COPPER_HEX} />
        {strand(MIDDLE - jointHalf, MIDDLE + jointHalf, Y - 4.5)}
        {strand(MIDDLE - jointHalf, MIDDLE + jointHalf, Y + 4.5)}
        <rect
          x={MIDDLE - jointHalf * 0.55}
          y={Y - 14}
          width={jointHalf * 1.1}
          height={28}
          rx={4}
          fill="var(--copper)"
          fillOpacity={0.9}
        />
      </g>
    );
  }
  if (family === 'soldered') {
    return (
      <g>
        <rect x={MIDDLE - jointHalf} y={Y - 10} width={jointHalf * 2} height={20} rx={8} fill={COPPER_HEX} />
        {Array.from({ length: 9 }, (_, i) => MIDDLE - jointHalf + 6 + i * ((2 * jointHalf - 12) / 8)).map((x) => (
          <path key={x} d={`M${x - 3} ${Y + 10}l6 -20`} stroke={COPPER_LINE_HEX} strokeWidth={2} />
        ))}
      </g>
    );
  }
  return <rect x={MIDDLE - half} y={Y - 16} width={half * 2} height={32} fill="var(--copper)" />;
}

/** The joint to scale, cut open: barrel, clip or wraps, where it is crimped and how far the wire is stripped. */
export function JointPicture({ splice, colour }: { readonly splice: SplicePlan; readonly colour: WireColour }) {
  const { plain, fixed, unit } = useLength();
  const { joint } = splice;
  const scale = Math.min(9, 420 / joint.bodyLengthMm);
  const half = (joint.bodyLengthMm * scale) / 2;
  const jointHalf = (joint.jointLengthMm * scale) / 2;
  const crimps =
    joint.crimpAtMm === undefined
      ? []
      : splice.family === 'openClip'
        ? [MIDDLE]
        : [MIDDLE - jointHalf + joint.crimpAtMm * scale, MIDDLE + jointHalf - joint.crimpAtMm * scale];
  const strip = (joint.left.folded ? joint.left.stripMm / 2 : joint.left.stripMm) * scale;
  const stripFrom = MIDDLE - jointHalf;
  return (
    <svg
      viewBox={`0 0 ${WIDE} 128`}
      className="w-full max-w-3xl"
      role="img"
      aria-label={`${splice.methodName}, ${plain(joint.bodyLengthMm, 0)} ${unit} long, drawn cut open`}
    >
      <WireLine x1={2} x2={MIDDLE - jointHalf} y={Y} thick={16} colour={colour} />
      <WireLine x1={MIDDLE + jointHalf} x2={WIDE - 2} y={Y} thick={16} colour={colour} />
      <rect
        x={MIDDLE - half}
        y={Y - 27}
        width={half * 2}
        height={54}
        rx={16}
        fill="var(--sheet)"
        fillOpacity={0.86}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <Inside splice={splice} half={half} jointHalf={jointHalf} />
      {crimps.map((x) => (
        <path key={x} d={`M${x} 18v10m-4 -5l4 6l4 -6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      ))}
      {crimps.length > 0 ? (
        <text x={MIDDLE} y={13} textAnchor="middle" fontSize={15} fill="var(--soft)">
          {crimps.length > 1 ? 'crimp here, not on the rim' : 'crimp here'}
        </text>
      ) : null}
      <g stroke="var(--ink)" strokeWidth={1.4}>
        <path
          d={`M${stripFrom} ${Y + 36}v12M${stripFrom + strip} ${Y + 36}v12M${stripFrom} ${Y + 42}H${stripFrom + strip}`}
          fill="none"
        />
      </g>
      <text x={stripFrom + strip / 2} y={Y + 64} textAnchor="middle" fontSize={16} fill="var(--ink)">
        strip{' '}
        <tspan className="figure" fontWeight={600}>
          {fixed(joint.left.stripMm)}
        </tspan>{' '}
        {unit}
        {joint.left.folded ? ', doubled over' : ''}
      </text>
    </svg>
  );
}
