import { expect, test } from 'vitest';
import { packCircles } from './pack.ts';

/**
 * Sections of wires and bodies, and how far across another method packs them: overlaps as a penalty, from twelve random
 * starts each, then a general solver until nothing overlaps.
 */
const SECTIONS = [
  {
    acrossMm: 13.455,
    wiresMm: [
      1.8, 1.4, 1.4, 3.4, 3.4, 2.6, 2.6, 1.8, 1.8, 1.4, 1.8, 1.8, 2.2, 2.6, 1.8, 1.4, 1.4, 1.4, 3.4, 2.6, 2.6, 2.2, 1.4,
      5.2, 2.6,
    ],
  },
  {
    acrossMm: 16.62,
    wiresMm: [
      1.4, 2.6, 2.6, 2.2, 6.1, 3.4, 1.4, 1.4, 1.4, 2.6, 3.4, 1.8, 3.4, 1.8, 1.4, 1.8, 1.4, 2.6, 2.6, 3.4, 2.6, 1.4, 3.4,
      6.9, 1.4, 1.8, 2.6,
    ],
  },
  {
    acrossMm: 13.61,
    wiresMm: [
      2.6, 1.4, 2.2, 1.8, 1.8, 6.1, 2.2, 2.6, 2.6, 1.8, 1.4, 2.6, 1.8, 3.4, 1.8, 1.8, 2.2, 3.4, 1.8, 1.4, 1.4, 2.2, 3.4,
    ],
  },
  { acrossMm: 14.003, wiresMm: [3.4, 6.9, 3.4, 1.4, 3.4, 1.8, 5.2, 6.1] },
  { acrossMm: 15.6, wiresMm: [1.8, 1.8, 2.6, 3.4, 1.4, 7.8, 3.4, 1.4, 1.4, 7.8, 1.4] },
  { acrossMm: 13, wiresMm: [1.4, 1.8, 6.9, 1.4, 3.4, 1.4, 2.6, 6.1, 1.8, 1.4, 2.2, 1.8] },
  { acrossMm: 11.3, wiresMm: [2.2, 6.1, 2.6, 2.2, 2.6, 5.2] },
  { acrossMm: 12.2, wiresMm: [6.1, 6.1, 1.8, 3.4, 3.4, 1.4, 1.8] },
  { acrossMm: 13.222, wiresMm: [1.4, 6.1, 3.4, 2.6, 2.2, 3.4, 2.6, 1.4, 2.6, 6.9] },
  { acrossMm: 14.77, wiresMm: [2.2, 3.4, 3.4, 1.4, 1.8, 3.4, 2.6, 2.6, 6.1, 1.8, 2.6, 1.8, 1.8, 3.4, 6.9] },
  {
    acrossMm: 16.919,
    wiresMm: [2.6, 6.9, 1.8, 2.6, 1.4, 3.4, 2.6, 1.8, 1.8, 2.6, 2.6, 2.2, 2.6, 7.8, 3.4, 1.8, 3.4, 2.2, 1.8, 3.4, 2.6],
  },
  {
    acrossMm: 13.349,
    wiresMm: [
      1.8, 1.4, 1.4, 1.8, 1.4, 2.6, 3.4, 2.2, 1.4, 5.2, 1.4, 1.8, 3.4, 1.8, 1.4, 2.6, 2.2, 2.6, 3.4, 3.4, 3.4, 1.4,
    ],
  },
] as const;

test.each(SECTIONS)('a section that another method packs to $acrossMm mm is no more than 1 % thicker', (section) => {
  const { diameterMm, circles } = packCircles(section.wiresMm);
  expect(diameterMm).toBeLessThanOrEqual(1.01 * section.acrossMm);
  expect(circles.map((circle) => circle.diameterMm)).toEqual([...section.wiresMm]);
});
