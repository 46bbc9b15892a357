import type { BrokenRule } from './check.ts';
import { figure } from '../units/index.ts';
import { TURNS_PER_M } from '../wire/index.ts';
import type { PlacedSplice } from './types.ts';

/** Between two splices a pair counts as twisted again when there is room for a whole turn at the loosest twist, mm. */
const ONE_TURN_MM = 1000 / TURNS_PER_M.least;
/** Inserts that differ by less are equally long, mm. */
export const EQUAL_MM = 0.5;

/** A stretch of a pair that lies untwisted at its splices. */
export interface Untwisted {
  readonly fromMm: number;
  readonly toMm: number;
}

/** A pair with its inserts and its untwisted stretches. */
export interface PairLayout {
  readonly circuitIds: readonly [string, string];
  readonly insertMm: readonly [number | undefined, number | undefined];
  readonly untwisted: readonly Untwisted[];
  /** The longest of them. */
  readonly longestMm: number;
  /** Whole turns to put back between the outermost splices, at the least and at the most. */
  readonly turns: { readonly least: number; readonly most: number };
}

/**
 * The stretches over which a pair lies untwisted: its splices' bodies, joined where less than a turn fits between them.
 */
export function untwistedAlong(splices: readonly Pick<PlacedSplice, 'fromMm' | 'toMm'>[]): Untwisted[] {
  const stretches: { fromMm: number; toMm: number }[] = [];
  for (const splice of [...splices].sort((a, b) => a.fromMm - b.fromMm)) {
    const last = stretches.at(-1);
    if (last && splice.fromMm - last.toMm < ONE_TURN_MM - 1e-6) last.toMm = Math.max(last.toMm, splice.toMm);
    else stretches.push({ fromMm: splice.fromMm, toMm: splice.toMm });
  }
  return stretches;
}

interface PairSide {
  readonly circuitId: string;
  readonly splices: readonly Pick<PlacedSplice, 'fromMm' | 'toMm'>[];
  readonly insertMm?: number | undefined;
}

/** A pair as it is laid out: equal inserts, what lies untwisted, and the turns that come back. */
export function pairLayout(a: PairSide, b: PairSide): PairLayout {
  const all = [...a.splices, ...b.splices];
  const untwisted = untwistedAlong(all);
  const span = all.length > 0 ? Math.max(...all.map((one) => one.toMm)) - Math.min(...all.map((one) => one.fromMm)) : 0;
  return {
    circuitIds: [a.circuitId, b.circuitId],
    insertMm: [a.insertMm, b.insertMm],
    untwisted,
    longestMm: Math.max(0, ...untwisted.map((one) => one.toMm - one.fromMm)),
    turns: { least: Math.ceil((TURNS_PER_M.least * span) / 1000), most: Math.floor((TURNS_PER_M.most * span) / 1000) },
  };
}

/** What a pair's layout breaks: inserts of different length, and more untwisted than a pair may be. */
export function brokenPairRules(
  pair: PairLayout,
  untwistedAtMostMm: number,
  spliceIds: readonly string[],
  nameOf: (circuitId: string) => string,
): BrokenRule[] {
  const [a, b] = pair.insertMm;
  const names = pair.circuitIds.map(nameOf).join(' and ');
  const differ = (a ?? 0) - (b ?? 0);
  return [
    ...(Math.abs(differ) > EQUAL_MM
      ? [
          {
            ruleId: 'layout.pairLength' as const,
            strength: 'avoid' as const,
            spliceIds,
            because: `The pair ${names} gets ${figure(a ?? 0, 0)} and ${figure(b ?? 0, 0)} mm of new wire: both must be equally long.`,
          },
        ]
      : []),
    ...(pair.longestMm > untwistedAtMostMm + 1e-6
      ? [
          {
            ruleId: 'layout.untwisted' as const,
            strength: 'avoid' as const,
            spliceIds,
            because: `The pair ${names} lies untwisted over ${figure(pair.longestMm, 0)} mm (at most ${figure(untwistedAtMostMm, 0)}): leave room for a turn between its splices.`,
          },
        ]
      : []),
  ];
}
