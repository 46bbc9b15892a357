import { TOUCH_MM, type Body, type Piece, type Placed, type Problem } from '../problem.ts';
import type { Rest } from '../steps.ts';
import type { SweepLimits } from './limits.ts';

/** A body that reaches beyond the last start. */
export interface Reaching {
  readonly endMm: number;
  readonly body: Body;
  readonly unit: number;
}

export interface Label {
  readonly key: string;
  readonly pairs: number;
  /** Ends that matter still, farthest first. */
  readonly reaching: readonly Reaching[];
  readonly startMm: number;
  readonly from?: Label | undefined;
  readonly placed?: Placed | undefined;
}

export const endsOf = (piece: Piece, atMm: number, unit: number): Reaching[] =>
  piece.bodies.map((body) => ({ endMm: atMm + body.offsetMm + body.lengthMm, body, unit }));

/** Two pieces of one mode that can lie over each other: of others a body never meets its own circuit's other one. */
const canMeet = (piece: Piece, next: Piece): boolean =>
  (next.rooms[0]?.fromMm ?? -Infinity) < (piece.rooms.at(-1)?.toMm ?? Infinity) + piece.lengthMm - TOUCH_MM;

/** How bodies that reach on are told from each other. */
export interface Telling {
  /** Units whose next piece could lie over their last one: there it matters which body it is. */
  readonly isOwn: readonly boolean[];
  /** Whether one body may lie with all that another one may. */
  readonly isEasier: (one: number, other: number) => boolean;
}

/** Bodies by what may lie over one place with them, no thicker than so much. */
function easierIn(problem: Problem, atMostMm: number): Telling['isEasier'] {
  const bodies = problem.units.flatMap(({ modes }) => modes.flatMap((mode) => mode.flatMap((piece) => piece.bodies)));
  const specs = [...new Set([...bodies.map(({ spec }) => spec), ...problem.lying.map(({ spec }) => spec)])];
  const barred = new Map(
    specs.map((a) => [a, new Set(specs.filter((b) => a !== b && problem.diameterMm([a, b]) > atMostMm + TOUCH_MM))]),
  );
  const known = new Map<number, ReadonlySet<number>>();
  /** Of a body: all that are no easier to lie with. */
  const noEasier = (one: number): ReadonlySet<number> => {
    const own = [...(barred.get(one) ?? [])];
    const found = new Set(specs.filter((other) => own.every((spec) => spec === other || barred.get(other)?.has(spec))));
    known.set(one, found);
    return found;
  };
  return (one, other) => one === other || (known.get(one) ?? noEasier(one)).has(other);
}

const tellings = new WeakMap<Problem, Map<string, Telling>>();

/** How bodies are told from each other in a sweep; worked out once of a problem. */
export function tellingOf(problem: Problem, { over, diameterAtMost, twoAtMostMm }: SweepLimits): Telling {
  const atMostMm = Math.min(diameterAtMost ?? Infinity, twoAtMostMm ?? Infinity);
  const key = `${over} ${atMostMm}`;
  const ofProblem = tellings.get(problem) ?? new Map<string, Telling>();
  tellings.set(problem, ofProblem);
  const known = ofProblem.get(key);
  if (known) return known;
  const isOwn = problem.units.map(
    ({ modes }) =>
      over > 1 &&
      modes.some((mode) => mode.some((piece, index) => mode.slice(index + 1).some((next) => canMeet(piece, next)))),
  );
  const made: Telling = {
    isOwn,
    isEasier:
      over === 1 || atMostMm === Infinity
        ? () => true
        : over > 2 || problem.covers.length > 0
          ? (one, other) => one === other
          : easierIn(problem, atMostMm),
  };
  ofProblem.set(key, made);
  return made;
}

/**
 * Whether what follows one label can follow the other as well or better: it has no more overlaps, reaches no farther,
 * and with bodies that are no harder to lie with.
 */
function beats(a: Label, b: Label, { isOwn, isEasier }: Telling): boolean {
  if (a.pairs > b.pairs || a.startMm > b.startMm + TOUCH_MM) return false;
  return a.reaching.every((end, index) => {
    const other = b.reaching[index];
    if (other === undefined || end.endMm > other.endMm + TOUCH_MM) return false;
    if (end.body === other.body) return true;
    if (!isEasier(end.body.spec, other.body.spec)) return false;
    // Its own circuit's next body has to wait for it, whatever else reaches as far.
    return !isOwn[end.unit] || b.reaching.some((one) => one.body === end.body && end.endMm <= one.endMm + TOUCH_MM);
  });
}

/** Keeps a label unless another one with the same pieces is as good; drops those that it betters. */
export function put(layer: Map<string, Label[]>, label: Label, telling: Telling): void {
  const there = layer.get(label.key);
  if (!there) {
    layer.set(label.key, [label]);
    return;
  }
  if (there.some((other) => beats(other, label, telling))) return;
  const kept = there.filter((other) => !beats(label, other, telling));
  kept.push(label);
  layer.set(label.key, kept);
}

/** An end before which nothing that follows a label can end: what is to come is shared by as many as may lie side by side. */
export function leastEndOf(label: Label, { lengthMm, leastEndMm }: Rest, over: number): number {
  let endsMm = lengthMm;
  for (let index = 0; index < over; index += 1)
    endsMm += Math.max(label.startMm, label.reaching[index]?.endMm ?? label.startMm);
  return Math.max(endsMm / over, leastEndMm, label.reaching[0]?.endMm ?? -Infinity);
}

/** How much later what lies might end; below 0 when bodies still have to overlap. */
export const spareMm = (label: Label, latestEndMm: number): number =>
  latestEndMm - Math.max(label.startMm, label.reaching[0]?.endMm ?? label.startMm);

/**
 * How far what lies is beyond what leaves room for the most urgent, as many side by side as may be; 0 when it is not.
 */
export function lateMm(label: Label, latestWideMm: number, over: number): number {
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
export function cut(
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

export function traced(label: Label): Placed[] {
  const out: Placed[] = [];
  for (let at: Label | undefined = label; at; at = at.from) if (at.placed) out.push(at.placed);
  return out.reverse();
}
