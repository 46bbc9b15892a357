import type { Stretch } from '@mendum/core/damage';

const HIGH = 46;
const WIDE = 320;
const LINE_Y = 28;
const BODY_HIGH = 9;

/** Bodies that lie over each other, one above the other. */
function lanesOf(bodies: readonly Stretch[]): number[] {
  const endsMm: number[] = [];
  const lanes = new Map<Stretch, number>();
  for (const body of [...bodies].sort((a, b) => a.fromMm - b.fromMm)) {
    const free = endsMm.findIndex((endMm) => endMm <= body.fromMm + 1e-6);
    const lane = free < 0 ? endsMm.length : free;
    endsMm[lane] = body.toMm;
    lanes.set(body, lane);
  }
  return bodies.map((body) => lanes.get(body) ?? 0);
}

/** A layout drawn small: the run as a line, what is opened, what is lost, the bodies on it. */
export function SmallLayout({
  view,
  opened,
  lost,
  bodies,
}: {
  /** What is drawn of the run; the same for all that are compared. */
  readonly view: Stretch;
  readonly opened: readonly Stretch[];
  readonly lost: readonly Stretch[];
  readonly bodies: readonly Stretch[];
}) {
  const x = (mm: number): number => ((mm - view.fromMm) / Math.max(1, view.toMm - view.fromMm)) * WIDE;
  const wide = ({ fromMm, toMm }: Stretch, least: number): number => Math.max(least, x(toMm) - x(fromMm));
  const lanes = lanesOf(bodies);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" aria-hidden className="block h-12 w-full">
      <line x1={0} x2={WIDE} y1={LINE_Y} y2={LINE_Y} stroke="var(--soft)" strokeWidth={2} />
      {opened.map((part) => (
        <rect
          key={part.fromMm}
          x={x(part.fromMm)}
          y={LINE_Y - 5}
          width={wide(part, 1)}
          height={10}
          fill="var(--wash)"
          stroke="var(--copper)"
          strokeWidth={0.8}
        />
      ))}
      {lost.map((part, index) => (
        <rect
          key={`${index} ${part.fromMm}`}
          x={x(part.fromMm)}
          y={LINE_Y + 8}
          width={wide(part, 2)}
          height={4}
          fill="var(--scrap)"
        />
      ))}
      {bodies.map((body, index) => (
        <rect
          key={`${index} ${body.fromMm}`}
          x={x(body.fromMm)}
          y={LINE_Y - 4 - (lanes[index] ?? 0) * (BODY_HIGH + 2)}
          width={wide(body, 2)}
          height={BODY_HIGH}
          rx={2}
          fill="var(--ink)"
        />
      ))}
    </svg>
  );
}
