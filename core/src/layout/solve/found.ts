import { asItem, itemsAt, madeWith } from '../place.ts';
import { stagger } from '../stagger.ts';
import { spliceId, type LayoutItem, type PlacedItem, type RunToLayOut, type SpliceSide } from '../types.ts';
import type { Placed, Problem } from './problem.ts';
import type { Steps } from './steps.ts';
import type { SweepResult } from './sweep/sweep.ts';

const SIDES = ['only', 'left', 'right'] as const satisfies readonly SpliceSide[];

/** What a search has found so far. */
export interface Found {
  readonly problem: Problem;
  readonly steps: Steps;
  readonly swept: SweepResult;
  readonly gapMm: number;
  readonly over: number;
  readonly peakMm: number;
}

/** Items with their splices where the pieces lie. */
export function itemsOf(run: RunToLayOut, placed: readonly Placed[]): PlacedItem[] {
  const centres = new Map<string, number>();
  for (const { piece, atMm } of placed)
    for (const body of piece.bodies)
      centres.set(body.id, Math.round((atMm + body.offsetMm + body.lengthMm / 2) * 1e6) / 1e6);
  const pinned = (item: LayoutItem, side: SpliceSide): boolean =>
    run.pins.some((pin) => pin.findingId === item.findingId && pin.side === side);
  return run.items.map((item) => {
    const places = SIDES.flatMap((side) => {
      const centreMm = centres.get(spliceId(item.findingId, side));
      return centreMm === undefined ? [] : [{ side, centreMm }];
    });
    return asItem(
      madeWith(item, new Set(places.map((place) => place.side))),
      new Map(places.map(({ side, centreMm }) => [side, { centreMm, pinned: pinned(item, side) }])),
    );
  });
}

/** The places that are kept when all are there and legal, else by the rules. */
export const firstLayout = (run: RunToLayOut): readonly PlacedItem[] => keptLayout(run) ?? stagger(run);

/** The layout that is kept: a legal place for every splice; none when one is missing. */
export const keptLayout = (run: RunToLayOut): readonly PlacedItem[] | undefined =>
  run.found && run.found.length > 0 ? itemsAt(run, run.found) : undefined;
