import { barrel, copper, dent, wireFrom } from '../shapes/lookShapes.tsx';
import { Arrow, Caption, Tube, WIDE, Wire, Y } from '../shapes/stepShapes.tsx';
import { JOINT, type Glyph } from './types.ts';

/** A barrel in two halves, crimped from both ends. */
export const BARREL: Glyph & Required<Pick<Glyph, 'crimpStep'>> = {
  mark: ({ x, y, wide, high }) => (
    <g fill="var(--copper)">
      <rect x={x - wide / 2} y={y - high / 2} width={wide / 2 - 0.75} height={high} />
      <rect x={x + 0.75} y={y - high / 2} width={wide / 2 - 0.75} height={high} />
    </g>
  ),
  inside: ({ jointHalf }) => (
    <g>
      <rect x={JOINT.middle - jointHalf} y={JOINT.y - 17} width={jointHalf - 2} height={34} fill="var(--copper)" />
      <rect x={JOINT.middle + 2} y={JOINT.y - 17} width={jointHalf - 2} height={34} fill="var(--copper)" />
    </g>
  ),
  crimpsAt: ({ crimpAtMm }, jointHalf, scale) =>
    crimpAtMm === undefined
      ? []
      : [JOINT.middle - jointHalf + crimpAtMm * scale, JOINT.middle + jointHalf - crimpAtMm * scale],
  crimpStep: ({ colour, key, length, sealedBefore }) => (
    <>
      <Wire from={2} to={236} colour={colour} />
      <Wire from={424} to={WIDE} colour={colour} />
      {sealedBefore ? <Tube x={140} wide={380} high={76} /> : null}
      <rect x={240} y={Y - 24} width={89} height={48} rx={3} fill="var(--copper)" />
      <rect x={331} y={Y - 24} width={89} height={48} rx={3} fill="var(--copper)" />
      <Arrow x={key === 'crimpLeft' ? 285 : 375} />
      <Caption x={330} words={`${length ?? ''} from the barrel's end, never the rim`} />
    </>
  ),
  looks: {
    'barrel.wire good': (
      <>
        {wireFrom(2, 50)}
        {wireFrom(110, 158)}
        {barrel}
        {copper(50, 78)}
        {copper(82, 110)}
      </>
    ),
    'barrel.wire jacketIn': (
      <>
        {wireFrom(2, 66)}
        {wireFrom(110, 158)}
        {barrel}
        {copper(66, 78)}
        {copper(82, 110)}
      </>
    ),
    'barrel.wire short': (
      <>
        {wireFrom(2, 34)}
        {wireFrom(110, 158)}
        {barrel}
        {copper(34, 64)}
        {copper(82, 110)}
      </>
    ),
    'barrel.crimp good': (
      <>
        {wireFrom(2, 50)}
        {wireFrom(110, 158)}
        {barrel}
        {dent(65)}
        {dent(95)}
      </>
    ),
    'barrel.crimp rim': (
      <>
        {wireFrom(2, 50)}
        {wireFrom(110, 158)}
        {barrel}
        {dent(51)}
        {dent(109)}
      </>
    ),
    'barrel.crimp die': (
      <>
        {wireFrom(2, 50)}
        {wireFrom(110, 158)}
        {barrel}
        <path d="M58 15v26M64 15v26M70 15v26M90 15v26M96 15v26M102 15v26" stroke="var(--ink)" strokeWidth={1.5} />
      </>
    ),
  },
};
