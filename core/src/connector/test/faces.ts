import type { ConnectorFace, FaceView, SeenCavity } from '../index.ts';

/** A grid, numbered row by row unless said otherwise. */
export const rows = (count: number, columns: number, more: Partial<ConnectorFace> = {}): ConnectorFace => ({
  layout: { kind: 'rows', rows: count, columns },
  numbering: { kind: 'rowWise' },
  ...more,
});
/** What is seen, row by row from the top left, as lines of numbers. */
export function lines(seen: readonly SeenCavity[]): string[] {
  const ys = [...new Set(seen.map((one) => one.y))].sort((a, b) => a - b);
  return ys.map((y) =>
    seen
      .filter((one) => one.y === y)
      .sort((a, b) => a.x - b.x)
      .map((one) => one.cavity)
      .join(' '),
  );
}
export const MATING_UP: FaceView = { side: 'mating', latch: 'up' };
