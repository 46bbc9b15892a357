import type { ReactNode } from 'react';
import { COPPER_HEX } from '../../shapes/colours.ts';
import { wireFrom, copper, brush, terminal, cavity, inCavity } from '../../shapes/lookShapes.tsx';

/** How terminals look at their cavity, good and bad, by check and answer. */
export const CAVITY_PICTURES: Readonly<Record<string, ReactNode>> = {
  'terminal.crimp good': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      {brush(97)}
    </>
  ),
  'terminal.crimp flash': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      <path d="M72 36l-8 8h10ZM96 36l8 8H94Z" fill="var(--copper)" />
    </>
  ),
  'terminal.crimp long': (
    <>
      {wireFrom(2, 50)}
      {copper(50, 100)}
      <rect
        x={108}
        y={20}
        width={50}
        height={16}
        rx={2}
        fill="var(--copper)"
        fillOpacity={0.55}
        stroke="var(--copper)"
      />
      <rect x={60} y={23} width={44} height={10} rx={4} fill="var(--copper)" />
      <rect x={28} y={18} width={22} height={20} rx={4} fill="var(--copper)" />
    </>
  ),
  'terminal.crimp jacketIn': (
    <>
      {wireFrom(2, 84)}
      {copper(84, 100)}
      {terminal}
      <path d="M68 22q14 -16 30 -6" fill="none" stroke={COPPER_HEX} strokeWidth={2.5} />
    </>
  ),
  'terminal.crimp throat': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      {brush(97)}
      <path d="M104 25h24M104 31h26" stroke={COPPER_HEX} strokeWidth={3} />
    </>
  ),
  'terminal.jacket good': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      <path d="M63 20v16" stroke="var(--pass)" strokeWidth={3} />
    </>
  ),
  'terminal.jacket loose': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      <path d="M36 14q11 -8 22 0M36 42q11 8 22 0" fill="none" stroke="var(--scrap)" strokeWidth={2.5} />
    </>
  ),
  'terminal.jacket cuts': (
    <>
      {wireFrom(2, 64)}
      {copper(64, 100)}
      {terminal}
      <path d="M40 18v20M54 18v20" stroke={COPPER_HEX} strokeWidth={4} />
    </>
  ),
  'cavity.seated good': (
    <>
      {cavity}
      {inCavity(88)}
    </>
  ),
  'cavity.seated back': (
    <>
      {cavity}
      {inCavity(40)}
    </>
  ),
  'cavity.seal good': (
    <>
      {cavity}
      {inCavity(88)}
      <rect x={66} y={18} width={12} height={20} fill="var(--pass)" fillOpacity={0.5} stroke="var(--ink)" />
    </>
  ),
  'cavity.seal rolled': (
    <>
      {cavity}
      {inCavity(88)}
      <path d="M66 20q12 -6 10 8t-10 8" fill="none" stroke="var(--scrap)" strokeWidth={4} />
    </>
  ),
  'pin.solder good': (
    <>
      {wireFrom(2, 60)}
      <rect x={60} y={20} width={20} height={16} rx={6} fill="#B9BDC0" />
      <rect x={80} y={24} width={70} height={8} fill="var(--copper)" />
    </>
  ),
  'pin.solder thick': (
    <>
      {wireFrom(2, 60)}
      <rect x={60} y={14} width={56} height={28} rx={12} fill="#B9BDC0" />
      <rect x={116} y={24} width={34} height={8} fill="var(--copper)" />
    </>
  ),
};
