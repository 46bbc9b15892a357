import type { KeepOut } from '../harness/index.ts';
import { legalCentres, nearestLegal, type Window } from '../sizing/index.ts';
import { nearestClear, noBodies, sorted, type Sorted } from './clear.ts';
import { apartOf } from './kinds.ts';
import { Lanes } from './lanes.ts';
import { lyingSplices } from './lying.ts';
import { asItem, bodyAt, legalPlaces, wishes, type Wish } from './place.ts';
import { bothIn, nearestIn, shiftsBetween } from './stretches.ts';
import type { LayoutItem, PlacedItem, RunToLayOut, SpliceSide } from './types.ts';

/** Clear distances that are tried in turn, as shares of the wanted one, before bodies are let overlap. */
const SHARES_OF_GAP = [1, 0.75, 0.5, 0.25, 0];

/** Shifts that differ by less are the same, mm. */
const SAME_MM = 1e-6;

type Barred = Pick<KeepOut, 'fromMm' | 'toMm'>;

const grown = (bar: Barred, byMm: number): Barred => ({ fromMm: bar.fromMm - byMm, toMm: bar.toMm + byMm });

/** The keep-outs with room to work at connectors. */
function roomy(run: RunToLayOut): Barred[] {
  return run.keepOuts.map((keep) =>
    keep.kind === 'connector' ? grown(keep, run.preferFromConnectorMm - run.connectorClearMm) : keep,
  );
}

/** Keep-outs and the gap between bodies that one round of placing keeps to. */
interface Plot {
  readonly keep: Sorted;
  readonly gapMm: number;
}

/** What to try, best first: all wishes, then less room at connectors, then bodies closer to each other. */
function plotsOf(run: RunToLayOut): Plot[] {
  const [full = 1, ...less] = SHARES_OF_GAP;
  const strict = sorted(run.keepOuts);
  // Where the stretch goes before distance and room, bodies lie no farther from their losses than they must.
  if (run.kind !== undefined) return [...new Set([apartOf(run), 0])].map((gapMm) => ({ keep: strict, gapMm }));
  return [
    { keep: sorted(roomy(run)), gapMm: full * run.betweenBodiesMm },
    { keep: strict, gapMm: full * run.betweenBodiesMm },
    ...less.map((share) => ({ keep: strict, gapMm: share * run.betweenBodiesMm })),
  ];
}

/** How many of a sorted list lie below a value. */
function countBelow(sortedMm: readonly number[], belowMm: number): number {
  let [low, high] = [0, sortedMm.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sortedMm[middle] ?? 0) < belowMm) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * The place with the fewest bodies over it, when none is free: keep-outs still hold, and so does the circuit's own
 * other body.
 */
function leastCrowded(wish: Wish, keep: readonly Barred[], placed: readonly Barred[]): number | undefined {
  const legal = legalCentres(wish.window, wish.joint.bodyLengthMm, keep);
  const half = wish.joint.bodyLengthMm / 2;
  const edges = placed.flatMap((other) => [other.fromMm - half, other.toMm + half]);
  const candidates = legal
    .flatMap((part) => [
      Math.min(Math.max(wish.atMm, part.fromMm), part.toMm),
      part.fromMm,
      part.toMm,
      ...edges.filter((edge) => edge > part.fromMm && edge < part.toMm),
    ])
    .filter(Number.isFinite);
  const starts = placed.map((other) => other.fromMm).sort((a, b) => a - b);
  const ends = placed.map((other) => other.toMm).sort((a, b) => a - b);
  const over = (centre: number): number =>
    countBelow(starts, centre + half - 1e-9) - countBelow(ends, centre - half + 1e-9);
  return candidates
    .map((centre) => ({ centre, crowd: over(centre), away: Math.abs(centre - wish.atMm) }))
    .sort((a, b) => a.crowd - b.crowd || a.away - b.away || a.centre - b.centre)[0]?.centre;
}

function place(wish: Wish, plots: readonly Plot[], placed: Sorted, own: readonly Barred[]): number {
  const wanted = { atMm: wish.atMm, window: wish.window, bodyLengthMm: wish.joint.bodyLengthMm };
  for (const { keep, gapMm } of plots) {
    const centre = nearestClear(wanted, keep, placed, gapMm);
    if (centre !== undefined) return centre;
  }
  return leastCrowded(wish, [...(plots.at(-1)?.keep.byStart ?? []), ...own], placed.byStart) ?? wish.atMm;
}

const moved = (rooms: readonly Window[], byMm: number): Window[] =>
  rooms.map(({ fromMm, toMm }) => ({ fromMm: fromMm + byMm, toMm: toMm + byMm }));

type Centres = ReadonlyMap<SpliceSide, number>;

/**
 * Centres for both wires of a pair, shifted alike on both sides so that the two inserts are equally long: one behind the
 * other where that goes, else by whichever shift both sides have room for.
 */
function placePair(
  a: LayoutItem,
  b: LayoutItem,
  plots: readonly Plot[],
  placed: Sorted,
  pinOf: (item: LayoutItem, side: SpliceSide) => number | undefined,
): readonly [Centres, Centres] | undefined {
  const [aLeft, aRight] = wishes(a);
  const [bLeft, bRight] = wishes(b);
  if (!aLeft || !aRight || !bLeft || !bRight) return undefined;
  const all = [aLeft, aRight, bLeft, bRight];
  // A wire that gets less on top lies so much farther apart.
  const fartherMm = (a.extraMm ?? 0) - (b.extraMm ?? 0);
  const longest = Math.max(...all.map(({ wish }) => wish.joint.bodyLengthMm));
  const within = (bars: readonly Barred[], gapMm: number): readonly [Centres, Centres] | undefined => {
    const roomOf = (item: LayoutItem, { side, wish }: (typeof all)[number]): readonly Window[] => {
      const at = pinOf(item, side);
      return at === undefined ? legalCentres(wish.window, wish.joint.bodyLengthMm, bars) : [{ fromMm: at, toMm: at }];
    };
    const sides = [
      { one: aLeft, rooms: roomOf(a, aLeft), others: roomOf(b, bLeft), moreMm: 0 },
      { one: aRight, rooms: roomOf(a, aRight), others: roomOf(b, bRight), moreMm: fartherMm },
    ];
    const [possibleLeft = [], possibleRight = []] = sides.map(({ rooms, others, moreMm }) =>
      shiftsBetween(rooms, moved(others, -moreMm)),
    );
    const possible = bothIn(possibleLeft, possibleRight);
    const options = [longest + gapMm, -(longest + gapMm)].flatMap((wishMm) => {
      const shiftMm = nearestIn(possible, wishMm);
      if (shiftMm === undefined || (gapMm > 0 && Math.abs(shiftMm - wishMm) > SAME_MM)) return [];
      const [left, right] = sides.map(({ one, rooms, others, moreMm }) =>
        nearestLegal(one.wish.atMm, bothIn(rooms, moved(others, -shiftMm - moreMm))),
      );
      return left === undefined || right === undefined ? [] : [{ shiftMm, left, right, spread: right - left }];
    });
    const best = options.sort((x, y) => x.spread - y.spread)[0];
    const centresOf = (leftMm: number, rightMm: number): Centres =>
      new Map([
        ['left', leftMm],
        ['right', rightMm],
      ]);
    return (
      best && [
        centresOf(best.left, best.right),
        centresOf(best.left + best.shiftMm, best.right + best.shiftMm + fartherMm),
      ]
    );
  };
  for (const { keep, gapMm } of plots) {
    const found = within([...keep.byStart, ...placed.byStart.map((other) => grown(other, gapMm))], gapMm);
    if (found) return found;
  }
  return within(plots.at(-1)?.keep.byStart ?? [], 0);
}

/** An item made with two splices where it may get two and a single one has no place at all. */
function withPlaces(run: RunToLayOut, item: LayoutItem): LayoutItem {
  if (!item.twoJoints) return item;
  const two = { ...item, joints: item.twoJoints };
  const pinned = run.pins.filter(({ findingId }) => findingId === item.findingId);
  if (pinned.length > 0) return pinned.some(({ side }) => side === 'only') ? item : two;
  const hasPlace = (made: LayoutItem): boolean => wishes(made).every(({ wish }) => legalPlaces(run, wish).length > 0);
  return !hasPlace(item) && hasPlace(two) ? two : item;
}

/**
 * Places splices along one run by rule, not by search: pinned ones stay; then pairs, which have the least choice, and
 * then the rest from left to right by loss; each body goes to the legal place nearest to its loss that keeps the wanted
 * distance from bodies already placed, with less room at connectors and then less distance when there is none.
 * Keep-outs are never broken. Both wires of a pair are shifted alike. The answer does not depend on the order of the
 * items. An even layout keeps its own distance, a short one lets two lie over one place.
 */
export function stagger(run: RunToLayOut): PlacedItem[] {
  const paired = (item: LayoutItem): number => Number(item.pairFindingId === undefined);
  const items = run.items
    .map((item) => withPlaces(run, item))
    .sort((a, b) => paired(a) - paired(b) || a.lost.fromMm - b.lost.fromMm || a.findingId.localeCompare(b.findingId));
  const plots = plotsOf(run);
  const placed = noBodies();
  const lanes = run.kind === 'short' ? new Lanes(run) : undefined;
  const take = (body: Window, { circuitId }: Pick<LayoutItem, 'circuitId'>, bodyMm: number): void => {
    placed.add(body);
    lanes?.add({ ...body, circuitId, bodyMm });
  };
  const done = new Map<string, PlacedItem>();
  const pinOf = (item: LayoutItem, side: SpliceSide): number | undefined =>
    run.pins.find((pin) => pin.findingId === item.findingId && pin.side === side)?.centreMm;
  const finish = (item: LayoutItem, centres: ReadonlyMap<SpliceSide, number>): void => {
    const result = asItem(
      item,
      new Map([...centres].map(([side, centreMm]) => [side, { centreMm, pinned: pinOf(item, side) !== undefined }])),
    );
    done.set(item.findingId, result);
  };

  for (const one of lyingSplices(run)) take(one, one, one.diameterMm);
  for (const item of items) {
    for (const { side, wish } of wishes(item)) {
      const pinned = pinOf(item, side);
      if (pinned !== undefined) take(bodyAt(pinned, wish.joint), item, wish.joint.bodyDiameterMm);
    }
  }
  for (const item of items) {
    if (done.has(item.findingId)) continue;
    const mate = items.find((other) => other.findingId === item.pairFindingId && !done.has(other.findingId));
    const pair = mate ? placePair(item, mate, plots, placed, pinOf) : undefined;
    if (mate && pair) {
      for (const [one, centres] of [
        [item, pair[0]],
        [mate, pair[1]],
      ] as const) {
        for (const { side, wish } of wishes(one))
          if (pinOf(one, side) === undefined)
            take(bodyAt(centres.get(side) ?? wish.atMm, wish.joint), one, wish.joint.bodyDiameterMm);
        finish(one, centres);
      }
      continue;
    }
    const centres = new Map<SpliceSide, number>();
    const own: Barred[] = [];
    for (const { side, wish } of wishes(item)) {
      const pinned = pinOf(item, side);
      const centre =
        pinned ?? lanes?.nearest(wish, item.circuitId, [...run.keepOuts, ...own]) ?? place(wish, plots, placed, own);
      centres.set(side, centre);
      own.push(bodyAt(centre, wish.joint));
      if (pinned === undefined) take(bodyAt(centre, wish.joint), item, wish.joint.bodyDiameterMm);
    }
    finish(item, centres);
  }
  return run.items.flatMap((item) => done.get(item.findingId) ?? []);
}
