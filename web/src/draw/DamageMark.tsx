import type { ReactNode } from 'react';
import { isCavityKind, type FindingKind, type RunFindingKind } from '@mendum/core/damage';
import { CavityMark, CavityPicture } from './CavityPicture.tsx';
import { COPPER_HEX } from '../shapes/colours.ts';

interface DamageMarkProps {
  readonly kind: RunFindingKind;
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly thick: number;
}

/** A torn edge from top to bottom, as a path going down or up. */
const torn = (x: number, top: number, high: number, down: boolean): string => {
  const teeth = [0, 0.25, 0.5, 0.75, 1].map(
    (share, index) => `${x + (index % 2 === 0 ? -2.5 : 2.5)} ${top + share * high}`,
  );
  return (down ? teeth : teeth.reverse()).join('L');
};

/** Where a mark is drawn: its middle and edges, its top and height, and the torn gap there. */
interface Spot {
  readonly middle: number;
  readonly half: number;
  readonly left: number;
  readonly right: number;
  readonly y: number;
  readonly thick: number;
  readonly top: number;
  readonly high: number;
  readonly gap: string;
}

const INK = { stroke: 'var(--ink)', strokeWidth: 1 } as const;

/** Damage as it looks on the wire: a gap with torn edges, bared copper, green creeping, a taped lump. */
const MARKS: Readonly<Record<RunFindingKind, (spot: Spot) => ReactNode>> = {
  parted: ({ gap }) => <path d={gap} fill="var(--paper)" {...INK} />,
  brokenInside: ({ left, right, middle, y, top, high, gap }) => (
    <g>
      <path d={gap} fill="none" stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="3 2" />
      <path d={`M${left} ${y}H${middle - 2}M${middle + 2} ${y}H${right}`} stroke={COPPER_HEX} strokeWidth={2} />
      <path d={`M${middle + 2} ${top}l-4 ${high}`} stroke="var(--scrap)" strokeWidth={2} />
    </g>
  ),
  strandsLost: ({ middle, left, right, y, top, gap }) => (
    <g>
      <path d={gap} fill={COPPER_HEX} {...INK} />
      <path d={`M${left + 2} ${top}L${middle} ${y + 1}L${right - 2} ${top}Z`} fill="var(--paper)" {...INK} />
    </g>
  ),
  jacketRubbed: ({ gap }) => <path d={gap} fill={COPPER_HEX} {...INK} />,
  corroded: ({ half, left, y, gap }) => (
    <g>
      <path d={gap} fill="#4E9E84" {...INK} />
      {[0.2, 0.5, 0.8].map((share) => (
        <circle key={share} cx={left + share * 2 * half} cy={y + (share === 0.5 ? -2 : 2)} r={1.8} fill="#1F5C49" />
      ))}
    </g>
  ),
  cooked: ({ left, right, y, gap }) => (
    <path
      d={`${gap}M${left} ${y}L${right} ${y}`}
      fill="#4A2A1A"
      stroke="#E5791A"
      strokeWidth={1.5}
      strokeDasharray="3 2"
    />
  ),
  poorRepair: ({ half, left, top, high }) => (
    <g>
      <rect x={left} y={top - 2} width={2 * half} height={high + 4} rx={3} fill="#5B5F63" {...INK} />
      <path
        d={[0.25, 0.5, 0.75].map((share) => `M${left + share * 2 * half + 2} ${top - 2}l-4 ${high + 4}`).join('')}
        stroke="#C9CCCF"
        strokeWidth={1}
      />
    </g>
  ),
  addCircuit: ({ middle, y, thick }) => (
    <g stroke="var(--copper)" strokeWidth={2.5}>
      <circle cx={middle} cy={y} r={thick / 2 + 3} fill="var(--sheet)" />
      <path d={`M${middle - 4} ${y}h8M${middle} ${y - 4}v8`} />
    </g>
  ),
};

/** Widths under 8 px are widened. */
function RunMark({ kind, x1, x2, y, thick }: DamageMarkProps) {
  const middle = (x1 + x2) / 2;
  const half = Math.max(4, (x2 - x1) / 2);
  const [left, right] = [middle - half, middle + half];
  const top = y - thick / 2 - 2;
  const high = thick + 4;
  const gap = `M${torn(left, top, high, true)}L${torn(right, top, high, false)}Z`;
  return MARKS[kind]({ middle, half, left, right, y, thick, top, high, gap });
}

/** Any finding on its wire: along it as it looks, at a cavity as a flag at that end. */
export function DamageMark({ kind, ...place }: Omit<DamageMarkProps, 'kind'> & { readonly kind: FindingKind }) {
  return isCavityKind(kind) ? <CavityMark {...place} /> : <RunMark kind={kind} {...place} />;
}

/** The same mark on a piece of wire, as the picture of a kind. */
export function DamagePicture({ kind }: { readonly kind: FindingKind }) {
  if (isCavityKind(kind)) return <CavityPicture kind={kind} />;
  return (
    <svg viewBox="0 0 96 34" className="h-9 w-24" aria-hidden>
      <rect x={2} y={11} width={92} height={12} fill="#C8232C" stroke="var(--ink)" />
      <DamageMark kind={kind} x1={36} x2={60} y={17} thick={12} />
    </svg>
  );
}
