import { TOUCH_MM, type Body, type Piece, type Placed, type Problem } from '../problem.ts';
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

/** Whether what follows one label can follow the other as well or better, whichever bodies reach on. */
function dominates(a: Label, b: Label): boolean {
  if (a.pairs > b.pairs || a.startMm > b.startMm + TOUCH_MM) return false;
  return a.reaching.every((end, index) => {
    const other = b.reaching[index];
    return other !== undefined && end.endMm <= other.endMm + TOUCH_MM;
  });
}

/** Whether a body has to be told from others while it reaches on. */
export type Matters = (reaching: Reaching) => boolean;

/** Two pieces of one mode that can lie over each other: of others a body never meets its own circuit's other one. */
const canMeet = (piece: Piece, next: Piece): boolean =>
  (next.rooms[0]?.fromMm ?? -Infinity) < (piece.rooms.at(-1)?.toMm ?? Infinity) + piece.lengthMm - TOUCH_MM;

/**
 * Which bodies have to be told apart while they reach on: those that their own circuit's next one could lie over, and
 * those that are too thick beside some other one.
 */
export function whichMatter(problem: Problem, { over, diameterAtMost, twoAtMostMm }: SweepLimits): Matters {
  if (over === 1) return () => false;
  const own = problem.units.map(({ modes }) =>
    modes.some((mode) => mode.some((piece, index) => mode.slice(index + 1).some((next) => canMeet(piece, next)))),
  );
  const atMostMm = Math.min(diameterAtMost ?? Infinity, twoAtMostMm ?? Infinity);
  if (atMostMm === Infinity) return ({ unit }) => own[unit] === true;
  if (over > 2 || problem.covers.length > 0) return () => true;
  const specs = [
    ...new Set([
      ...problem.units.flatMap(({ modes }) =>
        modes.flatMap((mode) => mode.flatMap(({ bodies }) => bodies.map(({ spec }) => spec))),
      ),
      ...problem.lying.map(({ spec }) => spec),
    ]),
  ];
  const thick = new Set(
    specs.filter((a) => specs.some((b) => a !== b && problem.diameterMm([a, b]) > atMostMm + TOUCH_MM)),
  );
  return ({ unit, body }) => own[unit] === true || thick.has(body.spec);
}

const beats = (a: Label, b: Label, matters: Matters): boolean =>
  dominates(a, b) &&
  a.reaching.every(
    (end) =>
      !matters(end) || b.reaching.some((other) => other.body === end.body && end.endMm <= other.endMm + TOUCH_MM),
  );

/** Keeps a label unless another one with the same pieces is as good; drops those that it betters. */
export function put(layer: Map<string, Label[]>, label: Label, matters: Matters): void {
  const there = layer.get(label.key);
  if (!there) {
    layer.set(label.key, [label]);
    return;
  }
  if (there.some((other) => beats(other, label, matters))) return;
  const kept = there.filter((other) => !beats(label, other, matters));
  kept.push(label);
  layer.set(label.key, kept);
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
