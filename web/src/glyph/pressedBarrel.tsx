import { barrel, copper, wireFrom } from '../shapes/lookShapes.tsx';
import { Arrow, Caption, WIDE, Wire, Y } from '../shapes/stepShapes.tsx';
import { BARREL } from './barrel.tsx';
import { JOINT, type Glyph } from './types.ts';

/** A six-sided press, as it stays in the barrel. */
const pressed = (x: number) => (
  <path d={`M${x - 9} 20l4 -6h10l4 6v16l-4 6h-10l-4 -6Z`} fill="var(--copper)" stroke="var(--ink)" />
);
const wires = (
  <>
    {wireFrom(2, 50)}
    {wireFrom(110, 158)}
    {copper(50, 110)}
    {barrel}
  </>
);

/** A heavy barrel, pressed six-sided on both ends. */
export const PRESSED_BARREL: Glyph = {
  ...BARREL,
  mark: ({ x, y, wide, high }) => (
    <g fill="var(--copper)">
      {[x - wide / 4, x + wide / 4].map((at) => (
        <path
          key={at}
          d={`M${at - wide / 5} ${y - high / 4}l${wide / 10} ${-high / 4}h${wide / 5}l${wide / 10} ${high / 4}v${high / 2}l${-wide / 10} ${high / 4}h${-wide / 5}l${-wide / 10} ${-high / 4}Z`}
        />
      ))}
    </g>
  ),
  inside: ({ jointHalf }) => (
    <g fill="var(--copper)">
      <rect x={JOINT.middle - jointHalf} y={JOINT.y - 15} width={jointHalf * 2} height={30} rx={3} />
      {[-1, 1].map((side) => (
        <path
          key={side}
          d={`M${JOINT.middle + (side * jointHalf) / 2 - 22} ${JOINT.y - 10}l8 -11h28l8 11v20l-8 11h-28l-8 -11Z`}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ))}
    </g>
  ),
  crimpStep: ({ colour, key, length }) => (
    <>
      <Wire from={2} to={226} colour={colour} />
      <Wire from={434} to={WIDE} colour={colour} />
      <rect x={230} y={Y - 28} width={200} height={56} rx={4} fill="var(--copper)" />
      <path
        d={`M${key === 'crimpLeft' ? 250 : 350} ${Y - 20}l12 -16h36l12 16v40l-12 16h-36l-12 -16Z`}
        fill="var(--copper)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <Arrow x={key === 'crimpLeft' ? 280 : 380} />
      <Caption x={330} words={`${length ?? ''} from the barrel's end, die of this size`} />
    </>
  ),
  looks: {
    'heavy.press good': (
      <>
        {wires}
        {pressed(66)}
        {pressed(94)}
      </>
    ),
    'heavy.press die': (
      <>
        {wires}
        {pressed(66)}
        <path d="M88 18h12v20h-12Z" fill="var(--copper)" stroke="var(--scrap)" strokeWidth={2} />
      </>
    ),
    'heavy.press rim': (
      <>
        {wires}
        {pressed(66)}
        {pressed(110)}
        <path d="M104 17l8 12l-6 10" fill="none" stroke="var(--scrap)" strokeWidth={2} />
      </>
    ),
  },
};
