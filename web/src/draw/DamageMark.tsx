import { isCavityKind, type FindingKind, type RunFindingKind } from '@mendum/core';
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

/** Damage as it looks on the wire: a gap with torn edges, bared copper, green creeping, a taped lump. Widths under 8 px are widened. */
function RunMark({ kind, x1, x2, y, thick }: DamageMarkProps) {
  const middle = (x1 + x2) / 2;
  const half = Math.max(4, (x2 - x1) / 2);
  const [left, right] = [middle - half, middle + half];
  const top = y - thick / 2 - 2;
  const high = thick + 4;
  const ink = { stroke: 'var(--ink)', strokeWidth: 1 };
  const gap = `M${torn(left, top, high, true)}L${torn(right, top, high, false)}Z`;
  switch (kind) {
    case 'parted':
      return <path d={gap} fill="var(--paper)" {...ink} />;
    case 'strandsLost':
      return (
        <g>
          <path d={gap} fill={COPPER_HEX} {...ink} />
          <path d={`M${left + 2} ${top}L${middle} ${y + 1}L${right - 2} ${top}Z`} fill="var(--paper)" {...ink} />
        </g>
      );
    case 'jacketRubbed':
      return <path d={gap} fill={COPPER_HEX} {...ink} />;
    case 'corroded':
      return (
        <g>
          <path d={gap} fill="#4E9E84" {...ink} />
          {[0.2, 0.5, 0.8].map((share) => (
            <circle key={share} cx={left + share * 2 * half} cy={y + (share === 0.5 ? -2 : 2)} r={1.8} fill="#1F5C49" />
          ))}
        </g>
      );
    case 'cooked':
      return (
        <path
          d={`${gap}M${left} ${y}L${right} ${y}`}
          fill="#4A2A1A"
          stroke="#E5791A"
          strokeWidth={1.5}
          strokeDasharray="3 2"
        />
      );
    case 'poorRepair':
      return (
        <g>
          <rect x={left} y={top - 2} width={2 * half} height={high + 4} rx={3} fill="#5B5F63" {...ink} />
          <path
            d={[0.25, 0.5, 0.75].map((share) => `M${left + share * 2 * half + 2} ${top - 2}l-4 ${high + 4}`).join('')}
            stroke="#C9CCCF"
            strokeWidth={1}
          />
        </g>
      );
    case 'addCircuit':
      return (
        <g stroke="var(--copper)" strokeWidth={2.5}>
          <circle cx={middle} cy={y} r={thick / 2 + 3} fill="var(--sheet)" />
          <path d={`M${middle - 4} ${y}h8M${middle} ${y - 4}v8`} />
        </g>
      );
  }
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
