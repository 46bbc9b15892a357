import { COPPER_HEX, COPPER_LINE_HEX } from '../shapes/colours.ts';
import { turns, wireFrom } from '../shapes/lookShapes.tsx';
import { JOINT, type Glyph } from './types.ts';

/** Wraps of soldered wire. */
export const TURNS: Glyph = {
  mark: ({ x, y, wide, high }) => (
    <path
      d={[-0.6, -0.2, 0.2, 0.6].map((at) => `M${x + (at * wide) / 2 - 2} ${y + high / 2}l4 ${-high}`).join('')}
      stroke="var(--copper)"
      strokeWidth={2.5}
      fill="none"
    />
  ),
  inside: ({ jointHalf }) => (
    <g>
      <rect x={JOINT.middle - jointHalf} y={JOINT.y - 10} width={jointHalf * 2} height={20} rx={8} fill={COPPER_HEX} />
      {Array.from({ length: 9 }, (_, i) => JOINT.middle - jointHalf + 6 + i * ((2 * jointHalf - 12) / 8)).map((x) => (
        <path key={x} d={`M${x - 3} ${JOINT.y + 10}l6 -20`} stroke={COPPER_LINE_HEX} strokeWidth={2} />
      ))}
    </g>
  ),
  crimpsAt: () => [],
  looks: {
    'solder.face good': (
      <>
        {wireFrom(2, 48)}
        {wireFrom(112, 158)}
        <rect x={48} y={19} width={64} height={18} rx={8} fill="#B9BDC0" />
        {turns('#8C9197')}
      </>
    ),
    'solder.face blob': (
      <>
        {wireFrom(2, 48)}
        {wireFrom(112, 158)}
        <rect x={48} y={21} width={64} height={14} fill={COPPER_HEX} />
        <circle cx={84} cy={28} r={19} fill="#B9BDC0" stroke="#8C9197" />
      </>
    ),
    'solder.face grainy': (
      <>
        {wireFrom(2, 48)}
        {wireFrom(112, 158)}
        <rect x={48} y={19} width={64} height={18} rx={8} fill="#9A9EA2" />
        <path d="M56 22l8 8l-4 6M74 20l4 8l8 8M96 22l-6 8l6 6" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      </>
    ),
    'solder.face wicked': (
      <>
        {wireFrom(2, 48)}
        {wireFrom(112, 158)}
        <rect x={48} y={19} width={64} height={18} rx={8} fill="#B9BDC0" />
        {turns('#8C9197')}
        <path d="M20 28h28M112 28h28" stroke="#B9BDC0" strokeWidth={5} strokeDasharray="4 2" />
      </>
    ),
  },
};
