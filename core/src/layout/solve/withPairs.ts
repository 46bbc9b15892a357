import { placesOf } from '../move.ts';
import { compareLayouts, firstDifference, isBefore, type Level } from '../levels.ts';
import { measure } from '../objective.ts';
import { itemsAt, legalPlaces, PLACE_GRACE_MM, windowsOf } from '../place.ts';
import type { Pin, PlacedItem, RunToLayOut } from '../types.ts';
import { buildProblem } from './build.ts';
import { meets, type Effort, type LaidOut } from './laidOut.ts';
import { LayoutSoFar } from './standing.ts';

type Solve = (standing: LayoutSoFar) => LaidOut;
/** Two wires of a pair with two splices each, as they lie. */
type PairOf = readonly [PlacedItem, PlacedItem];

/** The pairs of a run that are made with two splices each. */
function pairsIn(run: RunToLayOut, items: readonly PlacedItem[]): PairOf[] {
  const placed = new Map(items.map((item) => [item.findingId, item]));
  return run.items.flatMap(({ findingId, pairFindingId = '' }): PairOf[] => {
    const [one, other] = [placed.get(findingId), placed.get(pairFindingId)];
    return one && other && findingId < pairFindingId && one.splices.length === 2 && other.splices.length === 2
      ? [[one, other]]
      : [];
  });
}

/**
 * How far the wires of pairs lie beyond each other on each side, and in the middle of both; either way round, since a
 * problem names them in an order of its own.
 */
const shiftsOf = (pairs: readonly PairOf[]): number[] =>
  pairs.flatMap(([one, other]) => {
    const [left, right] = [other.x1Mm - one.x1Mm, other.x2Mm - one.x2Mm];
    const middle = (left + right) / 2;
    return [left, middle, right, -left, -middle, -right];
  });

/** Ways to make two wires equally long: one of the four splices gives way. */
const GIVES_WAY = [
  { wire: 0, side: 'left' },
  { wire: 0, side: 'right' },
  { wire: 1, side: 'left' },
  { wire: 1, side: 'right' },
] as const;

/** Pairs held where they lie, but for one splice of each that is moved until both wires are equally long. */
function heldAlike(pairs: readonly PairOf[], { wire, side }: (typeof GIVES_WAY)[number]): Pin[] {
  return pairs.flatMap((pair) => {
    const moreMm = (pair[0].insertMm ?? 0) - (pair[1].insertMm ?? 0);
    // The longer one gets shorter, or the shorter one longer.
    const byMm = moreMm * (wire === 0 ? -1 : 1) * (side === 'right' ? 1 : -1);
    return placesOf(pair).map((pin) =>
      pin.findingId === pair[wire].findingId && pin.side === side ? { ...pin, centreMm: pin.centreMm + byMm } : pin,
    );
  });
}

/** Around what is held nothing is proven: a brief search does. */
const BRIEFLY = { beam: 200, turns: 2, parts: 8 };

/** Whether a splice may lie where it is held: on its wire, in no keep-out, and where it is pinned. */
function mayLie(run: RunToLayOut, { findingId, side, centreMm }: Pin): boolean {
  const item = run.items.find((one) => one.findingId === findingId);
  const wish = item && windowsOf(item).get(side);
  const pin = run.pins.find((one) => one.findingId === findingId && one.side === side);
  return pin
    ? Math.abs(pin.centreMm - centreMm) < PLACE_GRACE_MM
    : wish !== undefined &&
        legalPlaces(run, wish).some((room) => centreMm >= room.fromMm - 1e-6 && centreMm <= room.toMm + 1e-6);
}

/** The best layout with the pairs of another one held where they lie there, made alike: the rest is searched. */
function aroundHeld(run: RunToLayOut, free: RunToLayOut, from: LaidOut, effort: Effort, solve: Solve): LaidOut[] {
  const pairs = pairsIn(run, from.items);
  if (pairs.length === 0 || from.objective.over > 1) return [];
  const goesOn = effort.goesOn ?? ((): boolean => true);
  return GIVES_WAY.flatMap((way): LaidOut[] => {
    const own = heldAlike(pairs, way);
    if (!goesOn() || !own.every((pin) => mayLie(run, pin))) return [];
    const isHeld = (pin: Pin): boolean => own.some((one) => one.findingId === pin.findingId && one.side === pin.side);
    const held = { ...free, pins: [...run.pins.filter((pin) => !isHeld(pin)), ...own] };
    const laid = solve(new LayoutSoFar(held, { ...effort, ...BRIEFLY }, buildProblem(held, 0)));
    const items = itemsAt(run, placesOf(laid.items));
    return items ? [{ ...laid, items, objective: measure(run, items), open: 'over' }] : [];
  });
}

/**
 * Pairs are searched with a few shifts only, which proves nothing. The same run without its pairs being alike shows
 * where else they could lie, and what it reaches holds for the pairs, too: as long as both are equally good by the same
 * levels, and by the bounds from there on.
 */
export function withPairs(run: RunToLayOut, effort: Effort, solve: Solve): LaidOut {
  const own = new LayoutSoFar(run, effort, buildProblem(run, 0));
  const first = solve(own);
  const { unpaired: free } = own;
  const quietly = { ...effort, onBetter: undefined };
  const loose = solve(new LayoutSoFar(free, quietly, buildProblem(free, 0)));
  const others = (): LaidOut[] => {
    const shifted = { ...run, shiftsMm: shiftsOf(pairsIn(run, loose.items)) };
    return [
      solve(new LayoutSoFar(shifted, quietly, buildProblem(shifted, 0))),
      ...aroundHeld(run, free, loose, quietly, solve),
    ];
  };
  const isOpen = compareLayouts(loose.objective, first.objective, own.order) < 0;
  const found = (isOpen ? others() : []).reduce(
    (best, one) => (compareLayouts(one.objective, best.objective, own.order) < 0 ? one : best),
    first,
  );
  const differs = firstDifference(found.objective, loose.objective, own.order);
  const bound = { ...own.boundOf(found.objective) };
  let open: Level | undefined;
  for (const level of own.order) {
    const isAlike = differs === undefined || !isBefore(own.order, differs, level);
    if (isAlike) bound[level] = loose.bound[level];
    if (meets(level, found.objective[level], bound[level])) bound[level] = found.objective[level];
    else open ??= level;
  }
  const told = { ...found, bound, open };
  if (found !== first) effort.onBetter?.(told);
  return told;
}
