import type { ReactNode } from 'react';
import { brush, copper, dent, wireFrom } from '../../shapes/lookShapes.tsx';

/** The tongue of any insulated terminal, whatever its end is: a ring, a fork, a blade, a bullet. */
const stub = <rect x={104} y={22} width={44} height={12} fill="var(--copper)" />;
/** The tongue of a lug with its hole. */
const tongue = (
  <>
    <rect x={104} y={22} width={20} height={12} fill="var(--copper)" />
    <path d="M124 28a15 13 0 1 1 30 0a15 13 0 1 1 -30 0" fill="var(--copper)" />
    <circle cx={139} cy={28} r={6} fill="var(--paper)" />
  </>
);
const collar = (
  <rect x={52} y={15} width={52} height={26} rx={3} fill="#2F6DB5" fillOpacity={0.55} stroke="var(--ink)" />
);
const heavy = <rect x={58} y={14} width={48} height={28} rx={2} fill="var(--copper)" stroke="var(--ink)" />;
const hexagon = <path d="M70 14v28M94 14v28M70 21h24M70 35h24" stroke="var(--ink)" strokeWidth={1.5} />;
const sleeveOfFerrule = (
  <>
    <path d="M50 16l14 6v12l-14 6Z" fill="#2F6DB5" fillOpacity={0.6} stroke="var(--ink)" />
    <rect x={64} y={23} width={64} height={10} fill="var(--copper)" stroke="var(--ink)" />
  </>
);

/** How rings, forks, blades, bullets, lugs and ferrules look, good and bad, by check and answer. */
export const END_PICTURES: Readonly<Record<string, ReactNode>> = {
  'closedBarrel.crimp good': (
    <>
      {wireFrom(2, 54)}
      {collar}
      {stub}
      {dent(78)}
      {brush(104)}
    </>
  ),
  'closedBarrel.crimp rim': (
    <>
      {wireFrom(2, 54)}
      {collar}
      {stub}
      {dent(101)}
    </>
  ),
  'closedBarrel.crimp strands': (
    <>
      {wireFrom(2, 50)}
      {collar}
      {stub}
      {dent(78)}
      <path d="M46 24q6 -18 22 -12" fill="none" stroke="var(--copper)" strokeWidth={2.5} />
    </>
  ),
  'lug.crimp good': (
    <>
      {wireFrom(2, 52)}
      {copper(52, 58)}
      {heavy}
      {hexagon}
      {tongue}
    </>
  ),
  'lug.crimp split': (
    <>
      {wireFrom(2, 52)}
      {copper(52, 58)}
      {heavy}
      {tongue}
      <path d="M66 14l6 9l-5 6l8 13" fill="none" stroke="var(--scrap)" strokeWidth={2.5} />
    </>
  ),
  'lug.crimp strands': (
    <>
      {wireFrom(2, 46)}
      {copper(46, 58)}
      {heavy}
      {hexagon}
      {tongue}
      <path d="M48 24q8 -16 20 -14" fill="none" stroke="var(--copper)" strokeWidth={2.5} />
    </>
  ),
  'ferrule.crimp good': (
    <>
      {wireFrom(2, 52)}
      {sleeveOfFerrule}
      <path d="M74 23v10M84 23v10M94 23v10M104 23v10M114 23v10" stroke="var(--ink)" />
    </>
  ),
  'ferrule.crimp collar': (
    <>
      {wireFrom(2, 52)}
      {sleeveOfFerrule}
      {dent(57)}
    </>
  ),
};
