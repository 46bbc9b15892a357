import { together } from './pairModes.ts';
import { TOUCH_MM, type Piece, type Placed } from './problem.ts';

/** Overlapping pieces, from left to right, as clusters that move as one. */
export function clustersOf(placed: readonly Placed[]): Piece[] {
  const clusters: { parts: { piece: Piece; offsetMm: number }[]; endMm: number }[] = [];
  for (const { piece, atMm } of [...placed].sort((a, b) => a.atMm - b.atMm)) {
    const last = clusters.at(-1);
    if (last && atMm < last.endMm - TOUCH_MM) {
      last.parts.push({ piece, offsetMm: atMm });
      last.endMm = Math.max(last.endMm, atMm + piece.lengthMm);
    } else clusters.push({ parts: [{ piece, offsetMm: atMm }], endMm: atMm + piece.lengthMm });
  }
  return clusters.map(({ parts }) =>
    parts.length === 1 && parts[0] ? parts[0].piece : together(parts.map((part) => part.piece.key).join(' '), parts, 0),
  );
}
