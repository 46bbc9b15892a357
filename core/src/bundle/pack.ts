import { packSiblings } from 'd3-hierarchy';
import { packInCorners, type Circle } from './corners.ts';
import { seeded } from '../chance/index.ts';
import { legal, relaxed, type Packing } from './relax.ts';

/** A wire's or body's circle in a cross-section; centre in mm from the bundle's middle. */
export interface PackedCircle {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

export interface PackedBundle {
  readonly circles: readonly PackedCircle[];
  readonly diameterMm: number;
}

/** Up to this many circles the first packing is made corner by corner; above it by a front chain. */
const CORNERS_UP_TO = 24;
/** Up to this many equal or unequal circles the corners are the best known; more are shaken. */
const SHAKE_FROM = 7;
/** Work that shaking may take, in pairs of circles looked at once per round. */
const SHAKES_TIMES_PAIRS = 80_000;
const SHAKES_MOST = 300;
/** What a shake tries to win, as a share of the radius. */
const SQUEEZE = 0.006;

/** A quick packing by a front chain: for bundles too thick to shake. */
export function frontChain(diametersMm: readonly number[]): PackedBundle {
  const order = diametersMm.map((d, index) => ({ index, r: d / 2 })).sort((a, b) => b.r - a.r || a.index - b.index);
  return inOrder(
    legal(packSiblings(order.map(({ r }) => ({ r }))).map(({ x, y, r }) => ({ x, y, r }))),
    (at) => order[at]?.index ?? at,
  );
}

function firstPacking(radii: readonly number[]): Packing {
  if (radii.length <= CORNERS_UP_TO) return legal(packInCorners(radii));
  return legal(packSiblings(radii.map((r) => ({ r }))).map(({ x, y, r }) => ({ x, y, r })));
}

/** Circles shaken one way or another: one put elsewhere, two unlike ones exchanged, or all nudged. */
function shaken(circles: readonly Circle[], radius: number, turn: number, random: () => number): Circle[] {
  const pick = (): number => Math.min(circles.length - 1, Math.floor(random() * circles.length));
  const anywhere = (): { x: number; y: number } => {
    const [angle, out] = [2 * Math.PI * random(), radius * Math.sqrt(random())];
    return { x: out * Math.cos(angle), y: out * Math.sin(angle) };
  };
  if (turn % 4 === 0)
    return circles.map((circle) => ({
      ...circle,
      x: circle.x + 0.3 * circle.r * (random() - 0.5),
      y: circle.y + 0.3 * circle.r * (random() - 0.5),
    }));
  if (turn % 4 === 3) return circles.map((circle) => ({ ...circle, ...anywhere() }));
  const [a, b] = [pick(), pick()];
  const [first, second] = [circles[a], circles[b]];
  const exchange = turn % 4 === 1 && first && second && first.r !== second.r;
  return circles.map((circle, i) => {
    if (exchange) return i === a ? { ...second, r: circle.r } : i === b ? { ...first, r: circle.r } : circle;
    return i === a ? { ...circle, ...anywhere() } : circle;
  });
}

/** The tightest of some shakes. */
function settled(start: Packing, shakes: number): Packing {
  const random = seeded(20_011);
  let best = start;
  for (let turn = 0; turn < shakes; turn += 1) {
    const wall = best.radius * (1 - SQUEEZE);
    const tried = legal(relaxed(shaken(best.circles, wall, turn, random), wall));
    if (tried.radius < best.radius) best = tried;
  }
  return best;
}

/** How many shakes of a bundle of n a number of looked-at pairs allows. */
const shakesFor = (n: number): number =>
  Math.min(SHAKES_MOST, Math.floor((2 * SHAKES_TIMES_PAIRS) / Math.max(1, n * (n - 1))));

function inOrder(packing: Packing, indexOf: (at: number) => number): PackedBundle {
  const circles: PackedCircle[] = [];
  packing.circles.forEach((circle, at) => {
    circles[indexOf(at)] = { xMm: circle.x, yMm: circle.y, diameterMm: 2 * circle.r };
  });
  return { circles, diameterMm: 2 * packing.radius };
}

/**
 * Packs circles into a small enclosing circle: a first packing, thickest first, that is then shaken and squeezed as
 * often as its size allows. Deterministic. No two overlap by more than 1e-9 of the bundle; within 1 % of the best known
 * for 2 to 20 equal wires, not proven smallest beyond.
 * @param diametersMm each > 0; the answer keeps their order
 */
export function packCircles(diametersMm: readonly number[]): PackedBundle {
  const order = diametersMm.map((d, index) => ({ index, r: d / 2 })).sort((a, b) => b.r - a.r || a.index - b.index);
  const n = order.length;
  const first = firstPacking(order.map((one) => one.r));
  const packing = n < SHAKE_FROM ? first : settled(first, shakesFor(n));
  return inOrder(packing, (at) => order[at]?.index ?? at);
}
