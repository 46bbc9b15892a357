import { TOUCH_MM } from './problem.ts';

/**
 * A stretch of a cost function: from a place on, the least cost of all that is placed before it, falling by `slope` per
 * mm; and where the piece that was placed last lies: at the place itself (`tight`) or fixed.
 */
export interface Segment<T> {
  readonly fromMm: number;
  readonly value: number;
  readonly slope: number;
  /** The left edge of the last piece, or none when it ends at the place asked for. */
  readonly fixedMm?: number | undefined;
  readonly source: T;
}

/**
 * Least cost of what is placed, when all of it ends at or before a place. Never rises to the right. Segments from left
 * to right, the last without end.
 */
export type CostFunction<T> = readonly Segment<T>[];

const SMALL = 1e-9;

export const startOf = <T>(fn: CostFunction<T>): number => fn[0]?.fromMm ?? Infinity;

const at = <T>(segment: Segment<T>, mm: number): number => segment.value + segment.slope * (mm - segment.fromMm);

/** The segment that holds at a place. */
export function segmentAt<T>(fn: CostFunction<T>, mm: number): Segment<T> | undefined {
  let found: Segment<T> | undefined;
  for (const segment of fn) {
    if (segment.fromMm > mm + TOUCH_MM) break;
    found = segment;
  }
  return found;
}

export const valueAt = <T>(fn: CostFunction<T>, mm: number): number => {
  const segment = segmentAt(fn, mm);
  return segment ? at(segment, Math.max(mm, segment.fromMm)) : Infinity;
};

/** The least cost there is, wherever all of it ends. */
export const leastOf = <T>(fn: CostFunction<T>): number => fn.at(-1)?.value ?? Infinity;

export interface Extension<T> {
  /** Left edges that the piece may take. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly lengthMm: number;
  readonly gapMm: number;
  /** Cost of the piece at 0, and per mm to the right. */
  readonly base: number;
  readonly slope: number;
  readonly source: T;
}

/** The cost with one more piece at the right of all others: the least over all its places that end in time. */
export function extended<T>(before: CostFunction<T> | undefined, piece: Extension<T>): CostFunction<T> {
  const { lengthMm, source } = piece;
  const shift = piece.gapMm;
  const lo = before ? Math.max(piece.fromMm, startOf(before) + shift) : piece.fromMm;
  if (lo > piece.toMm + TOUCH_MM) return [];
  const hi = Math.max(lo, piece.toMm);
  const out: Segment<T>[] = [];
  let least = Infinity;
  let leastAt = lo;
  const parts: readonly { readonly from: number; readonly value: number; readonly slope: number }[] = before
    ? before.map((segment) => ({ from: segment.fromMm + shift, value: segment.value, slope: segment.slope }))
    : [{ from: lo, value: 0, slope: 0 }];
  parts.forEach((part, index) => {
    const next = parts[index + 1];
    const xa = Math.max(part.from, lo);
    const xb = Math.min(next ? next.from : Infinity, hi);
    if (xb < xa - SMALL) return;
    const slope = piece.slope + part.slope;
    const ha = piece.base + piece.slope * xa + part.value + part.slope * (xa - part.from);
    const hb = ha + slope * (xb - xa);
    if (slope >= -SMALL) {
      if (ha < least - SMALL) {
        [least, leastAt] = [ha, xa];
        out.push({ fromMm: xa + lengthMm, value: least, slope: 0, fixedMm: leastAt, source });
      }
      return;
    }
    if (hb >= least - SMALL) return;
    const crossing = ha <= least ? xa : xa + (ha - least) / -slope;
    out.push({ fromMm: crossing + lengthMm, value: Math.min(ha, least), slope, source });
    [least, leastAt] = [hb, xb];
    out.push({ fromMm: xb + lengthMm, value: least, slope: 0, fixedMm: leastAt, source });
  });
  return out;
}

function pushMerged<T>(out: Segment<T>[], segment: Segment<T>): void {
  const last = out.at(-1);
  const isSame = last !== undefined && last.source === segment.source;
  if (
    isSame &&
    last.fixedMm === segment.fixedMm &&
    Math.abs(last.slope - segment.slope) < SMALL &&
    Math.abs(at(last, segment.fromMm) - segment.value) < SMALL
  )
    return;
  if (last && segment.fromMm - last.fromMm < SMALL) out.pop();
  out.push(segment);
}

const cutFrom = <T>(segment: Segment<T>, fromMm: number): Segment<T> => ({
  fromMm,
  value: at(segment, fromMm),
  slope: segment.slope,
  fixedMm: segment.fixedMm,
  source: segment.source,
});

/** The less of two cost functions at every place. */
export function lessOf<T>(a: CostFunction<T>, b: CostFunction<T>): CostFunction<T> {
  if (a.length === 0) return b;
  if (b.length === 0) return a;
  const out: Segment<T>[] = [];
  let [i, j] = [-1, -1];
  let mm = Math.min(startOf(a), startOf(b));
  for (;;) {
    while ((a[i + 1]?.fromMm ?? Infinity) <= mm + SMALL) i += 1;
    while ((b[j + 1]?.fromMm ?? Infinity) <= mm + SMALL) j += 1;
    const next = Math.min(a[i + 1]?.fromMm ?? Infinity, b[j + 1]?.fromMm ?? Infinity);
    const [sa, sb] = [a[i], b[j]];
    if (!sa || !sb) {
      const only = sa ?? sb;
      if (only) pushMerged(out, cutFrom(only, mm));
    } else {
      const [va, vb] = [at(sa, mm), at(sb, mm)];
      const [first, second] =
        va <= vb + SMALL && !(Math.abs(va - vb) <= SMALL && sb.slope < sa.slope - SMALL) ? [sa, sb] : [sb, sa];
      pushMerged(out, cutFrom(first, mm));
      if (second.slope < first.slope - SMALL) {
        const crossing = mm + (at(second, mm) - at(first, mm)) / (first.slope - second.slope);
        if (crossing > mm + SMALL && crossing < next - SMALL) pushMerged(out, cutFrom(second, crossing));
      }
    }
    if (next === Infinity) return out;
    mm = next;
  }
}
