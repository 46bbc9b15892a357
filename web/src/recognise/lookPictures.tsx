import type { ReactNode } from 'react';
import type { Grade, LookedAt } from '@mendum/core/recognise';
import { COPPER_HEX, COPPER_LINE_HEX } from '../shapes/colours.ts';
import { INK } from './Pictures.tsx';

const RED = '#C8232C';
const SCORCHED = '#4A2A1A';
const GREEN = '#4E9E84';
const BROWN = '#7A4B25';

const jacket = (x1: number, x2: number, fill = RED) => (
  <rect x={x1} y={22} width={x2 - x1} height={20} rx={2} fill={fill} {...INK} />
);
/** Bared strands between two places; `cut` of them end early. */
const strands = (x1: number, x2: number, fill = COPPER_HEX, cut: readonly number[] = []) => (
  <g>
    {[24, 28, 32, 36, 40].map((y, at) => (
      <path
        key={y}
        d={cut.includes(at) ? `M${x1} ${y}H${x1 + 14}l6 -5M${x2} ${y}H${x2 - 8}` : `M${x1} ${y}H${x2}`}
        stroke={fill}
        strokeWidth={4}
        fill="none"
      />
    ))}
  </g>
);
const spots = (fill: string) =>
  [
    [50, 27],
    [60, 36],
    [70, 29],
    [78, 38],
  ].map(([x, y]) => <circle key={x} cx={x} cy={y} r={4} fill={fill} />);

/** A box terminal on its wire, seen from the side. */
const terminal = (fill: string, mouth: ReactNode, tilt = 0) => (
  <g>
    {jacket(2, 34)}
    <rect x={32} y={20} width={14} height={24} rx={3} fill={fill} {...INK} />
    <rect x={48} y={24} width={14} height={16} rx={2} fill={fill} {...INK} />
    <g transform={`rotate(${tilt} 64 32)`}>
      <rect x={62} y={22} width={50} height={20} rx={2} fill={fill} {...INK} />
      {mouth}
    </g>
  </g>
);
const spring = (open: number) => (
  <path
    d={`M74 ${34 - open}q12 ${-4 - open} 34 0M74 ${34 + open}h34`}
    fill="none"
    stroke="var(--ink)"
    strokeWidth={2}
  />
);

/** Jacket crimp and conductor crimp, seen from above. */
const crimp = (more: ReactNode, wide = 0) => (
  <g>
    {jacket(2, 40)}
    <rect x={26} y={18} width={24} height={28} rx={5} fill="var(--copper)" {...INK} />
    {strands(50, 88)}
    <rect x={60} y={20 - wide} width={28} height={24 + 2 * wide} rx={5} fill="var(--copper)" {...INK} />
    {more}
  </g>
);

const sleeve = (x1: number, x2: number, loose = 0) => (
  <path
    d={`M${x1} ${20 - loose}q12 -8 24 -8H${x2 - 24}q12 0 24 ${8 - loose}V${44 + loose}q-12 8 -24 8H${x1 + 24}q-12 0 -24 ${-8 + loose}Z`}
    fill="var(--sheet)"
    {...INK}
  />
);
const glue = (x: number) => <ellipse cx={x} cy={32} rx={4} ry={13} fill={COPPER_HEX} />;

const housing = (latch: ReactNode, crack: ReactNode = null) => (
  <g>
    <path d="M98 26h20M98 38h20" stroke="var(--soft)" strokeWidth={5} />
    <rect x={22} y={18} width={76} height={36} rx={3} fill="var(--sheet)" {...INK} />
    {latch}
    {crack}
  </g>
);

/** A seal with its lips, as high as it is told. */
const seal = (lips: readonly number[], tear: ReactNode = null) => (
  <g>
    {jacket(2, 118)}
    <rect x={36} y={16} width={48} height={32} rx={3} fill="#2F6FAF" {...INK} />
    {lips.map((high, at) => (
      <rect key={at} x={40 + at * 15} y={16 - high} width={9} height={32 + 2 * high} rx={4} fill="#2F6FAF" {...INK} />
    ))}
    {tear}
  </g>
);

/** How each thing looks: as it should be, in doubt, to be mended. */
export const LOOK_PICTURES: Readonly<Record<LookedAt, Readonly<Record<Grade, ReactNode>>>> = {
  jacket: {
    good: (
      <>
        {jacket(4, 116)}
        <path d="M40 30h10M66 34h12M84 28h8" stroke="var(--ink)" strokeOpacity={0.4} strokeWidth={2} />
      </>
    ),
    doubtful: (
      <>
        {jacket(4, 116)}
        <path d="M40 22q20 8 40 0Z" fill="var(--sheet)" {...INK} />
      </>
    ),
    bad: (
      <>
        {jacket(4, 116)}
        <path d="M38 22q22 24 44 0Z" fill={COPPER_HEX} {...INK} />
        <path d="M46 25h28M50 28h20" stroke={COPPER_LINE_HEX} strokeWidth={1.5} />
      </>
    ),
  },
  copper: {
    good: (
      <>
        {strands(40, 116)}
        {jacket(4, 44)}
      </>
    ),
    doubtful: (
      <>
        {strands(40, 116, BROWN)}
        {jacket(4, 44)}
      </>
    ),
    bad: (
      <>
        {strands(40, 116, '#3A3A30')}
        <g transform="translate(18 0)">{spots(GREEN)}</g>
        {jacket(4, 44)}
        <path d="M44 22v20" stroke={GREEN} strokeWidth={5} />
      </>
    ),
  },
  strands: {
    good: (
      <>
        {strands(34, 86)}
        {jacket(4, 36)}
        {jacket(84, 116)}
      </>
    ),
    doubtful: (
      <>
        {strands(34, 86, COPPER_HEX, [0])}
        {jacket(4, 36)}
        {jacket(84, 116)}
      </>
    ),
    bad: (
      <>
        {strands(34, 86, COPPER_HEX, [0, 1, 2])}
        {jacket(4, 36)}
        {jacket(84, 116)}
      </>
    ),
  },
  heat: {
    good: jacket(4, 116),
    doubtful: (
      <>
        {jacket(4, 116)}
        <rect x={42} y={23} width={40} height={18} fill="#8E1820" />
        <path d="M46 27h32" stroke="#FFF" strokeOpacity={0.8} strokeWidth={2} />
      </>
    ),
    bad: (
      <>
        {jacket(4, 116)}
        <rect x={36} y={23} width={50} height={18} fill={SCORCHED} />
        <path d="M46 23l4 8l-4 10M60 23l-3 18M74 23l4 7l-3 11" fill="none" stroke="#E5791A" strokeWidth={2} />
      </>
    ),
  },
  splice: {
    good: (
      <>
        {jacket(2, 118)}
        {sleeve(26, 94)}
        {glue(26)}
        {glue(94)}
      </>
    ),
    doubtful: (
      <>
        {jacket(2, 118)}
        {sleeve(26, 94, 8)}
        {glue(26)}
      </>
    ),
    bad: (
      <>
        {jacket(2, 48)}
        {jacket(72, 118)}
        <path d="M48 28q6 10 12 4t12 -4M48 36q6 -10 12 -4t12 4" fill="none" stroke={COPPER_HEX} strokeWidth={4} />
        <path d="M40 18h16l-6 28h-16ZM78 18h8l-6 28h-8Z" fill="#5B5F63" {...INK} />
      </>
    ),
  },
  terminal: {
    good: terminal('var(--copper)', spring(3)),
    doubtful: terminal('#9A8A72', spring(7)),
    bad: terminal(SCORCHED, <path d="M92 22l10 -10M96 42l12 8" stroke={SCORCHED} strokeWidth={5} />, 12),
  },
  crimp: {
    good: crimp(
      <>
        <path d="M88 26h8M88 32h10M88 38h8" stroke={COPPER_HEX} strokeWidth={3} />
        <path d="M50 22v20" stroke={RED} strokeWidth={6} />
      </>,
    ),
    doubtful: crimp(<path d="M60 16h28M60 48h28" stroke="var(--copper)" strokeWidth={3} />),
    bad: crimp(
      <>
        <path d="M50 26h40" stroke={RED} strokeWidth={7} />
        <path d="M88 26l14 -14M88 36l16 14M70 18l-8 -10" stroke={COPPER_HEX} strokeWidth={3} />
        <path d="M58 14h32v6H58ZM58 44h32v6H58Z" fill="var(--copper)" {...INK} />
      </>,
      2,
    ),
  },
  housing: {
    good: housing(<path d="M34 18l6 -10h34l6 10Z" fill="var(--copper)" {...INK} />),
    doubtful: housing(
      <path d="M34 18l6 -5h34l6 5Z" fill="var(--copper)" {...INK} />,
      <path d="M46 54l6 -12l-4 -8l7 -9" fill="none" stroke="var(--scrap)" strokeWidth={2} />,
    ),
    bad: housing(
      <path d="M34 18l4 -8h8l4 8ZM58 6l14 -4l4 8l-12 4Z" fill="var(--copper)" {...INK} />,
      <path d="M22 40l14 -8l-6 22Z" fill="var(--paper)" {...INK} />,
    ),
  },
  wireSeal: {
    good: seal([6, 6, 6]),
    doubtful: seal([1, 4, 1]),
    bad: seal([6, 0, 2], <path d="M58 10l8 22l-8 22" fill="none" stroke="var(--scrap)" strokeWidth={4} />),
  },
};
