import { wireFrom } from '../shapes/lookShapes.tsx';
import { JOINT, type Glyph } from './types.ts';

/** The tooth of a tap. */
export const TOOTH: Glyph = {
  mark: ({ x, y, wide, high }) => (
    <path d={`M${x - wide / 2} ${y - high / 2}h${wide}l${-wide / 2} ${high}Z`} fill="var(--copper)" />
  ),
  inside: ({ half }) => (
    <rect x={JOINT.middle - half} y={JOINT.y - 16} width={half * 2} height={32} fill="var(--copper)" />
  ),
  crimpsAt: () => [],
  looks: {
    'tap.closed good': (
      <>
        {wireFrom(2, 158)}
        <rect x={58} y={10} width={44} height={36} rx={5} fill="var(--sheet)" stroke="var(--ink)" />
        <path d="M70 18h20l-10 14Z" fill="var(--copper)" />
      </>
    ),
    'tap.closed open': (
      <>
        {wireFrom(2, 158)}
        <path d="M58 46h44V30H58ZM58 28l40 -22l6 10" fill="var(--sheet)" stroke="var(--ink)" />
      </>
    ),
  },
};
