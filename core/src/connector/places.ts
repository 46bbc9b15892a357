import type { CavityLayout, GridPlace } from './types.ts';

/**
 * A place of a layout on the side it is described from, latch up: its grid place where there is one, and x, y in cavity
 * widths from the middle.
 */
export interface LaidOut {
  readonly grid?: GridPlace | undefined;
  readonly x: number;
  readonly y: number;
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
 * Every place of a layout in its own order: grids row by row, rings from the outside in and clockwise, free places as
 * they are listed.
 * @throws RangeError on a layout without a cavity, or with a count that is not a whole number from 1
 */
export function placesOf(layout: CavityLayout): LaidOut[] {
  const places = laidOut(layout);
  if (places.length === 0)
    throw new RangeError('A connector needs at least one cavity: give rows and columns, rings, or places.');
  return places;
}

function whole(value: number, name: string): number {
  if (!Number.isInteger(value) || value < 1)
    throw new RangeError(`${name} of a connector cannot be ${value}: give a whole number from 1.`);
  return value;
}

function laidOut(layout: CavityLayout): LaidOut[] {
  switch (layout.kind) {
    case 'rows': {
      const rows = whole(layout.rows, 'The rows');
      const columns = whole(layout.columns, 'The columns');
      return Array.from({ length: rows * columns }, (_, index): GridPlace => ({
        row: Math.floor(index / columns),
        column: index % columns,
      }))
        .filter((place) => !isMissing(place, layout.missing ?? []))
        .map((grid) => ({ grid, x: grid.column - (columns - 1) / 2, y: grid.row - (rows - 1) / 2 }));
    }
    case 'round': {
      const radii = ringRadii(layout.rings.map((ring) => whole(ring.count, 'A ring')));
      return layout.rings.flatMap((ring, index) =>
        Array.from({ length: ring.count }, (_, at) => {
          const angle = (((ring.startDeg ?? 0) + (360 * at) / ring.count) * Math.PI) / 180;
          const radius = radii[index] ?? 0;
          return { x: radius * Math.sin(angle), y: -radius * Math.cos(angle) };
        }),
      );
    }
    case 'free':
      return layout.places.map(({ x, y }) => ({ x, y }));
  }
}
