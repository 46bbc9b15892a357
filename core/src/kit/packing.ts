/** Lengths that differ by less than this are the same, mm. */
export const GRACE = 1e-9;
/** Steps that a search for a better list may take; what it leaves open is told by the bound. */
export const STEPS = 400_000;

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** Puts each size into the fullest bin that still holds it. */
export function bestFit(
  sizes: readonly number[],
  rooms: readonly number[],
  more: number | undefined,
): number[][] | undefined {
  const left = [...rooms];
  const bins = left.map((): number[] => []);
  for (const [index, size] of sizes.entries()) {
    let best = -1;
    for (let bin = 0; bin < left.length; bin += 1)
      if ((left[bin] ?? 0) >= size - GRACE && (best < 0 || (left[bin] ?? 0) < (left[best] ?? 0))) best = bin;
    if (best < 0) {
      if (more === undefined || size > more + GRACE) return undefined;
      left.push(more);
      bins.push([]);
      best = left.length - 1;
    }
    left[best] = (left[best] ?? 0) - size;
    bins[best]?.push(index);
  }
  return bins;
}

/** So many orders are tried by the quick rule before every room is tried for every size. */
const ORDERS = 40;

/** The quick rule with sizes in other orders, the same ones each time: large ones mostly first. */
function otherOrders(sizes: readonly number[], rooms: readonly number[]): number[][] | undefined {
  let seed = 12_345;
  const random = (): number => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
    return seed / 2_147_483_648;
  };
  for (let at = 0; at < ORDERS; at += 1) {
    const order = sizes
      .map((size, index) => ({ index, key: size * (1 - (0.6 * random() * at) / ORDERS) }))
      .sort((a, b) => b.key - a.key)
      .map(({ index }) => index);
    const bins = bestFit(
      order.map((index) => sizes[index] ?? 0),
      rooms,
      undefined,
    );
    if (bins) return bins.map((bin) => bin.flatMap((place) => order[place] ?? []));
  }
  return undefined;
}

/** Steps that a search may still take. */
interface Steps {
  left: number;
}

/**
 * Whether sizes fit into rooms, room by room, the smallest first: of the sizes that are left every set is tried that
 * leaves no more of it than may be left over in all. Quick where little is left over. Undefined when the steps ran out.
 */
function fillEach(sizes: readonly number[], rooms: readonly number[], steps: Steps): number[][] | false | undefined {
  const order = rooms.map((_, at) => at).sort((a, b) => (rooms[a] ?? 0) - (rooms[b] ?? 0));
  const bins = rooms.map((): number[] => []);
  const isUsed = sizes.map(() => false);
  const fill = (at: number, spare: number): boolean => {
    const bin = order[at];
    if (bin === undefined) return isUsed.every(Boolean);
    const room = rooms[bin] ?? 0;
    const free = sizes.flatMap((_, index) => (isUsed[index] ? [] : [index]));
    if (free.length === 0) return true;
    const rest = [...free, -1].map((_, from) => sum(free.slice(from).map((index) => sizes[index] ?? 0)));
    const own = bins[bin] ?? [];
    // Where all rooms that are left are alike, the largest size may as well lie in this one.
    const isAlike = room > (rooms[order.at(-1) ?? 0] ?? 0) - GRACE;
    const add = (from: number, left: number): boolean => {
      steps.left -= 1;
      // What is left of this room cannot be filled any more, and is more than may be left over.
      if (steps.left < 0 || left - (rest[from] ?? 0) > spare + GRACE) return false;
      let before: number | undefined;
      const last = isAlike && own.length === 0 ? Math.min(1, free.length) : free.length;
      for (let next = from; next < last; next += 1) {
        const index = free[next] ?? 0;
        const size = sizes[index] ?? 0;
        // Of equal sizes the first one stands for all.
        if (size > left + GRACE || size === before) continue;
        before = size;
        own.push(index);
        isUsed[index] = true;
        if (add(next + 1, left - size)) return true;
        isUsed[index] = false;
        own.pop();
        if (steps.left < 0) return false;
      }
      return left <= spare + GRACE && fill(at + 1, spare - left);
    };
    return add(0, room);
  };
  if (fill(0, sum(rooms) - sum(sizes))) return bins;
  return steps.left < 0 ? undefined : false;
}

/**
 * Whether sizes fit into given rooms: by the quick rule, in other orders, room by room, then by trying every room for
 * every size. Undefined when the steps ran out and nothing is proved.
 * @param sizes from the largest down
 */
export function fitInto(
  sizes: readonly number[],
  rooms: readonly number[],
  steps: Steps,
): number[][] | false | undefined {
  const quick = bestFit(sizes, rooms, undefined);
  if (quick) return quick;
  if (sum(sizes) > sum(rooms) + GRACE) return false;
  const other = otherOrders(sizes, rooms);
  if (other) return other;
  const half = { left: Math.floor(steps.left / 2) };
  const filled = fillEach(sizes, rooms, half);
  steps.left -= Math.floor(steps.left / 2) - Math.max(0, half.left);
  if (filled !== undefined) return filled;
  const left = [...rooms];
  const bins = left.map((): number[] => []);
  const rest = sizes.map((_, index) => sum(sizes.slice(index)));
  const put = (index: number, from: number): boolean => {
    const size = sizes[index];
    if (size === undefined) return true;
    steps.left -= 1;
    if (steps.left < 0) return false;
    if (sum(left.map((room) => (room >= (sizes.at(-1) ?? 0) - GRACE ? room : 0))) < (rest[index] ?? 0) - GRACE)
      return false;
    const tried = new Set<number>();
    // Of equal sizes the later one goes no further left: the other way round is the same.
    for (let bin = index > 0 && sizes[index - 1] === size ? from : 0; bin < left.length; bin += 1) {
      const room = left[bin] ?? 0;
      const key = Math.round(room * 1e6);
      if (room < size - GRACE || tried.has(key)) continue;
      tried.add(key);
      left[bin] = room - size;
      bins[bin]?.push(index);
      if (put(index + 1, bin)) return true;
      bins[bin]?.pop();
      left[bin] = room;
      if (steps.left < 0) return false;
    }
    return false;
  };
  return put(0, 0) ? bins : steps.left < 0 ? undefined : false;
}

/** Steps in which the fullest set for one room is looked for. */
const FILLING = 4000;

/**
 * Rooms of one length filled one after the other: the largest size that is left, with those beside it that leave least.
 * No size may be larger than a room. Few rooms, and not always the fewest.
 * @param sizes from the largest down
 */
export function fullestFirst(sizes: readonly number[], room: number): number[][] {
  const bins: number[][] = [];
  let free = sizes.map((_, index) => index);
  while (free.length > 0) {
    const [first = 0, ...others] = free;
    const set = fullestBeside(others, sizes, room - (sizes[first] ?? 0));
    const taken = new Set([first, ...set]);
    bins.push([...taken]);
    free = free.filter((index) => !taken.has(index));
  }
  return bins;
}

/** Of these sizes the set that leaves least of a room, as far as the steps go. */
function fullestBeside(free: readonly number[], sizes: readonly number[], room: number): readonly number[] {
  let best: { readonly left: number; readonly set: readonly number[] } = { left: room, set: [] };
  let steps = FILLING;
  const own: number[] = [];
  const add = (from: number, left: number): void => {
    steps -= 1;
    if (left < best.left - GRACE) best = { left, set: [...own] };
    let before: number | undefined;
    for (let next = from; next < free.length && steps > 0 && best.left > GRACE; next += 1) {
      const index = free[next] ?? 0;
      const size = sizes[index] ?? 0;
      if (size > left + GRACE || size === before) continue;
      before = size;
      own.push(index);
      add(next + 1, left - size);
      own.pop();
    }
  };
  add(0, room);
  return best.set;
}
