import type { Range, Stocked } from '../stock/index.ts';
import type { WireFacts } from '../wire/index.ts';

/** Both limits of a stamped range hold with this tolerance. */
export const RANGE_TOLERANCE = 0.02;

/** The wires that enter a joint from its two sides. */
export interface JointWires {
  readonly left: readonly WireFacts[];
  readonly right: readonly WireFacts[];
}

/** Whether a copper area lies in a range, with 2 % of tolerance at both limits. */
export const holds = (range: Range, areaMm2: number): boolean =>
  areaMm2 >= range.minMm2 * (1 - RANGE_TOLERANCE) - 1e-12 && areaMm2 <= range.maxMm2 * (1 + RANGE_TOLERANCE) + 1e-12;

/** The copper of an end's wires adds up. */
export const sumAreaMm2 = (wires: readonly WireFacts[]): number => wires.reduce((sum, wire) => sum + wire.areaMm2, 0);

/** What decides between parts that hold the same copper; lengths and diameters in mm. */
export interface Figures {
  readonly upperLimitMm2: number;
  readonly diameterMm: number;
  readonly lengthMm: number;
}

/**
 * Parts by preference: lowest upper limit, then thinner, shorter, more in stock. Which line of the shelf they stand on
 * never decides: of parts that are alike in all of these the id does, so that the answer is always the same.
 */
export const byPreference =
  <T extends { readonly id: string; readonly quantity: number }>(figuresOf: (part: T) => Figures) =>
  (a: T, b: T): number => {
    const [one, other] = [figuresOf(a), figuresOf(b)];
    return (
      one.upperLimitMm2 - other.upperLimitMm2 ||
      one.diameterMm - other.diameterMm ||
      one.lengthMm - other.lengthMm ||
      b.quantity - a.quantity ||
      (a.id < b.id ? -1 : Number(a.id > b.id))
    );
  };

/**
 * The parts whose range for all copper together holds every wire of the joint, best first. @param sizeOf how thick and
 * how long one is
 */
export const totalFits = <T extends Pick<Stocked, 'id' | 'quantity'> & { readonly totalRange: Range }>(
  parts: readonly T[],
  totalMm2: number,
  sizeOf: (part: T) => Omit<Figures, 'upperLimitMm2'>,
): readonly T[] =>
  parts
    .filter((part) => holds(part.totalRange, totalMm2))
    .sort(byPreference<T>((part) => ({ upperLimitMm2: part.totalRange.maxMm2, ...sizeOf(part) })));
