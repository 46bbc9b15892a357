import { figure } from '../units/index.ts';

/**
 * How big the copper is, as it was found out. The three bases are kept apart because they are not the same:
 * a metric area, a true American gauge (copper computed by ASTM B258), and a trade label (SAE J1128), where
 * "16" stands for 1.0 mm² and not for the 1.31 mm² of true gauge 16.
 */
export type WireSize =
  | { readonly basis: 'metric'; readonly areaMm2: number }
  | { readonly basis: 'awg'; readonly awg: number; readonly areaMm2?: number | undefined }
  | { readonly basis: 'trade'; readonly awg: number; readonly areaMm2?: number | undefined };

/** Metric conductor sizes, mm² (ISO 6722-1 / ISO 19642). */
export const METRIC_SIZES_MM2: readonly number[] = [
  0.13, 0.22, 0.35, 0.5, 0.75, 0.8, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 13, 16, 19, 20, 25, 35, 50, 70, 95,
];

/** Trade labels and the metric copper they stand for, mm² (SAE J1128). */
export const TRADE_PAIRS_MM2: ReadonlyMap<number, number> = new Map([
  [22, 0.35],
  [20, 0.5],
  [18, 0.8],
  [16, 1],
  [14, 2],
  [12, 3],
  [10, 5],
  [8, 8],
  [6, 13],
  [4, 19],
]);

/** New copper may be down to this share of the old and still count as "not smaller". */
export const NEVER_SMALLER_SHARE = 0.95;

/** Largest and smallest gauges handled: 1/0 is written 0, 2/0 as -1, 4/0 as -3. */
export const LARGEST_AWG = -3;
export const SMALLEST_AWG = 30;

/** Gauges that wire is made in: the even ones, and all from 1 up; thinnest first. */
const GAUGES_MADE = Array.from({ length: SMALLEST_AWG - LARGEST_AWG + 1 }, (_, i) => SMALLEST_AWG - i).filter(
  (awg) => awg % 2 === 0 || awg <= 1,
);

/** A label area may differ this much from its gauge before the two are said to disagree. */
const AREA_AGREES_SHARE = 0.05;

/**
 * Solid diameter of gauge n in mm: 0.127 · 92^((36−n)/39) (ASTM B258).
 * @throws RangeError if the gauge is not a whole number from 4/0 (-3) to 30
 * @example awgDiameterMm(20) // => 0.8118
 */
export function awgDiameterMm(awg: number): number {
  if (!Number.isInteger(awg) || awg < LARGEST_AWG || awg > SMALLEST_AWG) {
    throw new RangeError(`Gauge ${awg} is not known: AWG runs in whole numbers from 4/0 (-3) to ${SMALLEST_AWG}.`);
  }
  return 0.127 * 92 ** ((36 - awg) / 39);
}

/** Copper area of gauge n in mm², π d²/4 of the solid diameter (ASTM B258). `awgAreaMm2(16)` is 1.309. */
export const awgAreaMm2 = (awg: number): number => (Math.PI * awgDiameterMm(awg) ** 2) / 4;

/**
 * Copper area in mm² that a size stands for: the label of a metric size, the computed area of a true gauge,
 * the paired metric size of a trade label.
 * @throws RangeError on a gauge or trade label that does not exist
 */
export function areaMm2(size: WireSize): number {
  switch (size.basis) {
    case 'metric':
      return size.areaMm2;
    case 'awg':
      return awgAreaMm2(size.awg);
    case 'trade': {
      const area = TRADE_PAIRS_MM2.get(size.awg);
      if (area === undefined) {
        throw new RangeError(
          `Trade label ${size.awg} is not known: labels are ${[...TRADE_PAIRS_MM2.keys()].join(', ')}.`,
        );
      }
      return area;
    }
  }
}

/** The size in words, with the basis that was measured: "2.5 mm²", "AWG 16 (1.31 mm² copper)", "trade 16 (1 mm²)". */
export function sizeInWords(size: WireSize): string {
  switch (size.basis) {
    case 'metric':
      return `${figure(size.areaMm2, 3)} mm²`;
    case 'awg':
      return `AWG ${awgLabel(size.awg)} (${figure(awgAreaMm2(size.awg))} mm² copper)`;
    case 'trade':
      return `trade ${size.awg} (${figure(areaMm2(size))} mm²)`;
  }
}

/** A gauge as it is written: 16, or 2/0 for -1. */
export const awgLabel = (awg: number): string => (awg > 0 ? String(awg) : `${1 - awg}/0`);

/**
 * Whether `next` has less copper than a repair of `old` may have: under 0.95 of its area. Two trade labels are
 * compared label with label, so that the label's rounding cannot refuse the same wire.
 */
export function isSmaller(next: WireSize, old: WireSize): boolean {
  if (next.basis === 'trade' && old.basis === 'trade') return next.awg > old.awg;
  return areaMm2(next) < NEVER_SMALLER_SHARE * areaMm2(old) - 1e-12;
}

/**
 * The smallest size that may stand in for `old`, in the series of the `refused` wire; none if the series ends below it.
 */
export function nextSizeThatWouldDo(refused: WireSize, old: WireSize): WireSize | undefined {
  const series: WireSize[] =
    refused.basis === 'metric'
      ? METRIC_SIZES_MM2.map((area) => ({ basis: 'metric', areaMm2: area }))
      : refused.basis === 'awg'
        ? GAUGES_MADE.map((awg) => ({ basis: 'awg', awg }))
        : [...TRADE_PAIRS_MM2.keys()].sort((a, b) => b - a).map((awg) => ({ basis: 'trade', awg }));
  return series.find((size) => !isSmaller(size, old));
}

/**
 * What is wrong when a gauge is given together with an area that it does not stand for; nothing when they agree
 * within 5 % or only one was given. Says which basis would make them agree, because the usual cause is a trade
 * label read as a gauge.
 */
export function sizeDisagreement(size: WireSize): string | undefined {
  if (size.basis === 'metric' || size.areaMm2 === undefined) return undefined;
  const meant = areaMm2(size);
  if (Math.abs(size.areaMm2 - meant) <= AREA_AGREES_SHARE * meant) return undefined;
  const other: WireSize | undefined =
    size.basis === 'awg'
      ? TRADE_PAIRS_MM2.has(size.awg)
        ? { basis: 'trade', awg: size.awg }
        : undefined
      : { basis: 'awg', awg: size.awg };
  const fits = other && Math.abs(size.areaMm2 - areaMm2(other)) <= AREA_AGREES_SHARE * areaMm2(other);
  const remedy = fits
    ? `It agrees with ${sizeInWords(other)}: set the basis to "${other.basis}".`
    : 'Measure the copper and give one of the two.';
  return `${sizeInWords(size)} and the area ${figure(size.areaMm2, 3)} mm² disagree. ${remedy}`;
}

/**
 * Sizes of `next`'s own series by which it is larger than `old`: 0 when it is not. `stepsUp(4, 2.5)` is 2 (3, then 4).
 */
export function stepsUp(next: WireSize, old: WireSize): number {
  const [from, to] = [areaMm2(old), areaMm2(next)];
  const series =
    next.basis === 'metric'
      ? METRIC_SIZES_MM2
      : next.basis === 'trade'
        ? [...TRADE_PAIRS_MM2.values()]
        : GAUGES_MADE.map(awgAreaMm2);
  return series.filter((area) => area > from * 1.05 && area <= to * 1.000001).length;
}
