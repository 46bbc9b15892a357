import type { ProfileStretch } from '@mendum/core/layout';
import { figure } from '@mendum/core/units';

interface ProfileProps {
  readonly profile: readonly ProfileStretch[];
  readonly x: (mm: number) => number;
  readonly plot: { readonly left: number; readonly right: number };
  readonly top: number;
  readonly high: number;
  readonly conduitMm?: number | undefined;
  readonly lumpMm?: number | undefined;
  /** Whether it says at its left what it is. */
  readonly named?: boolean;
}

/** Height of a name, px. */
const APART_PX = 16;

/**
 * The bundle's diameter along the run on the same scale, with the conduit's inside and the lump that one place for all
 * would make.
 */
export function Profile({ profile, x, plot, top, high, conduitMm, lumpMm, named = true }: ProfileProps) {
  const peak = Math.max(conduitMm ?? 0, lumpMm ?? 0, ...profile.map((stretch) => stretch.diameterMm), 1);
  const bottom = top + high;
  const y = (mm: number): number => bottom - (mm / (peak * 1.08)) * high;
  const inside = (at: number): number => Math.min(plot.right, Math.max(plot.left, x(at)));
  const line = profile
    .map(
      (stretch) =>
        `L${inside(stretch.fromMm)} ${y(stretch.diameterMm)}L${inside(stretch.toMm)} ${y(stretch.diameterMm)}`,
    )
    .join('');
  // Names that would lie over each other part from the middle between their lines.
  const levels = [conduitMm, lumpMm].flatMap((mm) => (mm === undefined ? [] : [y(mm)]));
  const middle = levels.reduce((sum, at) => sum + at, 0) / Math.max(1, levels.length);
  const close = levels.length === 2 && Math.abs((levels[0] ?? 0) - (levels[1] ?? 0)) < APART_PX;
  const lumpIsUpper = (lumpMm ?? 0) > (conduitMm ?? 0);
  const nameY = (mm: number, isUpper: boolean): number =>
    Math.max(isUpper ? 12 : 12 + APART_PX, close ? middle + 5 + ((isUpper ? -1 : 1) * APART_PX) / 2 : y(mm) + 5);
  const level = (mm: number, words: string, dash: string, weight: number, isUpper: boolean) => (
    <g>
      <line x1={plot.left} x2={plot.right} y1={y(mm)} y2={y(mm)} stroke="var(--ink)" strokeDasharray={dash} />
      <text
        x={plot.right + 8}
        y={nameY(mm, isUpper)}
        fontSize={14}
        fontWeight={weight}
        fill={weight > 500 ? 'var(--ink)' : 'var(--soft)'}
      >
        {words}
      </text>
    </g>
  );
  return (
    <g>
      {named ? (
        <text x={plot.left - 12} y={bottom - 6} textAnchor="end" fontSize={14} fill="var(--soft)">
          Bundle Ø, mm
        </text>
      ) : null}
      <path d={`M${plot.left} ${bottom}${line}L${plot.right} ${bottom}Z`} fill="var(--wash)" />
      <path d={`M${line.slice(1)}`} fill="none" stroke="var(--copper)" strokeWidth={2} />
      {conduitMm === undefined ? null : level(conduitMm, `conduit ${figure(conduitMm)}`, '9 4', 600, !lumpIsUpper)}
      {lumpMm === undefined ? null : level(lumpMm, `lump ${figure(lumpMm, 1)}`, '2 4', 400, lumpIsUpper)}
    </g>
  );
}
