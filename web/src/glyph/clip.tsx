import { COPPER_HEX, COPPER_LINE_HEX } from '../shapes/colours.ts';
import { brush, clip, clipWires, copper, wireFrom } from '../shapes/lookShapes.tsx';
import { Arrow, Caption, Copper, WIDE, Wire, Y } from '../shapes/stepShapes.tsx';
import { JOINT, type Glyph } from './types.ts';

const Strand = ({ half, y }: { readonly half: number; readonly y: number }) => (
  <line x1={JOINT.middle - half} x2={JOINT.middle + half} y1={y} y2={y} stroke={COPPER_LINE_HEX} strokeWidth={1} />
);

/** A clip round two conductors. */
export const CLIP: Glyph = {
  mark: ({ x, y, wide, high }) => (
    <g fill="none" stroke="var(--copper)" strokeWidth={2}>
      <path
        d={`M${x - wide / 2} ${y - high * 0.22}H${x + wide / 2}M${x - wide / 2} ${y + high * 0.22}H${x + wide / 2}`}
      />
      <path
        d={`M${x - (wide / 2) * 0.45} ${y - high / 2}v${high}M${x + (wide / 2) * 0.45} ${y - high / 2}v${high}`}
        strokeWidth={3}
      />
    </g>
  ),
  inside: ({ jointHalf }) => (
    <g>
      <rect x={JOINT.middle - jointHalf} y={JOINT.y - 8} width={jointHalf * 2} height={7} fill={COPPER_HEX} />
      <rect x={JOINT.middle - jointHalf} y={JOINT.y + 1} width={jointHalf * 2} height={7} fill={COPPER_HEX} />
      <Strand half={jointHalf} y={JOINT.y - 4.5} />
      <Strand half={jointHalf} y={JOINT.y + 4.5} />
      <rect
        x={JOINT.middle - jointHalf * 0.55}
        y={JOINT.y - 14}
        width={jointHalf * 1.1}
        height={28}
        rx={4}
        fill="var(--copper)"
        fillOpacity={0.9}
      />
    </g>
  ),
  crimpsAt: () => [JOINT.middle],
  crimpStep: ({ colour, key }) => (
    <>
      <Wire from={2} to={250} colour={colour} />
      <Wire from={410} to={WIDE} colour={colour} />
      <Copper x={250} wide={160} thick={12} y={Y - 8} />
      <Copper x={250} wide={160} thick={12} y={Y + 8} />
      {key === 'crimp' ? (
        <rect x={285} y={Y - 26} width={90} height={52} rx={10} fill="var(--copper)" />
      ) : (
        <path d={`M285 ${Y - 34}V${Y + 26}H375V${Y - 34}`} fill="none" stroke="var(--copper)" strokeWidth={9} />
      )}
      {key === 'crimp' ? <Arrow x={330} /> : null}
      <Caption x={330} words="brush at both ends" />
    </>
  ),
  looks: {
    'clip.crimp good': (
      <>
        {clipWires}
        {clip}
        {brush(97)}
        {brush(55)}
      </>
    ),
    'clip.crimp strand': (
      <>
        {clipWires}
        {clip}
        <path d="M60 24q14 -18 34 -10" fill="none" stroke={COPPER_HEX} strokeWidth={2.5} />
      </>
    ),
    'clip.crimp flash': (
      <>
        {clipWires}
        {clip}
        <path d="M64 40l-10 8h12ZM96 40l10 8H94Z" fill="var(--copper)" />
      </>
    ),
    'clip.crimp noBrush': (
      <>
        {wireFrom(2, 46)}
        {wireFrom(96, 158)}
        {copper(46, 80)}
        {clip}
      </>
    ),
  },
};
