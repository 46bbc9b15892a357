import { seeded } from '../../../chance/index.ts';
import { leastOf } from '../cost.ts';
import type { CostLimits } from '../pieceCost.ts';
import type { Mode, Piece } from '../problem.ts';
import { costsFromLeft, costsFromRight, type Cost } from '../row/costs.ts';
import { single, type Heap, type HeapLimits } from './heap.ts';
import { cheapest, GAIN_MM, pairsOf, splicesOf, type Heaped } from './putting.ts';

/** Heaps that are looked at together, now and then many; and how many of them are taken apart at most. */
const LOOKED_AT = 12;
const MANY = 48;
const OFTEN_MANY = 0.25;
const TAKEN_APART = 4;
/** How often a heap that is taken out stays whole, a unit is made in another way, bodies lie by themselves if they can. */
const WHOLE = 0.4;
const OTHERWISE = 0.3;
const BY_ITSELF = 0.5;

/**
 * What is wanted of heaps: all the room that can be saved, for few overlapping pairs; or little wire, of as few pairs
 * and splices, either of them first.
 */
export type Aim = 'room' | 'pairs' | 'splices';

/** What decides whether heaps are better than others, in its order; less is better. */
const measures: Readonly<Record<Aim, readonly ((heaped: Heaped) => number)[]>> = {
  room: [
    ({ heaps }) => pairsOf(heaps),
    ({ heaps }) => heaps.reduce((sum, { piece }) => sum + piece.lengthMm, 0),
    ({ costMm }) => costMm,
  ],
  pairs: [({ heaps }) => pairsOf(heaps), ({ heaps }) => splicesOf(heaps), ({ costMm }) => costMm],
  splices: [({ heaps }) => splicesOf(heaps), ({ heaps }) => pairsOf(heaps), ({ costMm }) => costMm],
};

function isBetter(aim: Aim, one: Heaped, other: Heaped): boolean {
  for (const measure of measures[aim]) {
    const more = measure(one) - measure(other);
    if (Math.abs(more) > GAIN_MM) return more < 0;
  }
  return false;
}

/** The ways in which the unit of each piece can be made. */
function waysOfPieces({ problem }: HeapLimits): ReadonlyMap<Piece, readonly Mode[]> {
  return new Map(
    problem.units.flatMap(({ modes }) =>
      modes.length > 1 ? modes.flatMap((mode) => mode.map((piece) => [piece, modes] as const)) : [],
    ),
  );
}

/** Heaps that are changed neighbourhood by neighbourhood. */
class Stirring {
  private readonly random = seeded(7_013);
  private readonly ways: ReadonlyMap<Piece, readonly Mode[]>;
  private left: readonly (Cost | undefined)[] = [];
  private right: readonly (Cost | undefined)[] = [];
  now: Heaped;

  constructor(
    start: readonly Heap[],
    private readonly limits: CostLimits,
    private readonly over: HeapLimits,
    private readonly aim: Aim,
  ) {
    this.ways = waysOfPieces(over);
    this.now = { heaps: start, costMm: Infinity };
    this.take(start);
  }

  private take(heaps: readonly Heap[]): void {
    this.left = costsFromLeft(heaps, undefined, this.limits);
    this.right = costsFromRight(heaps, undefined, this.limits);
    this.now = { heaps, costMm: leastOf(this.left.at(-1) ?? []) };
  }

  /** Some members of a list, in an order of chance. */
  private drawn<T>(all: readonly T[], count: number): T[] {
    const left = [...all];
    return Array.from({ length: Math.min(count, all.length) }, () =>
      left.splice(Math.floor(this.random() * left.length), 1),
    ).flat();
  }

  /**
   * What is put back for heaps that were taken out: they as they are, or their bodies one by one; a unit all of whose
   * pieces are there now and then in another way.
   */
  private taken(out: readonly Heap[]): Heap[] {
    const whole = out.filter(({ parts }) => parts.length > 1 && this.random() < WHOLE);
    let pieces = out.flatMap((heap) => (whole.includes(heap) ? [] : heap.parts.map(({ piece }) => piece)));
    for (const modes of new Set(
      pieces.flatMap((piece) => [this.ways.get(piece) ?? []].filter(({ length }) => length > 0)),
    )) {
      const made = modes.find((mode) => mode.every((piece) => pieces.includes(piece)));
      const [other] = this.drawn(
        modes.filter((mode) => mode !== made && mode.every((piece) => piece.pairs === 0)),
        1,
      );
      if (!made || !other || this.random() > OTHERWISE) continue;
      pieces = [...pieces.filter((piece) => !made.includes(piece)), ...other];
    }
    return [...whole, ...pieces.map((piece) => single(piece, this.over))];
  }

  /** One neighbourhood changed; kept when all are better then. */
  turn(): void {
    const { heaps } = this.now;
    const count = this.random() < OFTEN_MANY ? MANY : LOOKED_AT;
    const from = Math.max(0, Math.floor(this.random() * (heaps.length + count)) - count);
    const to = Math.min(heaps.length, from + count);
    const part = heaps.slice(from, to);
    const out = this.drawn(part, 1 + Math.floor(this.random() * TAKEN_APART));
    const byItself = this.aim === 'room' || this.random() < BY_ITSELF;
    const pairs = pairsOf(part);
    const within = { before: this.left[from], after: this.right[to] };
    let way: Heaped = { heaps: part.filter((heap) => !out.includes(heap)), costMm: Infinity };
    const back = this.taken(out);
    for (const heap of this.drawn(back, back.length)) {
      const mayLieOver = pairsOf(way.heaps) + heap.pairs < pairs;
      way = cheapest(way.heaps, heap, within, this.limits, this.over, { mayLieOver, byItself });
      if (way.costMm === Infinity) return;
    }
    const made = { heaps: [...heaps.slice(0, from), ...way.heaps, ...heaps.slice(to)], costMm: way.costMm };
    if (isBetter(this.aim, made, this.now)) this.take(made.heaps);
  }
}

/**
 * Heaps bettered neighbourhood by neighbourhood: a few are taken apart and put back body by body, by themselves or over
 * another one, wherever all need the least inserted wire, with no more overlapping pairs and splices than there were. A
 * search and no proof.
 * @param turns how many neighbourhoods are tried
 */
export function stirred(
  start: readonly Heap[],
  limits: CostLimits,
  over: HeapLimits,
  turns: number,
  goesOn: () => boolean,
  aim: Aim = 'pairs',
): Heaped {
  const stirring = new Stirring(start, limits, over, aim);
  for (let turn = 0; turn < turns && stirring.now.costMm < Infinity && goesOn(); turn += 1) stirring.turn();
  return stirring.now;
}
