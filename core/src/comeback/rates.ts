import type { Failure } from '../damage/index.ts';
import type { CameBack, Compared, RepairFact } from './facts.ts';
import { shareOf, standsOut, type Share } from './share.ts';

/** A signed repair, and that it came back where it did. */
export interface Repair {
  readonly fact: RepairFact;
  readonly back?: CameBack | undefined;
}

/** How many of some repairs did something, and what share that is; none of fewer than five. */
export interface Counted {
  readonly count: number;
  readonly share?: Share | undefined;
  /** More than chance would seldom do, against all other repairs. */
  readonly standsOut: boolean;
}

/** Repairs that share a method, a part, a lot, … */
export interface RateLine {
  readonly name: string;
  readonly repairs: number;
  readonly machines: number;
  readonly back: Counted;
  /** Made again before they were signed. */
  readonly again: Counted;
  /** After how many days the middle one came back. */
  readonly backAfterDays?: number | undefined;
  /** Why they failed, the most frequent first; `unknown` where nobody saw it. */
  readonly whys: readonly { readonly why: Failure | 'unknown'; readonly count: number }[];
}

export interface Rates {
  readonly repairs: number;
  readonly back: number;
  readonly again: number;
  /** Those that stand out first, then those of which most came back. */
  readonly lines: readonly RateLine[];
  /** Repairs that go under none: nobody noted the lot, or nothing was crimped. */
  readonly without: number;
}

/** The middle one; of two in the middle the smaller. */
const middle = (values: readonly number[]): number | undefined =>
  [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) / 2)];

const isBack = ({ back }: Repair): boolean => back !== undefined;
const isAgain = ({ fact }: Repair): boolean => fact.again;

function counted(group: readonly Repair[], all: readonly Repair[], allHits: number, is: (one: Repair) => boolean) {
  const count = group.filter(is).length;
  const others = { hits: allHits - count, all: all.length - group.length };
  return { count, share: shareOf(count, group.length), standsOut: standsOut(count, group.length, others) };
}

function whysOf(group: readonly Repair[]): RateLine['whys'] {
  const counts = new Map<Failure | 'unknown', number>();
  for (const { back } of group)
    if (back) counts.set(back.why ?? 'unknown', (counts.get(back.why ?? 'unknown') ?? 0) + 1);
  return [...counts].map(([why, count]) => ({ why, count })).sort((a, b) => b.count - a.count);
}

/** What stands out goes first, then what came back most often, then what there is most of. */
const byWeight = (a: RateLine, b: RateLine): number =>
  Number(b.back.standsOut || b.again.standsOut) - Number(a.back.standsOut || a.again.standsOut) ||
  b.back.count - a.back.count ||
  b.repairs - a.repairs ||
  (a.name < b.name ? -1 : 1);

/** Weak places are where repairs gather. */
const byNumber = (a: RateLine, b: RateLine): number => b.repairs - a.repairs || byWeight(a, b);

/** How often repairs came back, and were made again before they were signed, by what they have in common. */
export function ratesOf(repairs: readonly Repair[], by: Compared): Rates {
  const groups = new Map<string, Repair[]>();
  let without = 0;
  for (const repair of repairs) {
    const names = repair.fact.under[by];
    if (names.length === 0) without += 1;
    for (const name of names) {
      const group = groups.get(name);
      if (group) group.push(repair);
      else groups.set(name, [repair]);
    }
  }
  const [back, again] = [repairs.filter(isBack).length, repairs.filter(isAgain).length];
  const lines = [...groups].map(([name, group]): RateLine => ({
    name,
    repairs: group.length,
    machines: new Set(group.map(({ fact }) => fact.machine)).size,
    back: counted(group, repairs, back, isBack),
    again: counted(group, repairs, again, isAgain),
    backAfterDays: middle(group.flatMap(({ back: came }) => came?.afterDays ?? [])),
    whys: whysOf(group),
  }));
  return { repairs: repairs.length, back, again, lines: lines.sort(by === 'place' ? byNumber : byWeight), without };
}
