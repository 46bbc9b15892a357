import type { CavityLayout, GridPlace } from './types.ts';

/**
 * A place of a layout on the side it is described from, as it is held there: in which row and column of its grid, or in
 * which ring and where on it, and x, y in cavity widths from the middle.
 */
export interface LaidOut {
  readonly row?: number | undefined;
  readonly column?: number | undefined;
  /** Of a ring: counted clockwise from its first place. */
  readonly isOnRing?: true | undefined;
  readonly x: number;
  readonly y: number;
}

/** A place of a layout that may not be there. */
export interface Slot extends LaidOut {
  readonly isMissing: boolean;
}

/** Distance between rings of a round layout, cavity widths. */
const RING_STEP = 1.1;

const isMissing = (place: GridPlace, missing: readonly GridPlace[]): boolean =>
  missing.some((one) => one.row === place.row && one.column === place.column);

/** Smallest radius, cavity widths, at which so many cavities lie side by side on a ring without touching. */
const ringNeeds = (count: number): number => (count <= 1 ? 0 : 0.55 / Math.sin(Math.PI / count));

function ringRadii(counts: readonly number[]): number[] {
  const radii: number[] = [];
  for (const count of [...counts].reverse()) {
    const inner = radii[0];
    radii.unshift(Math.max(ringNeeds(count), inner === undefined ? 0 : inner + RING_STEP));
  }
  return radii;
}

/**
 * Every place of a layout, those that are not there too, in its own order: grids row by row, rings from the outside in
 * and clockwise, free places as they are listed.
 * @throws RangeError on a layout without a cavity, or with a count that is not a whole number from 1
 */
export function slotsOf(layout: CavityLayout): Slot[] {
  const slots = laidOut(layout);
  if (!slots.some(({ isMissing: gone }) => !gone))
    throw new RangeError('A connector needs at least one cavity: give rows and columns, rings, or places.');
  return slots;
}

function whole(value: number, name: string): number {
  if (!Number.isInteger(value) || value < 1)
    throw new RangeError(`${name} of a connector cannot be ${value}: give a whole number from 1.`);
  return value;
}

function laidOut(layout: CavityLayout): Slot[] {
  switch (layout.kind) {
    case 'rows': {
      const rows = whole(layout.rows, 'The rows');
      const columns = whole(layout.columns, 'The columns');
      return Array.from({ length: rows * columns }, (_, index): Slot => {
        const place: GridPlace = { row: Math.floor(index / columns), column: index % columns };
        return {
          ...place,
          x: place.column - (columns - 1) / 2,
          y: place.row - (rows - 1) / 2,
          isMissing: isMissing(place, layout.missing ?? []),
        };
      });
    }
    case 'round': {
      const radii = ringRadii(layout.rings.map((ring) => whole(ring.count, 'A ring')));
      return layout.rings.flatMap((ring, index) =>
        Array.from({ length: ring.count }, (_, at): Slot => {
          const angle = (((ring.startDeg ?? 0) + (360 * at) / ring.count) * Math.PI) / 180;
          const radius = radii[index] ?? 0;
          return {
            row: index,
            column: at,
            isOnRing: true,
            x: radius * Math.sin(angle),
            y: -radius * Math.cos(angle),
            isMissing: ring.missing?.includes(at) ?? false,
          };
        }),
      );
    }
    case 'free':
      return layout.places.map(({ x, y }) => ({ x, y, isMissing: false }));
  }
}
