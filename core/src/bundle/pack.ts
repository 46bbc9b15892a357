import { packEnclose, packSiblings } from 'd3-hierarchy';

/** A wire's or body's circle in a cross-section; centre in mm from the bundle's middle. */
export interface PackedCircle {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

interface Circle {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

const GRACE = 1e-9;
/** Halvings of the search for the smallest circle: leaves a millionth of the first guess. */
const HALVINGS = 22;

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
 * Tries to lay all circles inside one of radius R: each goes to the corner (touching two others, or one and the wall) that is
 * farthest out, so that the rim fills before the middle.
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
      (at) => Math.hypot(at.x, at.y) <= R - r + 1e-7 * R && placed.every((other) => Math.hypot(at.x - other.x, at.y - other.y) >= other.r + r - 1e-7 * R),
    );
    const best = free.reduce<{ x: number; y: number } | undefined>((far, at) => (!far || Math.hypot(at.x, at.y) > Math.hypot(far.x, far.y) + GRACE ? at : far), undefined);
    if (!best) return undefined;
    placed.push({ ...best, r });
  }
  return placed;
}

/** Up to this many circles the narrowing search is quick; above it a front-chain packing stands in, looser by a few per cent. */
export const SEARCH_UP_TO = 24;

function frontChain(diametersMm: readonly number[]): { readonly circles: PackedCircle[]; readonly diameterMm: number } {
  const packed = packSiblings(diametersMm.map((d, index) => ({ index, r: d / 2 })).sort((a, b) => b.r - a.r || a.index - b.index));
  const round = packEnclose(packed);
  const circles: PackedCircle[] = [];
  for (const circle of packed) circles[circle.index] = { xMm: circle.x - round.x, yMm: circle.y - round.y, diameterMm: 2 * circle.r };
  return { circles, diameterMm: 2 * round.r };
}

/**
 * Packs circles into a small enclosing circle: thickest first into the corners of a circle that is narrowed by halving. Never
 * overlapping by more than 1e-6 of the bundle; for up to seven equal wires the best known, not proven smallest beyond.
 * @param diametersMm each > 0; the answer keeps their order
 */
export function packCircles(diametersMm: readonly number[]): { readonly circles: PackedCircle[]; readonly diameterMm: number } {
  if (diametersMm.length > SEARCH_UP_TO) return frontChain(diametersMm);
  const order = diametersMm.map((d, index) => ({ index, r: d / 2 })).sort((a, b) => b.r - a.r || a.index - b.index);
  const radii = order.map((one) => one.r);
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
  const circles: PackedCircle[] = [];
  best.forEach((circle, at) => {
    const { index = at } = order[at] ?? {};
    circles[index] = { xMm: circle.x, yMm: circle.y, diameterMm: 2 * circle.r };
  });
  return { circles, diameterMm: 2 * high };
}
