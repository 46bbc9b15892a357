import type { EarlierRepair } from '@mendum/core/damage';

interface EarlierBodiesProps {
  readonly repairs: readonly EarlierRepair[];
  /** Those that are cut out with what is planned, by id. */
  readonly cutOut: ReadonlySet<string>;
  readonly x: (mm: number) => number;
  readonly y: number;
}

const HIGH = 18;
/** Narrower than this it could not be seen, px. */
const LEAST = 5;

/** Repairs of earlier jobs on one wire: hollow, with their ends marked; those that are cut out are crossed through. */
export function EarlierBodies({ repairs, cutOut, x, y }: EarlierBodiesProps) {
  return repairs.map(({ id, fromMm, toMm, words }) => {
    const left = x(fromMm);
    const right = Math.max(left + LEAST, x(toMm));
    const [top, bottom] = [y - HIGH / 2, y + HIGH / 2];
    return (
      <g key={id} data-earlier={id} stroke="var(--ink)" strokeWidth={1.6}>
        <title>{words}</title>
        <rect x={left} y={top} width={right - left} height={HIGH} rx={HIGH / 2} fill="var(--sheet)" fillOpacity={0.8} />
        {cutOut.has(id) ? <path d={`M${left} ${bottom}L${right} ${top}M${left} ${top}L${right} ${bottom}`} /> : null}
      </g>
    );
  });
}
