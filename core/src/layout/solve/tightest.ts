import { leastWithEase } from './ease.ts';
import type { Found } from './found.ts';
import { leastInserted, type Inserted } from './inserted.ts';
import type { Following } from './orders.ts';
import { TOUCH_MM, type Placed } from './problem.ts';
import { shortestSpan } from './span.ts';
import type { LayoutSoFar } from './standing.ts';

/** Wire is cut to the millimetre: inserted wire that could be less by less than half of one, in all, is the least. */
export const INSERTED_GRACE_MM = 0.5;
/** So many pieces are searched in all parts of an effort; more take longer each, steeply. */
const PIECES_IN_ALL_PARTS = 12;
/** A stretch that begins so much earlier and ends so much later counts as equally short: gaps are not exact to the last. */
const AS_SHORT_MM = 0.0049;

/** The tightest places of an order, or of all orders; what is proven of them. */
export interface Tight {
  readonly placed: readonly Placed[];
  readonly spanProven: boolean;
  /** Least inserted wire in so short a stretch; 0 where nothing is proven. */
  readonly insertedMm: number;
}

/** The shortest stretch, and in it the least wire, for pieces one after the other. */
export function tightest(
  { effort, goesOn, pieces }: LayoutSoFar,
  beam: number,
  following: Following,
  found: Found,
): Tight | undefined {
  const limits = {
    gapMm: found.gapMm,
    bodiesAtMost: found.swept.bodies,
    diameterAtMost: found.over > 1 ? Infinity : found.peakMm,
    sideBySide: found.over > 1,
    beam: beam,
  };
  const span = shortestSpan(following, limits);
  if (!span?.placed) return undefined;
  let best: Inserted | undefined;
  let boundMm = Infinity;
  let complete = span.complete;
  const toMm = (fromMm: number): number => fromMm + span.lengthMm;
  const stretches = [
    ...span.startsMm.map((fromMm) => ({ fromMm, toMm: toMm(fromMm), byMm: TOUCH_MM })),
    ...span.slides.map((slide) => ({ fromMm: slide.fromMm, toMm: toMm(slide.toMm), slide, byMm: TOUCH_MM })),
    ...span.startsMm.map((fromMm) => ({ fromMm, toMm: toMm(fromMm), byMm: AS_SHORT_MM })),
  ];
  for (const stretch of stretches) {
    if (best && !goesOn()) break;
    const { byMm, ...at } = stretch;
    const inStretch = { ...limits, ...at, fromMm: at.fromMm - byMm, toMm: at.toMm + byMm };
    const made =
      following === found.steps
        ? leastWithEase(
            found.problem,
            inStretch,
            Math.round(
              (effort.parts * Math.min(1, (PIECES_IN_ALL_PARTS / pieces) ** 10)) /
                (span.startsMm.length + span.slides.length),
            ),
            goesOn,
            best?.costMm,
          )
        : leastInserted(following, inStretch, undefined, best && best.costMm - INSERTED_GRACE_MM);
    if (!made) continue;
    boundMm = Math.min(boundMm, made.boundMm);
    complete = complete && made.complete;
    // A hair more is taken only where it gains more than a hair.
    const gainsMm = byMm > TOUCH_MM ? INSERTED_GRACE_MM : TOUCH_MM;
    if (!best || made.costMm < best.costMm - gainsMm) best = made;
  }
  return best
    ? { placed: best.placed, spanProven: span.complete, insertedMm: complete ? boundMm : 0 }
    : { placed: span.placed, spanProven: span.complete, insertedMm: 0 };
}
