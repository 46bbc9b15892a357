import { GRACE } from './packing.ts';

/** Sizes that are equal, by their indexes. */
interface Sort {
  readonly size: number;
  readonly all: readonly number[];
  value: number;
  left: number;
}

/** Steps in which the dearest set for one room is looked for, and in all. */
const SET_STEPS = 2000;
const ALL_STEPS = 1_500_000;
/** What lies badly is dearer next time: by how much of what it was worth, and how much more the larger one. */
const WEIGHT = 3;
const LARGER = 1.02;

/** How many of each sort lie in the dearest set that one room holds. */
function dearest(sorts: readonly Sort[], room: number, steps: { left: number }): number[] {
  const order = sorts
    .map((sort, index) => ({ ...sort, index }))
    .filter(({ left, size }) => left > 0 && size <= room + GRACE)
    .sort((a, b) => b.value / b.size - a.value / a.size);
  const least: number[] = [];
  for (let at = order.length - 1; at >= 0; at -= 1)
    least[at] = Math.min(least[at + 1] ?? Infinity, order[at]?.size ?? Infinity);
  const own = sorts.map(() => 0);
  let best = { worth: 0, own: own.slice() };
  let here = SET_STEPS;
  const add = (at: number, free: number, worth: number): void => {
    if (worth > best.worth) best = { worth, own: own.slice() };
    const sort = order[at];
    here -= 1;
    if (!sort || here < 0 || free < (least[at] ?? Infinity) - GRACE) return;
    if (worth + (free * sort.value) / sort.size <= best.worth + GRACE) return;
    for (let count = Math.min(sort.left, Math.floor((free + GRACE) / sort.size)); count >= 0; count -= 1) {
      own[sort.index] = count;
      add(at + 1, free - count * sort.size, worth + count * sort.value);
    }
    own[sort.index] = 0;
  };
  add(0, room, 0);
  steps.left -= SET_STEPS - Math.max(0, here);
  return best.own;
}

/**
 * Rooms of one length filled by what sizes are worth, again and again: what lay in a room with much left over is worth
 * more the next time, so that it finds its like earlier (sequential value correction). Ends at a goal, or when the steps
 * have run out.
 * @param sizes from the largest down, none larger than the room
 * @param known a packing to start from
 */
export function filledByValue(
  sizes: readonly number[],
  room: number,
  known: readonly (readonly number[])[],
  goal: number,
): readonly (readonly number[])[] {
  const bySize = new Map<number, number[]>();
  sizes.forEach((size, index) => bySize.set(size, [...(bySize.get(size) ?? []), index]));
  const sorts = [...bySize].map(([size, all]): Sort => ({ size, all, value: size, left: all.length }));
  let best = known;
  const steps = { left: ALL_STEPS };
  while (best.length > goal && steps.left > 0) {
    for (const sort of sorts) sort.left = sort.all.length;
    const bins: number[][] = [];
    let more = sizes.length;
    while (more > 0 && bins.length < best.length - 1 && steps.left > 0) {
      const set = dearest(sorts, room, steps);
      const used = set.reduce((total, count, at) => total + count * (sorts[at]?.size ?? 0), 0);
      const bin: number[] = [];
      set.forEach((count, at) => {
        const sort = sorts[at];
        if (!sort || count === 0) return;
        bin.push(...sort.all.slice(sort.all.length - sort.left, sort.all.length - sort.left + count));
        sort.left -= count;
        const share = (WEIGHT * (sort.left + sort.all.length)) / count;
        sort.value = (share * sort.value + (sort.size ** LARGER * room) / used) / (share + 1);
      });
      more -= bin.length;
      bins.push(bin);
    }
    if (more === 0) best = bins;
    // What found no room at all was worth too little.
    for (const sort of sorts) if (sort.left > 0) sort.value *= 1 + (0.05 * sort.left) / sort.all.length;
  }
  return best;
}
