import { copper, wireFrom } from '../shapes/lookShapes.tsx';
import { Arrow, Caption, Copper, Wire, Y } from '../shapes/stepShapes.tsx';
import { JOINT, type Glyph } from './types.ts';

const shell = (
  <rect x={80} y={12} width={60} height={32} rx={10} fill="var(--copper)" fillOpacity={0.55} stroke="var(--copper)" />
);

/** A cap over wires that come from one side. */
export const CAP: Glyph = {
  mark: ({ x, y, wide, high }) => (
    <path
      d={`M${x - wide / 2} ${y - high / 2}h${wide * 0.8}a${wide * 0.2} ${high / 2} 0 0 1 0 ${high}h${-wide * 0.8}`}
      fill="var(--copper)"
    />
  ),
  inside: ({ half }) => (
    <rect x={JOINT.middle - half} y={JOINT.y - 16} width={half * 2} height={32} fill="var(--copper)" />
  ),
  crimpsAt: () => [JOINT.middle],
  crimpStep: ({ colour, key }) => (
    <>
      <Wire from={2} to={260} colour={colour} />
      <Copper x={260} wide={110} thick={12} y={Y - 8} />
      <Copper x={260} wide={110} thick={12} y={Y + 8} />
      <path
        d={`M290 ${Y - 30}H410a30 30 0 0 1 0 60H290Z`}
        fill="var(--copper)"
        fillOpacity={0.6}
        stroke="var(--copper)"
        strokeWidth={3}
      />
      {key === 'crimp' ? <Arrow x={335} /> : null}
      <Caption x={330} words={key === 'crimp' ? 'in the middle of its metal' : 'ends level, to the bottom'} />
    </>
  ),
  looks: {
    'cap.wires good': (
      <>
        {wireFrom(2, 80)}
        {shell}
        {copper(80, 126)}
      </>
    ),
    'cap.wires loose': (
      <>
        {wireFrom(2, 60)}
        {shell}
        {copper(60, 90)}
      </>
    ),
    'cap.wires bare': (
      <>
        {wireFrom(2, 48)}
        {copper(48, 126)}
        {shell}
      </>
    ),
  },
};
