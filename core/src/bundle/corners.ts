/** A circle of a packing: centre from the middle of the bundle, and radius. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

const GRACE = 1e-9;
/** Halvings of the search for the smallest circle: leaves less of the first guess than shaking wins anyhow. */
const HALVINGS = 12;

/** Centres at distance p from a and q from b; none, or the two of them. */
function meeting(a: Circle, p: number, b: Circle, q: number): { x: number; y: number }[] {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const d = Math.hypot(dx, dy);
  if (d < GRACE || d > p + q + GRACE || d < Math.abs(p - q) - GRACE) return [];
  const along = (d * d + p * p - q * q) / (2 * d);
  const off = Math.sqrt(Math.max(0, p * p - along * along));
  const [ux, uy] = [dx / d, dy / d];
  return [1, -1].map((sign) => ({ x: a.x + along * ux - sign * off * uy, y: a.y + along * uy + sign * off * ux }));
}

/**
 * Tries to lay all circles inside one of radius R: each goes to the corner (touching two others, or one and the wall)
 * that is farthest out, so that the rim fills before the middle.
 */
function fitInside(radii: readonly number[], R: number): Circle[] | undefined {
  const wall: Circle = { x: 0, y: 0, r: R };
  const placed: Circle[] = [];
  for (const r of radii) {
    if (r > R + GRACE) return undefined;
    const [first] = placed;
    const corners = first
      ? placed.flatMap((a, i) => [
          ...meeting(wall, R - r, a, a.r + r),
          ...placed.slice(i + 1).flatMap((b) => meeting(a, a.r + r, b, b.r + r)),
        ])
      : [{ x: R - r, y: 0 }];
    const free = corners.filter(
      (at) =>
        Math.hypot(at.x, at.y) <= R - r + 1e-7 * R &&
        placed.every((other) => Math.hypot(at.x - other.x, at.y - other.y) >= other.r + r - 1e-7 * R),
    );
    const best = free.reduce<{ x: number; y: number } | undefined>(
      (far, at) => (!far || Math.hypot(at.x, at.y) > Math.hypot(far.x, far.y) + GRACE ? at : far),
      undefined,
    );
    if (!best) return undefined;
    placed.push({ ...best, r });
  }
  return placed;
}

/**
 * A first packing, thickest first into the corners of a circle that is narrowed by halving.
 * @param radii from the largest down
 */
export function packInCorners(radii: readonly number[]): Circle[] {
  const [largest = 0, second = 0] = radii;
  let low = largest + second;
  let high = radii.reduce((sum, r) => sum + r, 0);
  let best = fitInside(radii, low);
  if (best) high = low;
  else best = fitInside(radii, high) ?? [];
  for (let i = 0; i < HALVINGS && high - low > 1e-7 * high; i += 1) {
    const middle = (low + high) / 2;
    const found = fitInside(radii, middle);
    if (found) [best, high] = [found, middle];
    else low = middle;
  }
  return best;
}
