import { cavitiesOf } from './numbering.ts';
import type { ConnectorFace, Direction, FaceView, LatchDirection, SeenCavity } from './types.ts';

/** Quarter turns clockwise from latch up. */
const TURNS: Record<LatchDirection, number> = { up: 0, right: 1, down: 2, left: 3 };

/** Turned clockwise, y down; quarter turns come out exact. */
function turned({ x, y }: { x: number; y: number }, deg: number): { x: number; y: number } {
  const quarters = (((deg / 90) % 4) + 4) % 4;
  const [cos, sin] = Number.isInteger(quarters)
    ? ([
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ][quarters] as [number, number])
    : [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const at = { x: x * cos - y * sin, y: x * sin + y * cos };
  return { x: at.x === 0 ? 0 : at.x, y: at.y === 0 ? 0 : at.y };
}

/**
 * The cavities as they are seen in a view. The connector is turned so that its latch, key, rib or notch is up; from the
 * other side than the described one everything is mirrored about that axis, so that the latch stays where it is; then it
 * is turned so that its latch points as it is held. Numbers belong to cavities: they never change with the view.
 */
export const seenCavities = (face: ConnectorFace, view: FaceView): SeenCavity[] =>
  cavitiesOf(face).map(({ cavity, ...place }) => {
    const { x, y } = turned(place, -(face.latchDeg ?? 0));
    const isDescribed = view.side === (face.describedFrom ?? 'mating');
    return { cavity, ...turned({ x: isDescribed ? x : -x, y }, 90 * TURNS[view.latch]) };
  });

/** Nearer than this, in both directions, two squares of a cavity's width would touch; cavity widths. */
const APART = 0.95;

/**
 * Cavities moved apart, all alike, until squares of their width lie side by side when they are drawn: on a ring, and in a
 * grid that is turned by an angle, they are nearer than that.
 */
export function movedApart<T extends { readonly x: number; readonly y: number }>(seen: readonly T[]): T[] {
  let nearest = APART;
  seen.forEach((one, at) => {
    for (const other of seen.slice(at + 1))
      nearest = Math.min(nearest, Math.max(Math.abs(one.x - other.x), Math.abs(one.y - other.y)));
  });
  // Free places may lie on one another: those stay.
  const wider = nearest > 0 ? APART / nearest : 1;
  return seen.map((one) => ({ ...one, x: one.x * wider, y: one.y * wider }));
}

/**
 * The same view from the other side, with the latch still where it points: left and right, or above and below, change
 * places.
 */
export const otherSide = (view: FaceView): FaceView => ({ ...view, side: view.side === 'wire' ? 'mating' : 'wire' });

/** The connector turned a quarter clockwise in the hand. */
export function turnedOn(view: FaceView): FaceView {
  const next: Record<LatchDirection, LatchDirection> = { up: 'right', right: 'down', down: 'left', left: 'up' };
  return { ...view, latch: next[view.latch] };
}

/**
 * The mate's face: the mirror image with the same numbers, so that each cavity meets its own. Seen on the mate's mating
 * side with its latch up, a cavity lies where it lies on this connector's wire side.
 */
export function mateCavities(face: ConnectorFace, view: FaceView): SeenCavity[] {
  return seenCavities(face, otherSide(view));
}

const AXIS: Record<Direction, { readonly x: number; readonly y: number }> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  above: { x: 0, y: -1 },
  below: { x: 0, y: 1 },
};

/** How far off a straight line a neighbour may lie, as a share of its distance along it. */
const CONE = 0.6;

/**
 * The cavity next to another in a view, in a direction: the nearest that lies that way (straight ahead before aside);
 * across a place that is not there, the next one beyond it. None at an edge.
 * @throws RangeError when there is no such cavity
 */
export function neighbour(seen: readonly SeenCavity[], cavity: string, direction: Direction): string | undefined {
  const from = seen.find((one) => one.cavity === cavity);
  if (!from)
    throw new RangeError(`There is no cavity ${cavity}: cavities are ${seen.map((one) => one.cavity).join(', ')}.`);
  const axis = AXIS[direction];
  const ahead = seen.flatMap((one) => {
    const [dx, dy] = [one.x - from.x, one.y - from.y];
    const along = dx * axis.x + dy * axis.y;
    const aside = Math.abs(dx * axis.y) + Math.abs(dy * axis.x);
    return along > 1e-9 && aside <= CONE * along + 1e-9 ? [{ cavity: one.cavity, far: along + 2 * aside }] : [];
  });
  return ahead.reduce<{ cavity: string; far: number } | undefined>(
    (best, one) => (!best || one.far < best.far - 1e-9 ? one : best),
    undefined,
  )?.cavity;
}

/** What a view shows, in words: which side, who stands where, and where the latch points. */
export function viewInWords({ side, latch }: FaceView): string {
  const what =
    side === 'wire'
      ? 'Wire side: the wires come towards you'
      : 'Mating side: you look into the front, where the mate goes in';
  return `${what}; latch ${latch === 'up' || latch === 'down' ? latch : `to the ${latch}`}.`;
}
