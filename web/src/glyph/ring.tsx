import { COPPER_HEX } from '../shapes/colours.ts';
import { copper, glue, sleeve, turns, wireFrom } from '../shapes/lookShapes.tsx';
import { TURNS } from './turns.tsx';
import type { Glyph } from './types.ts';

const SOLDER = '#B9BDC0';
const inSleeve = (
  <>
    {wireFrom(2, 56)}
    {wireFrom(104, 158)}
  </>
);

/** A clear sleeve with a ring of solder in it. */
export const RING: Glyph = {
  ...TURNS,
  mark: ({ x, y, wide, high }) => (
    <g fill="none" stroke="var(--copper)" strokeWidth={2}>
      <path d={`M${x - wide / 2} ${y}H${x + wide / 2}`} />
      <ellipse cx={x} cy={y} rx={wide / 6} ry={high / 2} strokeWidth={3} />
    </g>
  ),
  looks: {
    'ring.melted good': (
      <>
        {inSleeve}
        {sleeve}
        <rect x={56} y={21} width={48} height={14} rx={6} fill={SOLDER} />
        {turns('#8C9197')}
        {glue(40)}
        {glue(120)}
      </>
    ),
    'ring.melted ring': (
      <>
        {inSleeve}
        {sleeve}
        {copper(56, 104)}
        <rect x={72} y={15} width={16} height={26} rx={5} fill="none" stroke={SOLDER} strokeWidth={5} />
      </>
    ),
    'ring.melted beside': (
      <>
        {inSleeve}
        {sleeve}
        <rect x={56} y={24} width={48} height={8} fill={COPPER_HEX} />
        <path d="M40 18q8 10 0 20M44 18q8 10 0 20" stroke={SOLDER} strokeWidth={5} fill="none" />
      </>
    ),
  },
};
