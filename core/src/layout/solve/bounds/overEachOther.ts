import { findingOf } from '../../types.ts';
import { TOUCH_MM, type Body, type Piece, type Problem } from '../problem.ts';

/** Of so many bodies each is asked with which others it may lie; of more it takes too long. */
const ASKED_UP_TO = 60;
/** Beside covers a bundle is packed otherwise: what is hardly too thick without them is not counted. */
const COVER_GRACE = 1.02;

const lengthOf = (bodies: readonly Body[]): number => bodies.reduce((sum, { lengthMm }) => sum + lengthMm, 0);

/** Bodies that may lie over none of the others: two would be too thick for the conduit, whichever it is. */
function alone(bodies: readonly Body[], problem: Problem, twoAtMostMm: number): ReadonlySet<Body> {
  if (twoAtMostMm === Infinity || bodies.length > ASKED_UP_TO) return new Set();
  const mostMm = twoAtMostMm * (problem.covers.length > 0 ? COVER_GRACE : 1) + TOUCH_MM;
  return new Set(
    bodies.filter((body) =>
      bodies.every(
        (other) => findingOf(other.id) === findingOf(body.id) || problem.diameterMm([body.spec, other.spec]) > mostMm,
      ),
    ),
  );
}

/**
 * The shortest stretch that holds bodies with so many over one place at most: those that may lie over none count whole,
 * of the others as many as there are layers share a place, and a finding's own never do.
 * @param twoAtMostMm how thick the bundle may be where two lie over one place
 */
export function shortestOver(pieces: readonly Piece[], problem: Problem, layers: number, twoAtMostMm: number): number {
  const bodies = pieces.flatMap((piece) => piece.bodies);
  const single = alone(bodies, problem, twoAtMostMm);
  const others = bodies.filter((body) => !single.has(body));
  const own = new Map<string, number>();
  for (const { id, lengthMm } of others) own.set(findingOf(id), (own.get(findingOf(id)) ?? 0) + lengthMm);
  return lengthOf(bodies.filter((body) => single.has(body))) + Math.max(lengthOf(others) / layers, 0, ...own.values());
}
