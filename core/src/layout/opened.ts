import type { Stretch } from '../damage/index.ts';
import { openedFor } from './place.ts';
import { openedParts } from './stretches.ts';
import type { PlacedItem, RunToLayOut } from './types.ts';

/** All for which a run is opened: new bodies, what is lost, covers. */
export const openedThings = (run: RunToLayOut, items: readonly PlacedItem[]): Stretch[] => [
  ...items.flatMap(({ splices }) => splices.map(({ fromMm, toMm }) => ({ fromMm, toMm }))),
  ...run.items.map(openedFor),
  ...(run.alsoOpened ?? []),
];

/** From the first thing to the last; nothing where nothing is opened. */
export const wholeOf = (things: readonly Stretch[]): Stretch | undefined =>
  things.length === 0
    ? undefined
    : {
        fromMm: Math.min(...things.map(({ fromMm }) => fromMm)),
        toMm: Math.max(...things.map(({ toMm }) => toMm)),
      };

/** How much is opened for some things, mm: without gaps over 150 in which nothing lies. */
export const openedMmOf = (things: readonly Stretch[]): number =>
  openedParts(things).reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);
