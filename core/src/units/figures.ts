/**
 * Rounds to `digits` decimals, ties away from zero, with 1e-9 of grace so that 36.7 - 0.2 shows as 36.5.
 * For display and for stored plan figures only; sums are made on unrounded values.
 */
export function roundTo(value: number, digits: number): number {
  const scale = 10 ** digits;
  return (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale;
}

/** Rounds up to the next whole number, with 1e-9 of grace for floats. `ceilTo(37.0000000001)` is 37. */
export const ceilTo = (value: number): number => Math.ceil(value - 1e-9);

/**
 * A figure as text with at most `digits` decimals and no trailing zeros: `figure(7, 1)` is "7", `figure(3.75, 2)` is
 * "3.75".
 */
export const figure = (value: number, digits = 2): string => String(roundTo(value, digits));

/** A length as shown to people: whole millimetres without decimals, others with one (7.0 mm strips keep theirs). */
export const formatMm = (mm: number, digits = 1): string => `${figure(mm, digits)} mm`;

/** A copper area as shown to people, at most three decimals. */
export const formatArea = (areaMm2: number): string => `${figure(areaMm2, areaMm2 < 1 ? 3 : 2)} mm²`;
