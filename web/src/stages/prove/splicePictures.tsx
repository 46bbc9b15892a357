import type { ReactNode } from 'react';
import { COPPER_HEX } from '../../draw/colours.ts';
import { wireFrom, copper, barrel, dent, sleeve, glue, turns, brush, clip, clipWires } from './lookShapes.tsx';

/** How splices and covers look, good and bad, by check and answer. */
export const SPLICE_PICTURES: Readonly<Record<string, ReactNode>> = {
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
  'clip.crimp good': (
    <>
      {clipWires}
      {clip}
      {brush(97)}
      {brush(55)}
    </>
  ),
  'clip.crimp strand': (
    <>
      {clipWires}
      {clip}
      <path d="M60 24q14 -18 34 -10" fill="none" stroke={COPPER_HEX} strokeWidth={2.5} />
    </>
  ),
  'clip.crimp flash': (
    <>
      {clipWires}
      {clip}
      <path d="M64 40l-10 8h12ZM96 40l10 8H94Z" fill="var(--copper)" />
    </>
  ),
  'clip.crimp noBrush': (
    <>
      {wireFrom(2, 46)}
      {wireFrom(96, 158)}
      {copper(46, 80)}
      {clip}
    </>
  ),
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
  'seal.glue good': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
      {glue(126)}
    </>
  ),
  'seal.glue noGlue': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
    </>
  ),
  'seal.glue window': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
      {glue(126)}
      <path d="M72 16l10 8l-6 8l12 8" fill="none" stroke="var(--scrap)" strokeWidth={3} />
    </>
  ),
  'seal.wrap good': (
    <>
      {wireFrom(2, 158)}
      <rect x={40} y={17} width={80} height={22} rx={3} fill="#4A4E52" />
      {turns('#8C9197')}
    </>
  ),
  'seal.wrap gap': (
    <>
      {wireFrom(2, 158)}
      {copper(70, 86)}
      <rect x={40} y={17} width={28} height={22} rx={3} fill="#4A4E52" />
      <rect x={88} y={17} width={32} height={22} rx={3} fill="#4A4E52" />
    </>
  ),
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
  'cap.wires good': (
    <>
      {wireFrom(2, 80)}
      <rect
        x={80}
        y={12}
        width={60}
        height={32}
        rx={10}
        fill="var(--copper)"
        fillOpacity={0.55}
        stroke="var(--copper)"
      />
      {copper(80, 126)}
    </>
  ),
  'cap.wires loose': (
    <>
      {wireFrom(2, 60)}
      <rect
        x={80}
        y={12}
        width={60}
        height={32}
        rx={10}
        fill="var(--copper)"
        fillOpacity={0.55}
        stroke="var(--copper)"
      />
      {copper(60, 90)}
    </>
  ),
  'cap.wires bare': (
    <>
      {wireFrom(2, 48)}
      {copper(48, 126)}
      <rect
        x={80}
        y={12}
        width={60}
        height={32}
        rx={10}
        fill="var(--copper)"
        fillOpacity={0.55}
        stroke="var(--copper)"
      />
    </>
  ),
  'cover.copper good': (
    <>
      {wireFrom(2, 62)}
      {wireFrom(98, 158)}
      {copper(62, 98)}
    </>
  ),
  'cover.copper strands': (
    <>
      {wireFrom(2, 62)}
      {wireFrom(98, 158)}
      {copper(62, 98)}
      <path d="M70 24l6 6l6 -6ZM84 26h10" fill="var(--paper)" stroke="#1F5C49" strokeWidth={3} />
    </>
  ),
};
