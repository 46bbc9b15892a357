export { mmToInches, inchesToMm, newtonsToPoundsForce, MM_PER_INCH, NEWTONS_PER_POUND_FORCE } from './convert.ts';
export { figure, formatMm, formatArea, roundTo, ceilTo } from './figures.ts';
export { someOf } from './some.ts';
export { capital, counted, fileSize } from './counted.ts';
