import type { ReactNode } from 'react';
import type { CavityFindingKind } from '@mendum/core/damage';
import { COPPER_HEX } from '../shapes/colours.ts';

const INK = { stroke: 'var(--ink)', strokeWidth: 1.5 } as const;

/** A warning shape at the end of the wire where something was found at its cavity. */
export function CavityMark({
  x1,
  x2,
  y,
}: {
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly thick: number;
}) {
  const at = (x1 + x2) / 2;
  return <path d={`M${at} ${y - 10}l10 18h-20Z`} fill="var(--rework)" {...INK} />;
}

/** A terminal on its wire: wire, crimp, box. */
const Terminal = ({
  x,
  tone = COPPER_HEX,
  twist = 0,
}: {
  readonly x: number;
  readonly tone?: string;
  readonly twist?: number;
}) => (
  <g>
    <rect x={x - 30} y={13} width={22} height={8} fill="#C8232C" {...INK} />
    <path d={`M${x - 8} 12h9v10h-9Z`} fill={tone} {...INK} />
    <path d={`M${x + 1} 13l16 ${twist}v8l-16 ${-twist / 2}Z`} fill={tone} {...INK} />
  </g>
);
const Housing = ({ broken = false, melted = false }: { readonly broken?: boolean; readonly melted?: boolean }) => (
  <path
    d={
      melted
        ? 'M46 6q10 4 22 0t14 2q4 12 -2 20q-12 -5 -18 0t-16 -2Z'
        : broken
          ? 'M46 6h36v22h-12l-4 -7l-5 7h-15Z'
          : 'M46 6h36v22h-36Z'
    }
    fill={melted ? '#4A2A1A' : 'var(--sheet)'}
    {...INK}
  />
);
const Cross = ({ x, y }: { readonly x: number; readonly y: number }) => (
  <path d={`M${x - 5} ${y - 5}l10 10m0 -10l-10 10`} stroke="var(--scrap)" strokeWidth={3} />
);

/** What is seen at the end of the wire, by kind. */
const PARTS: Readonly<Record<CavityFindingKind, ReactNode>> = {
  terminalDamaged: <Terminal x={50} twist={9} />,
  terminalMiscrimped: (
    <g>
      <Terminal x={50} />
      <path d="M44 12q-6 -8 -12 -3m12 13q-4 9 -11 4" fill="none" stroke={COPPER_HEX} strokeWidth={2.5} />
    </g>
  ),
  housingBroken: (
    <g transform="translate(-16 0)">
      <Housing broken />
      <path d="M52 6v-5h14" fill="none" {...INK} />
      <Cross x={74} y={2 + 5} />
    </g>
  ),
  housingMelted: (
    <g transform="translate(-16 0)">
      <Housing melted />
    </g>
  ),
  cavityDamaged: (
    <g transform="translate(-16 0)">
      <Housing />
      <path d="M44 10l6 6l-5 4l7 6" fill="none" stroke="var(--scrap)" strokeWidth={2.5} />
      <Cross x={74} y={7} />
    </g>
  ),
  tornOff: (
    <g>
      <rect x={6} y={9} width={26} height={16} rx={3} fill="var(--ink)" />
      <path d="M32 12h8m-8 5h11m-11 5h7" fill="none" stroke={COPPER_HEX} strokeWidth={2.5} />
      <g transform="translate(6 0)">
        <Housing />
      </g>
      <path d="M46 4l-4 6l5 5l-5 6l4 7" fill="none" stroke="var(--scrap)" strokeWidth={2.5} />
    </g>
  ),
  sealLost: (
    <g>
      <rect x={12} y={13} width={36} height={8} fill="#C8232C" {...INK} />
      <ellipse
        cx={62}
        cy={17}
        rx={7}
        ry={11}
        fill="none"
        stroke="var(--rework)"
        strokeWidth={3}
        strokeDasharray="4 3"
      />
    </g>
  ),
  lockLost: (
    <g transform="translate(-16 0)">
      <Housing />
      <path d="M52 11h24v7h-24Z" fill="none" stroke="var(--rework)" strokeWidth={2.5} strokeDasharray="4 3" />
    </g>
  ),
  cutFlush: (
    <g>
      <Housing />
      <rect x={40} y={13} width={6} height={8} fill="#C8232C" {...INK} />
      <path d="M36 6l5 5l-5 5l5 5l-5 6" fill="none" stroke="var(--scrap)" strokeWidth={2.5} />
    </g>
  ),
  tooShort: (
    <g>
      <Housing />
      <rect x={6} y={13} width={18} height={8} fill="#C8232C" {...INK} />
      <path d="M28 17h14m-4 -4l4 4l-4 4" fill="none" stroke="var(--copper)" strokeWidth={2.5} />
    </g>
  ),
  misplaced: (
    <g>
      <Housing />
      <path d="M52 9h10v7h-10ZM52 18h10v7h-10Z" fill="none" {...INK} />
      <path d="M24 22q14 4 26 -1" fill="none" stroke="#C8232C" strokeWidth={6} />
      <Cross x={72} y={21} />
    </g>
  ),
  noMatingPart: (
    <g>
      <Housing />
      <path d="M28 17h18" stroke={COPPER_HEX} strokeWidth={5} />
      <text x={10} y={25} fontSize={24} fontWeight={600} fill="var(--rework)">
        ?
      </text>
    </g>
  ),
};

/** What a finding at a cavity looks like. */
export function CavityPicture({ kind }: { readonly kind: CavityFindingKind }) {
  return (
    <svg viewBox="0 0 96 34" className="h-9 w-24" aria-hidden>
      {PARTS[kind]}
    </svg>
  );
}
