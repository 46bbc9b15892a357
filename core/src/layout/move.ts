import { nearestLegal, type Window } from '../sizing/index.ts';
import { bothIn } from './stretches.ts';
import { lyingSplices } from './lying.ts';
import { asItem, legalPlaces, windowsOf, madeWith } from './place.ts';
import type { LayoutItem, Pin, PlacedItem, RunToLayOut, SpliceSide } from './types.ts';

/** Where all splices lie, by name. */
export const placesOf = (items: readonly PlacedItem[]): Pin[] =>
  items.flatMap((item) =>
    item.splices.map(({ findingId, side, centreMm, runId }) => ({
      findingId,
      side,
      centreMm,
      ...(runId === undefined ? {} : { runId }),
    })),
  );

/** What a splice that is moved takes along, and where all lie then. */
export interface Moved {
  readonly items: readonly PlacedItem[];
  /** The splices that moved: the one, and its like of the other wire of a pair. */
  readonly moved: readonly Pin[];
  readonly centreMm: number;
}

interface Mover {
  readonly item: LayoutItem;
  readonly placed: PlacedItem;
  readonly side: SpliceSide;
  readonly centreMm: number;
  readonly legal: readonly Window[];
}

function moverOf(
  run: RunToLayOut,
  items: readonly PlacedItem[],
  findingId: string | undefined,
  side: SpliceSide,
): Mover | undefined {
  const item = run.items.find((one) => one.findingId === findingId);
  const placed = items.find((one) => one.findingId === findingId);
  const splice = placed?.splices.find((one) => one.side === side);
  const wish = item && windowsOf(item).get(side);
  if (!item || !placed || !splice || !wish) return undefined;
  // Its own other splice bars the way as well: the two of a circuit never overlap.
  const own = placed.splices
    .filter((one) => one.side !== side)
    .map((one) => ({ kind: 'end' as const, name: 'own', fromMm: one.fromMm, toMm: one.toMm }));
  return {
    item,
    placed,
    side,
    centreMm: splice.centreMm,
    legal: legalPlaces({ lengthMm: run.lengthMm, keepOuts: [...run.keepOuts, ...own] }, wish),
  };
}

/** Centres at which a splice keeps just the wanted distance from the ones beside it, and from what is there already. */
function snapsOf(
  run: RunToLayOut,
  items: readonly PlacedItem[],
  { placed, side }: Mover,
  with_: ReadonlySet<string>,
): number[] {
  const splice = placed.splices.find((one) => one.side === side);
  if (!splice) return [];
  const half = (splice.toMm - splice.fromMm) / 2 + run.betweenBodiesMm;
  return [
    ...items.flatMap((item) => item.splices).filter((other) => !with_.has(other.id)),
    ...lyingSplices(run),
  ].flatMap((other) => [other.fromMm - half, other.toMm + half]);
}

/**
 * Moves a splice as near to a place as it may go: keep-outs, its wire and its circuit's other splice hold it back;
 * within `snapMm` it goes to where it keeps just the wanted distance from its neighbours. The like splice of a pair's
 * other wire goes along, so that the two inserts stay equally long.
 * @returns nothing when there is no such splice, or no legal place for it
 */
export function movedSplice(
  run: RunToLayOut,
  items: readonly PlacedItem[],
  findingId: string,
  side: SpliceSide,
  wishMm: number,
  snapMm = 0,
): Moved | undefined {
  const mover = moverOf(run, items, findingId, side);
  if (!mover) return undefined;
  const mate = side === 'only' ? undefined : moverOf(run, items, mover.item.pairFindingId, side);
  const byMm = mate ? mate.centreMm - mover.centreMm : 0;
  const legal = mate
    ? bothIn(
        mover.legal,
        mate.legal.map((part) => ({ fromMm: part.fromMm - byMm, toMm: part.toMm - byMm })),
      )
    : mover.legal;
  const ids = new Set([mover, ...(mate ? [mate] : [])].map((one) => `${one.item.findingId}:${one.side}`));
  const snaps = snapsOf(run, items, mover, ids).filter(
    (at) => Math.abs(at - wishMm) <= snapMm && legal.some((part) => at >= part.fromMm && at <= part.toMm),
  );
  const snapped = snaps.sort((a, b) => Math.abs(a - wishMm) - Math.abs(b - wishMm))[0];
  const centreMm = snapped ?? nearestLegal(wishMm, legal);
  if (centreMm === undefined) return undefined;
  const on = mover.item.half?.runId === undefined ? {} : { runId: mover.item.half.runId };
  const moved = [
    { findingId, side, centreMm, ...on },
    ...(mate ? [{ findingId: mate.item.findingId, side, centreMm: centreMm + byMm, ...on }] : []),
  ];
  return { items: items.map((placed) => withMoved(run, placed, moved)), moved, centreMm };
}

function withMoved(run: RunToLayOut, placed: PlacedItem, moved: readonly Pin[]): PlacedItem {
  const item = run.items.find((one) => one.findingId === placed.findingId);
  const pin = moved.find((one) => one.findingId === placed.findingId);
  if (!item || !pin) return placed;
  const centres = new Map(
    placed.splices.map((splice): [SpliceSide, { centreMm: number; pinned: boolean }] => [
      splice.side,
      splice.side === pin.side ? { centreMm: pin.centreMm, pinned: true } : splice,
    ]),
  );
  return asItem(madeWith(item, new Set(centres.keys())), centres);
}
