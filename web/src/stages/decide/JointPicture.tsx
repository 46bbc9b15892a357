import type { SplicePlan } from '@mendum/core/plan';
import type { WireColour } from '@mendum/core/wire';
import { WireLine } from '../../shapes/WireLine.tsx';
import { GLYPHS, JOINT } from '../../glyph/index.ts';
import { useRoom } from '../../draw/useRoom.ts';
import { useLength } from '../../ui/units.tsx';

const { wide: WIDE, middle: MIDDLE, y: Y } = JOINT;

/** Room for the wires beside a joint. */
const BESIDE = 80;

/** The joint to scale, cut open: barrel, clip or wraps, where it is crimped and how far the wire is stripped. */
export function JointPicture({
  splice,
  colours,
}: {
  readonly splice: SplicePlan;
  /** The wires that come in from both sides. */
  readonly colours: { readonly left: WireColour; readonly right: WireColour };
}) {
  const { plain, fixed, unit } = useLength();
  const { joint } = splice;
  const [box, room] = useRoom<HTMLDivElement>(WIDE);
  const scale = Math.min(9, 420 / joint.bodyLengthMm);
  const half = (joint.bodyLengthMm * scale) / 2;
  const jointHalf = (joint.jointLengthMm * scale) / 2;
  const glyph = GLYPHS[splice.glyph];
  const crimps = glyph.crimpsAt(joint, jointHalf, scale);
  const strip = (joint.left.folded ? joint.left.stripMm / 2 : joint.left.stripMm) * scale;
  const stripFrom = MIDDLE - jointHalf;
  // On a narrow screen less of the wires is seen beside the joint, and words stay as large as words are.
  const seen = Math.min(WIDE, Math.max(half * 2 + BESIDE, room.width));
  const words = Math.max(1, seen / room.width);
  return (
    <div ref={box} className="w-full max-w-3xl min-w-0">
      <svg
        viewBox={`${MIDDLE - seen / 2} ${14 - 14 * words} ${seen} ${112 + 16 * words}`}
        className="w-full"
        role="img"
        aria-label={`${splice.methodName}, ${plain(joint.bodyLengthMm, 0)} ${unit} long, drawn cut open`}
      >
        <WireLine x1={2} x2={MIDDLE - jointHalf} y={Y} thick={16} colour={colours.left} />
        <WireLine x1={MIDDLE + jointHalf} x2={WIDE - 2} y={Y} thick={16} colour={colours.right} />
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
        {glyph.inside({ half, jointHalf })}
        {crimps.map((x) => (
          <path key={x} d={`M${x} 18v10m-4 -5l4 6l4 -6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        ))}
        {crimps.length > 0 ? (
          <text x={MIDDLE} y={13} textAnchor="middle" fontSize={15 * words} fill="var(--soft)">
            {crimps.length > 1 ? 'crimp here, not on the rim' : 'crimp here'}
          </text>
        ) : null}
        <g stroke="var(--ink)" strokeWidth={1.4}>
          <path
            d={`M${stripFrom} ${Y + 36}v12M${stripFrom + strip} ${Y + 36}v12M${stripFrom} ${Y + 42}H${stripFrom + strip}`}
            fill="none"
          />
        </g>
        <text
          x={stripFrom + strip / 2}
          y={Y + 48 + 16 * words}
          textAnchor="middle"
          fontSize={16 * words}
          fill="var(--ink)"
        >
          strip{' '}
          <tspan className="figure" fontWeight={600}>
            {fixed(joint.left.stripMm)}
          </tspan>{' '}
          {unit}
          {joint.left.folded ? ', doubled over' : ''}
        </text>
      </svg>
    </div>
  );
}
