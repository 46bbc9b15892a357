import type { ReactNode } from 'react';
import type { LockFamily } from '@mendum/core/connector';
import { HOT, INK } from './Pictures.tsx';

const body = <rect x={22} y={14} width={76} height={38} rx={3} fill="var(--sheet)" {...INK} />;
const wires = <path d="M98 24h20M98 33h20M98 42h20" stroke="var(--soft)" strokeWidth={4} />;
const holes = (x: number) =>
  [20, 32, 44].map((y) => <rect key={y} x={x} y={y - 4} width={10} height={8} fill="var(--paper)" {...INK} />);
/** A cavity cut open, with its terminal in it. */
const cavity = (
  <>
    <path d="M8 10H112V20H8ZM8 44H112V54H8Z" fill="var(--wash)" {...INK} />
    <path d="M30 27H84V37H30ZM84 29h28v6H84Z" fill="var(--copper)" fillOpacity={0.6} {...INK} />
  </>
);
const round = (
  <>
    <path d="M12 18H84V46H12Z" fill="var(--sheet)" {...INK} />
    <rect x={44} y={10} width={22} height={44} rx={3} {...HOT} />
    <path d="M48 14v36M53 14v36M58 14v36" stroke="var(--ink)" />
  </>
);

/** What each answer looks like; what is asked for is copper-coloured. */
export const LOCK_PICTURES: Readonly<Record<string, ReactNode>> = {
  'outside.block': (
    <>
      {wires}
      {body}
      <path d="M34 14l6 -8h30l6 8Z" {...HOT} />
    </>
  ),
  'outside.lever': (
    <>
      {wires}
      {body}
      <path d="M26 48V6H94V14H36V48Z" {...HOT} />
    </>
  ),
  'outside.round': (
    <>
      {round}
      <path d="M84 26h34M84 32h34M84 38h34" stroke="var(--soft)" strokeWidth={3} />
    </>
  ),
  'piece.wedge': (
    <>
      {wires}
      {body}
      <path d="M4 20H22V46H4ZM10 27v12" {...HOT} />
      <path d="M30 33H14" stroke="var(--ink)" strokeWidth={2} markerEnd="" />
    </>
  ),
  'piece.slide': (
    <>
      {wires}
      {body}
      <rect x={50} y={4} width={12} height={56} {...HOT} />
      {[32, 40, 72, 80].map((x) => (
        <circle key={x} cx={x} cy={22} r={2} fill="var(--ink)" />
      ))}
    </>
  ),
  'piece.comb': (
    <>
      {wires}
      {body}
      <path
        d="M40 44V62M48 44V62M56 44V62M64 44V62M72 44V62M36 58H76"
        fill="none"
        stroke="var(--copper)"
        strokeWidth={5}
      />
    </>
  ),
  'piece.none': (
    <>
      {wires}
      {body}
      {holes(28)}
    </>
  ),
  'cavity.slot': (
    <>
      {cavity}
      <path d="M40 27L66 18L66 27Z" {...HOT} />
    </>
  ),
  'cavity.finger': (
    <>
      {cavity}
      <path d="M8 20H46L66 27H50L40 23H8Z" {...HOT} />
    </>
  ),
  'cavity.smooth': (
    <>
      {cavity}
      <circle cx={18} cy={32} r={5} fill="var(--paper)" {...INK} />
    </>
  ),
  'shell.shell': (
    <>
      {round}
      <path d="M84 18l22 6v16l-22 6Z" {...HOT} />
      <path d="M12 28h16v8H12Z" fill="var(--paper)" {...INK} />
    </>
  ),
  'shell.onePiece': (
    <>
      {round}
      <path d="M84 26h34M84 32h34M84 38h34" stroke="var(--copper)" strokeWidth={4} />
    </>
  ),
};

/** Each of the six by what holds the terminals in it. */
export const LOCK_SIGNS: Readonly<Record<LockFamily, string>> = {
  frontLance: 'cavity.slot',
  rearRetainer: 'cavity.smooth',
  liftedWedge: 'piece.wedge',
  slidingLock: 'piece.slide',
  leverBlock: 'piece.comb',
  roundInsert: 'shell.shell',
};
