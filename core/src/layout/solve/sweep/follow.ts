import type { Window } from '../../../sizing/index.ts';
import { firstFrom, TOUCH_MM, type Piece, type Problem } from '../problem.ts';
import { endsOf, type Label, type Reaching } from './labels.ts';
import type { SweepLimits } from './limits.ts';

/** What lies over one place, by its kinds. */
interface Section {
  readonly bodies: readonly number[];
  readonly covers: readonly number[];
}
const NO_COVERS: readonly number[] = [];

/** The first place of a piece from one on, when its own other body and what lies before leave it. */
function placeFrom(
  fromMm: number,
  { reaching }: Label,
  { rooms }: Piece,
  unit: number,
  clearFromMm: number,
): number | undefined {
  const at = firstFrom(rooms, fromMm);
  if (at === undefined) return undefined;
  const over = reaching.filter((one) => one.endMm > at + TOUCH_MM);
  return over.some((one) => one.unit === unit) || (over.length === 0 && at < clearFromMm - TOUCH_MM) ? undefined : at;
}

/**
 * The places at which a piece can come next: as far left as it goes with one more overlap each; and behind what is on
 * the wires already.
 */
export function places(label: Label, piece: Piece, limits: SweepLimits, unit: number, problem: Problem): number[] {
  const [farthest] = label.reaching;
  const clearFrom = farthest ? farthest.endMm + limits.gapMm : -Infinity;
  const out: number[] = [];
  const ends = [
    ...problem.lying.flatMap(({ toMm }) => [toMm, toMm + limits.gapMm]),
    ...problem.covers.map(({ toMm }) => toMm),
  ];
  for (let overlaps = 0; overlaps < Math.min(limits.over, label.reaching.length + 1); overlaps += 1) {
    const from =
      overlaps === 0
        ? Math.max(clearFrom, label.startMm)
        : Math.max(label.startMm, label.reaching[overlaps]?.endMm ?? label.startMm);
    for (const start of [from, ...ends.filter((mm) => mm > from)]) {
      const at = placeFrom(start, label, piece, unit, clearFrom);
      if (at !== undefined && !out.some((other) => Math.abs(other - at) < TOUCH_MM)) out.push(at);
    }
  }
  return out;
}

/**
 * What is on the wires already beside the bodies of a piece: how often, and what lies over each place where one begins;
 * covers among it, which count for the thickness.
 */
function besideLying(
  over: readonly Reaching[],
  piece: Piece,
  atMm: number,
  { lying, covers }: Problem,
): { readonly pairs: number; readonly sections: readonly Section[] } {
  let pairs = 0;
  const sections: Section[] = [];
  for (const { body, endMm } of endsOf(piece, atMm, -1)) {
    const fromMm = endMm - body.lengthMm;
    const here = lying.filter((one) => one.fromMm < endMm - TOUCH_MM && one.toMm > fromMm + TOUCH_MM);
    pairs += here.length;
    const covered = covers.filter((one) => one.fromMm < endMm - TOUCH_MM && one.toMm > fromMm + TOUCH_MM);
    if (here.length + covered.length === 0) continue;
    const starts = [...here, ...covered].flatMap((one) => (one.fromMm > fromMm ? [one.fromMm] : []));
    for (const placeMm of [fromMm, ...starts]) {
      const isHere = (one: Window): boolean => one.fromMm <= placeMm + TOUCH_MM && one.toMm > placeMm + TOUCH_MM;
      sections.push({
        bodies: [
          body.spec,
          ...over.filter((one) => one.endMm > placeMm + TOUCH_MM).map((one) => one.body.spec),
          ...here.filter(isHere).map((one) => one.spec),
        ],
        covers: covered.filter(isHere).map((one) => one.spec),
      });
    }
  }
  return { pairs, sections };
}

/**
 * What lies over one cross-section with a piece that begins there; the most, when its own bodies come one after the
 * other.
 */
function crowd(over: readonly Reaching[], piece: Piece, atMm: number): Reaching[][] {
  return piece.bodies.map((body) => {
    const start = atMm + body.offsetMm;
    const own = piece.bodies.filter(
      (other) =>
        other !== body &&
        atMm + other.offsetMm <= start + TOUCH_MM &&
        atMm + other.offsetMm + other.lengthMm > start + TOUCH_MM,
    );
    return [
      ...over.filter((one) => one.endMm > start + TOUCH_MM),
      ...[...own, body].map((one) => ({ endMm: atMm + one.offsetMm + one.lengthMm, body: one, unit: -1 })),
    ];
  });
}

/** The label that follows when a piece is placed; none when that goes beyond what is kept to. */
export function follow(
  label: Label,
  piece: Piece,
  key: string,
  unit: number,
  atMm: number,
  limits: SweepLimits,
  problem: Problem,
): Label | undefined {
  const over = label.reaching.filter((one) => one.endMm > atMm + TOUCH_MM);
  const crowds = crowd(over, piece, atMm);
  const old = besideLying(over, piece, atMm, problem);
  const pairs =
    label.pairs +
    piece.pairs +
    old.pairs +
    crowds.reduce((sum, here) => sum + here.filter((one) => one.unit !== -1).length, 0);
  if (pairs > (limits.pairsAtMost ?? Infinity)) return undefined;
  const sections = [
    ...crowds.map((here) => ({ bodies: here.map((one) => one.body.spec), covers: NO_COVERS })),
    ...old.sections,
  ];
  for (const { bodies, covers } of sections) {
    if (bodies.length > limits.over) return undefined;
    if (limits.diameterAtMost !== undefined && problem.diameterMm(bodies) > limits.diameterAtMost + TOUCH_MM)
      return undefined;
    if (
      limits.twoAtMostMm !== undefined &&
      bodies.length > 1 &&
      problem.diameterMm([...bodies, ...covers]) > limits.twoAtMostMm + TOUCH_MM
    )
      return undefined;
  }
  const reaching = [...over, ...endsOf(piece, atMm, unit)]
    .sort((a, b) => b.endMm - a.endMm)
    .slice(0, Math.max(limits.over, piece.bodies.length));
  return { key, pairs, reaching, startMm: atMm, from: label, placed: { piece, atMm } };
}
