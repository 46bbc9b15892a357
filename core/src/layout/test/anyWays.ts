import { asItem, madeWith, windowsOf, type Wish } from '../place.ts';
import type { LayoutItem, RunToLayOut, SpliceSide } from '../types.ts';

/** Ease of a wire: 3 mm, or a hundredth of it where that is more. */
export const EASE_LEAST_MM = 3;
export const EASE_SHARE = 0.01;

/** A splice as it may be made: where its centre may lie. */
export interface BodyVar {
  readonly item: LayoutItem;
  readonly side: SpliceSide;
  readonly wish: Wish;
  /** Its centre, and whether it is made. */
  readonly name: string;
  readonly use: string;
  readonly pinnedMm: number | undefined;
}

/** The distance of a wire's faces, as signs of centres and a constant, and what the wire gets on top. */
export interface Wire {
  readonly terms: readonly (readonly [sign: number, name: string])[];
  readonly mm: number;
  readonly addedMm: number;
}

/** One way to make an item: with one splice or with two. */
export interface Way {
  readonly item: LayoutItem;
  readonly use: string;
  readonly bodies: readonly BodyVar[];
}

/** All ways in which the items of a run can be made, with a name for every body of theirs. */
export const waysOf = (run: RunToLayOut): Way[] =>
  run.items.flatMap((item, index): Way[] =>
    [item, ...(item.twoJoints ? [{ ...item, joints: item.twoJoints }] : [])].map((made, way) => {
      const use = `m${index}_${way}`;
      return {
        item,
        use,
        bodies: [...windowsOf({ ...made, twoJoints: undefined })].map(([side, wish]) => ({
          item,
          side,
          wish,
          use,
          name: `x${index}_${side}`,
          pinnedMm: run.pins.find((pin) => pin.findingId === item.findingId && pin.side === side)?.centreMm,
        })),
      };
    }),
  );

/**
 * The distance of a wire's faces when it is made in a way, as terms of centres and a constant, and what it gets besides
 * that distance and its ease, mm.
 */
export function wireOf({ item, bodies }: Way): Wire | undefined {
  const laid = asItem(
    madeWith(item, new Set(bodies.map(({ side }) => side))),
    new Map(bodies.map(({ side, wish }) => [side, { centreMm: wish.atMm, pinned: false }])),
  );
  if (laid.insertMm === undefined) return undefined;
  const betweenMm = laid.x2Mm - laid.x1Mm;
  const terms = bodies.map(({ wish, name }) => [wish.beside === 'left' ? -1 : 1, name] as const);
  const atWishes = bodies.reduce((sum, { wish }) => sum + (wish.beside === 'left' ? -1 : 1) * wish.atMm, 0);
  return {
    terms,
    mm: betweenMm - atWishes,
    addedMm: laid.insertMm - betweenMm - Math.max(EASE_LEAST_MM, EASE_SHARE * betweenMm),
  };
}
