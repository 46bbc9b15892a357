import { firstFrom, TOUCH_MM, type Body, type Placed, type Piece, type Problem } from './problem.ts';
import type { Following } from './orders.ts';
import { idleFrom, keyAfter, type Rest } from './steps.ts';

/** What a sweep keeps to. */
export interface SweepLimits {
  /** Most bodies over one cross-section. */
  readonly over: number;
  /** Clear distance between bodies that do not overlap, mm. */
  readonly gapMm: number;
  readonly pairsAtMost?: number | undefined;
  readonly bodiesAtMost?: number | undefined;
  /** Thickest that the bundle may become, mm. */
  readonly diameterAtMost?: number | undefined;
  /** Where the first body may begin at the earliest. */
  readonly fromMm?: number | undefined;
  /**
   * Of all that keep to these limits the one that ends first is wanted, not the one with the fewest pairs and bodies.
   */
  readonly earliestEnd?: boolean | undefined;
  /** Labels kept in one layer; more are cut, and the sweep is then no proof. */
  readonly beam: number;
}

/** A body that reaches beyond the last start. */
interface Reaching {
  readonly endMm: number;
  readonly body: Body;
  readonly unit: number;
}

interface Label {
  readonly key: string;
  readonly pairs: number;
  /** Ends that matter still, farthest first. */
  readonly reaching: readonly Reaching[];
  readonly startMm: number;
  readonly from?: Label | undefined;
  readonly placed?: Placed | undefined;
}

export interface SweepResult {
  /** From left to right; none when nothing was found. */
  readonly placed?: readonly Placed[] | undefined;
  readonly pairs: number;
  readonly bodies: number;
  /** Whether nothing was cut: then what was not found is not there. */
  readonly complete: boolean;
}

const endsOf = (piece: Piece, atMm: number, unit: number): Reaching[] =>
  piece.bodies.map((body) => ({ endMm: atMm + body.offsetMm + body.lengthMm, body, unit }));

/** Whether what follows one label can follow the other as well or better. */
function dominates(a: Label, b: Label): boolean {
  if (a.pairs > b.pairs || a.startMm > b.startMm + TOUCH_MM) return false;
  return a.reaching.every((end, index) => {
    const other = b.reaching[index];
    return other !== undefined && end.endMm <= other.endMm + TOUCH_MM;
  });
}

/** With limits to the diameter, which bodies overlap matters, and with own bodies, whose they are. */
const sameBodies = (a: Label, b: Label): boolean =>
  a.reaching.every((end) => b.reaching.some((other) => other.body === end.body));

const beats = (one: Label, other: Label, strict: boolean): boolean =>
  dominates(one, other) && (!strict || sameBodies(one, other));

function put(layer: Map<string, Label[]>, label: Label, strict: boolean): boolean {
  const there = layer.get(label.key);
  if (!there) {
    layer.set(label.key, [label]);
    return true;
  }
  if (there.some((other) => beats(other, label, strict))) return false;
  const kept = there.filter((other) => !beats(label, other, strict));
  kept.push(label);
  layer.set(label.key, kept);
  return true;
}

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
function places(label: Label, piece: Piece, limits: SweepLimits, unit: number, lying: Problem['lying']): number[] {
  const [farthest] = label.reaching;
  const clearFrom = farthest ? farthest.endMm + limits.gapMm : -Infinity;
  const out: number[] = [];
  const ends = lying.flatMap(({ toMm }) => [toMm, toMm + limits.gapMm]);
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

/** What is on the wires already beside the bodies of a piece: how often, and what lies over each place where one begins. */
function besideLying(
  over: readonly Reaching[],
  piece: Piece,
  atMm: number,
  lying: Problem['lying'],
): { readonly pairs: number; readonly specs: readonly (readonly number[])[] } {
  let pairs = 0;
  const specs: number[][] = [];
  for (const { body, endMm } of endsOf(piece, atMm, -1)) {
    const fromMm = endMm - body.lengthMm;
    const here = lying.filter((one) => one.fromMm < endMm - TOUCH_MM && one.toMm > fromMm + TOUCH_MM);
    pairs += here.length;
    if (here.length === 0) continue;
    for (const placeMm of [fromMm, ...here.flatMap((one) => (one.fromMm > fromMm ? [one.fromMm] : []))])
      specs.push([
        body.spec,
        ...over.filter((one) => one.endMm > placeMm + TOUCH_MM).map((one) => one.body.spec),
        ...here
          .filter((one) => one.fromMm <= placeMm + TOUCH_MM && one.toMm > placeMm + TOUCH_MM)
          .map((one) => one.spec),
      ]);
  }
  return { pairs, specs };
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

function follow(
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
  const old = besideLying(over, piece, atMm, problem.lying);
  const pairs =
    label.pairs +
    piece.pairs +
    old.pairs +
    crowds.reduce((sum, here) => sum + here.filter((one) => one.unit !== -1).length, 0);
  if (pairs > (limits.pairsAtMost ?? Infinity)) return undefined;
  for (const specs of [...crowds.map((here) => here.map((one) => one.body.spec)), ...old.specs]) {
    if (specs.length > limits.over) return undefined;
    if (limits.diameterAtMost !== undefined && problem.diameterMm(specs) > limits.diameterAtMost + TOUCH_MM)
      return undefined;
  }
  const reaching = [...over, ...endsOf(piece, atMm, unit)]
    .sort((a, b) => b.endMm - a.endMm)
    .slice(0, Math.max(limits.over, piece.bodies.length));
  return { key, pairs, reaching, startMm: atMm, from: label, placed: { piece, atMm } };
}

/** How much later what lies might end; below 0 when bodies still have to overlap. */
const spareMm = (label: Label, latestEndMm: number): number =>
  latestEndMm - Math.max(label.startMm, label.reaching[0]?.endMm ?? label.startMm);

/**
 * How far what lies is beyond what leaves room for the most urgent, as many side by side as may be; 0 when it is not.
 */
function lateMm(label: Label, latestWideMm: number, over: number): number {
  let ends = 0;
  for (let index = 0; index < over; index += 1)
    ends += Math.max(label.startMm, label.reaching[index]?.endMm ?? label.startMm);
  return Math.max(0, ends / over - latestWideMm);
}

/** Overlapping pairs that there are and that are likely to come, where every one saves about a body's length. */
const likelyPairs = (label: Label, spare: number, bodyMm: number): number => label.pairs + Math.max(0, -spare / bodyMm);

/**
 * The best labels of a layer: fewest likely pairs, then the most to spare, half of them by one measure of it and half
 * by the other.
 */
function cut(
  layer: Map<string, Label[]>,
  beam: number,
  bodyMm: number,
  lateOf: (label: Label) => number,
  spares: readonly ((label: Label) => number)[],
): { readonly labels: Label[]; readonly cut: boolean } {
  const labels = [...layer.values()].flat();
  if (labels.length <= beam) return { labels, cut: false };
  const kept = new Set<Label>();
  for (const spareOf of spares) {
    const judged = labels
      .map((label) => {
        const spare = spareOf(label);
        return { label, spare, late: lateOf(label), pairs: likelyPairs(label, spare, bodyMm) };
      })
      .sort((a, b) => a.late - b.late || a.pairs - b.pairs || b.spare - a.spare);
    for (const { label } of judged.slice(0, Math.ceil(beam / spares.length))) kept.add(label);
  }
  return { labels: [...kept], cut: true };
}

function traced(label: Label): Placed[] {
  const out: Placed[] = [];
  for (let at: Label | undefined = label; at; at = at.from) if (at.placed) out.push(at.placed);
  return out.reverse();
}

/**
 * Places all pieces from left to right, each as far left as the ones before it let it, in every order that is worth it
 * (a label is dropped when another one with the same pieces reaches no farther with no more overlaps). Fewest
 * overlapping pairs first, then fewest bodies. Exact unless the beam cuts: any layout can be pushed to the left into
 * one of this kind without new overlaps.
 */
export function sweep(steps: Following, limits: SweepLimits): SweepResult {
  const { problem } = steps;
  let labels: Label[] = [{ key: steps.start(), pairs: 0, reaching: [], startMm: limits.fromMm ?? -Infinity }];
  let best: Label | undefined;
  let bestBodies = Infinity;
  let complete = true;
  const endOf = (label: Label): number => label.reaching[0]?.endMm ?? -Infinity;
  /** Whether a finished or unfinished label can still be better than the best. */
  const falls = (made: Label, bodies: number): boolean =>
    best !== undefined &&
    (limits.earliestEnd === true
      ? endOf(made) >= endOf(best) - TOUCH_MM
      : made.pairs > best.pairs || (made.pairs === best.pairs && bodies >= bestBodies));
  const strict = limits.over > 1;
  const lengths = problem.units.flatMap((unit) => (unit.modes[0] ?? []).map((piece) => piece.lengthMm));
  const bodyMm = limits.over === 1 ? Infinity : lengths.reduce((sum, mm) => sum + mm, 0) / Math.max(1, lengths.length);
  while (labels.length > 0) {
    const layer = new Map<string, Label[]>();
    const facts = new Map<string, Rest>();
    const restOf = (key: string): Rest => {
      const known = facts.get(key) ?? steps.rest(key, limits.gapMm, limits.over);
      facts.set(key, known);
      return known;
    };
    for (const label of labels) {
      const next = steps.next(label.key);
      // Room that is left free is none where something lies already.
      const idle =
        label.placed && problem.lying.length === 0
          ? idleFrom(next, (label.reaching[0]?.endMm ?? -Infinity) + limits.gapMm, limits.gapMm)
          : Infinity;
      for (const step of next) {
        const fits = places(label, step.piece, limits, step.unit, problem.lying).filter(
          (atMm) => atMm < idle - TOUCH_MM,
        );
        if (fits.length === 0) continue;
        const key = keyAfter(label.key, step);
        const { latestStartMm, latestEndMm, bodies } = restOf(key);
        if (bodies > (limits.bodiesAtMost ?? Infinity)) continue;
        for (const atMm of fits) {
          const endMm = atMm + step.piece.lengthMm;
          if (
            limits.over === 1
              ? endMm > latestEndMm + TOUCH_MM || latestStartMm < endMm + limits.gapMm - TOUCH_MM
              : latestStartMm < atMm - TOUCH_MM
          )
            continue;
          const made = follow(label, step.piece, key, step.unit, atMm, limits, problem);
          if (!made || falls(made, bodies)) continue;
          if (latestStartMm < Infinity) put(layer, made, strict);
          else [best, bestBodies] = [made, bodies];
        }
      }
    }
    const kept = cut(
      layer,
      limits.beam,
      bodyMm,
      (label) => (strict ? lateMm(label, restOf(label.key).latestWideMm, limits.over) : 0),
      [
        (label) => spareMm(label, restOf(label.key).latestEndMm),
        (label) => spareMm(label, steps.roomLeft(label.key, limits.gapMm)),
      ],
    );
    if (kept.cut) complete = false;
    labels = kept.labels;
  }
  return best
    ? { placed: traced(best), pairs: best.pairs, bodies: bestBodies, complete }
    : { pairs: Infinity, bodies: Infinity, complete };
}
