import type { ReactNode } from 'react';
import { COPPER_HEX, COPPER_LINE_HEX } from '../../draw/colours.ts';

const JACKET = '#C8232C';

const wireFrom = (x1: number, x2: number) => (
  <rect x={x1} y={22} width={Math.max(0, x2 - x1)} height={12} fill={JACKET} stroke="var(--ink)" strokeOpacity={0.7} />
);
const copper = (x1: number, x2: number) => (
  <rect x={x1} y={24} width={Math.max(0, x2 - x1)} height={8} fill={COPPER_HEX} />
);
const barrel = (
  <rect x={50} y={17} width={60} height={22} rx={2} fill="var(--copper)" fillOpacity={0.55} stroke="var(--copper)" />
);
const dent = (x: number) => <path d={`M${x - 5} 16l5 8l5 -8M${x - 5} 40l5 -8l5 8`} fill="var(--ink)" />;
const sleeve = (
  <rect x={34} y={14} width={92} height={28} rx={9} fill="var(--sheet)" fillOpacity={0.75} stroke="var(--ink)" />
);
const glue = (x: number) => <ellipse cx={x} cy={28} rx={4} ry={13} fill={COPPER_HEX} fillOpacity={0.8} />;
const turns = (colour: string) =>
  [58, 70, 82, 94].map((x) => <path key={x} d={`M${x - 3} 40l6 -24`} stroke={colour} strokeWidth={3} />);
const brush = (x: number) => <path d={`M${x} 24h6M${x} 28h8M${x} 32h6`} stroke={COPPER_LINE_HEX} strokeWidth={2} />;
const clip = <rect x={64} y={16} width={32} height={24} rx={5} fill="var(--copper)" />;
const clipWires = (
  <>
    {wireFrom(2, 46)}
    {wireFrom(114, 158)}
    {copper(46, 114)}
  </>
);

const terminal = (
  <>
    <rect x={104} y={20} width={50} height={16} rx={2} fill="var(--copper)" fillOpacity={0.55} stroke="var(--copper)" />
    <rect x={72} y={20} width={24} height={16} rx={4} fill="var(--copper)" />
    <rect x={36} y={18} width={22} height={20} rx={4} fill="var(--copper)" />
  </>
);
const cavity = (
  <path d="M64 8H152V48H64M64 8v10M64 48V38M64 18H140V38H64" fill="none" stroke="var(--ink)" strokeWidth={2} />
);
const inCavity = (x: number) => (
  <>
    {wireFrom(2, x)}
    <rect x={x} y={22} width={48} height={12} fill="var(--copper)" />
    <path d={`M${x + 24} 22l10 -6v6`} fill="var(--copper)" />
  </>
);

/** What is seen, good and bad, by check and answer. */
const PICTURES: Readonly<Record<string, ReactNode>> = {
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

export function LookPicture({ checkId, answer }: { readonly checkId: string; readonly answer: string }) {
  const picture = PICTURES[`${checkId} ${answer}`];
  return picture === undefined ? null : (
    <svg viewBox="0 0 160 56" className="h-12 w-full max-w-40" aria-hidden>
      {picture}
    </svg>
  );
}
