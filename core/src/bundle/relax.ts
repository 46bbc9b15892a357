import { packEnclose } from 'd3-hierarchy';
import type { Circle } from './corners.ts';

/** Rounds of pushing apart in one relaxation. */
const ROUNDS = 100;
/** Overlap, as a share of the radius of the whole, at which a relaxation has settled. */
const SETTLED = 1e-7;

/** Circles round the middle of their smallest enclosing circle, and its radius. */
export interface Packing {
  readonly circles: readonly Circle[];
  readonly radius: number;
}

/**
 * A packing made legal: spread until no two circles overlap, and moved to the middle. What was legal stays as tight as
 * it was.
 */
export function legal(circles: readonly Circle[]): Packing {
  let spread = 1;
  circles.forEach((a, i) => {
    for (let j = i + 1; j < circles.length; j += 1) {
      const b = circles[j];
      if (b)
        spread = Math.max(spread, ((a.r + b.r) * (a.r + b.r)) / Math.max(1e-24, (a.x - b.x) ** 2 + (a.y - b.y) ** 2));
    }
  });
  const factor = Math.sqrt(spread);
  const apart = circles.map((circle) => ({ x: circle.x * factor, y: circle.y * factor, r: circle.r }));
  const round = packEnclose(apart.map((circle) => ({ ...circle })));
  const middled = apart.map((circle) => ({ x: circle.x - round.x, y: circle.y - round.y, r: circle.r }));
  return {
    circles: middled,
    radius: Math.max(0, ...middled.map((circle) => Math.hypot(circle.x, circle.y) + circle.r)),
  };
}

/**
 * Pushes circles apart and in from a wall of that radius, each pair by half of its overlap, until they settle or the
 * rounds are used up. The places may still overlap a little: `legal` mends that.
 */
export function relaxed(circles: readonly Circle[], wallRadius: number, rounds = ROUNDS): Circle[] {
  const n = circles.length;
  const x = Float64Array.from(circles, (circle) => circle.x);
  const y = Float64Array.from(circles, (circle) => circle.y);
  const r = Float64Array.from(circles, (circle) => circle.r);
  const at = (list: Float64Array, i: number): number => list[i] ?? 0;
  for (let round = 0; round < rounds; round += 1) {
    let worst = 0;
    for (let i = 0; i < n; i += 1) {
      const ri = at(r, i);
      for (let j = i + 1; j < n; j += 1) {
        const dx = at(x, j) - at(x, i);
        const dy = at(y, j) - at(y, i);
        const touch = ri + at(r, j);
        const square = dx * dx + dy * dy;
        if (square >= touch * touch) continue;
        const apart = Math.sqrt(square);
        const overlap = touch - apart;
        if (overlap > worst) worst = overlap;
        // A little more than half each: settles sooner.
        const push = (0.55 * overlap) / (apart + 1e-12);
        const px = dx * push + (apart < 1e-9 ? 1e-6 * (j + 1) : 0);
        const py = dy * push;
        x[i] = at(x, i) - px;
        y[i] = at(y, i) - py;
        x[j] = at(x, j) + px;
        y[j] = at(y, j) + py;
      }
      const out = Math.sqrt(at(x, i) * at(x, i) + at(y, i) * at(y, i));
      const most = wallRadius - ri;
      if (out > most) {
        if (out - most > worst) worst = out - most;
        x[i] = (at(x, i) * most) / out;
        y[i] = (at(y, i) * most) / out;
      }
    }
    if (worst < SETTLED * wallRadius) break;
  }
  return circles.map((circle, i) => ({ x: at(x, i), y: at(y, i), r: circle.r }));
}
