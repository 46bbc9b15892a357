/** A card that a hand holds, mm: two beside each other fit on A4 and on letter, with a browser's usual margins of 10. */
export const CARD = { wide: 92, high: 134, margin: 5 } as const;
/** Millimetres of a line of the list, and of what stands over and under it. */
const LINE_HIGH = 4.4;
const TITLE_HIGH = 19;
const FOOT_HIGH = 8;
/** No drawing is higher than this; one that is, is drawn smaller. */
const DRAWING_MOST = 62;

/** One side of a card. */
export interface HandPage<T> {
  /** The face on it; none where the list goes on. */
  readonly side?: 'wire' | 'mating' | undefined;
  readonly lines: readonly T[];
}

/** How wide and high a face is drawn on a card, mm, from its own width and height in any unit. */
export function drawnOnCard(wide: number, high: number): { readonly wide: number; readonly high: number } {
  const scale = Math.min((CARD.wide - 2 * CARD.margin) / wide, DRAWING_MOST / high);
  return { wide: wide * scale, high: high * scale };
}

/** Lines of a list that a side has room for beside a drawing of this height, mm. */
export const linesBeside = (drawingHigh: number): number =>
  Math.max(0, Math.floor((CARD.high - 2 * CARD.margin - TITLE_HIGH - FOOT_HIGH - drawingHigh) / LINE_HIGH));

/**
 * The sides of a card, an even number, so that it can be folded: the wire side first, the mating side behind it. A list
 * that fits is on both; a longer one goes on from side to side, and on further cards.
 */
export function handPages<T>(lines: readonly T[], drawingHigh: number): readonly HandPage<T>[] {
  const room = linesBeside(drawingHigh);
  if (lines.length <= room)
    return [
      { side: 'wire', lines },
      { side: 'mating', lines },
    ];
  const pages: HandPage<T>[] = [
    { side: 'wire', lines: lines.slice(0, room) },
    { side: 'mating', lines: lines.slice(room, 2 * room) },
  ];
  const most = linesBeside(0);
  for (let at = 2 * room; at < lines.length; at += most) pages.push({ lines: lines.slice(at, at + most) });
  if (pages.length % 2 === 1) pages.push({ lines: [] });
  return pages;
}
