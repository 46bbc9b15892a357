/** Millimetres in one inch, exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4;

/** Newtons in one pound-force, exact: 0.45359237 kg · 9.80665 m/s². */
export const NEWTONS_PER_POUND_FORCE = 4.4482216152605;

/** Length in inches of a length in millimetres. Exact but for floating point. */
export const mmToInches = (mm: number): number => mm / MM_PER_INCH;

/** Length in millimetres of a length in inches. Exact but for floating point. */
export const inchesToMm = (inches: number): number => inches * MM_PER_INCH;

/** Force in pound-force of a force in newtons. */
export const newtonsToPoundsForce = (newtons: number): number => newtons / NEWTONS_PER_POUND_FORCE;
