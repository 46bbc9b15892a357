import type { RunToLayOut } from '../types.ts';
import { buildProblem } from './build.ts';
import { layEvenly } from './even.ts';
import { QUICK, type Effort, type LaidOut } from './laidOut.ts';
import { layShort } from './short.ts';
import { LayoutSoFar } from './standing.ts';
import { layWide } from './wide.ts';
import { withPairs } from './withPairs.ts';
import { kindOf } from '../kinds.ts';

const SEARCHES = { wide: layWide, even: layEvenly, short: layShort };

/**
 * Lays out a run by the shop's objective in its strict order: fewest bodies over one cross-section and fewest
 * overlapping pairs, fewest splices, widest clear distance, thinnest bundle, shortest opened stretch, least inserted
 * wire, most room at connectors. Pinned splices stay, keep-outs are never broken. Up to about eight circuits the answer
 * is proven; beyond that, it comes with bounds.
 */
export function optimise(run: RunToLayOut, effort: Effort = QUICK): LaidOut {
  const solve = SEARCHES[kindOf(run)];
  return run.items.some(({ pairFindingId }) => pairFindingId !== undefined)
    ? withPairs(run, effort, solve)
    : solve(new LayoutSoFar(run, effort, buildProblem(run, 0)));
}

/**
 * The layout to start a search from: by the rules, or what was found before. At once, and with what the bounds prove of
 * it.
 */
export const quickLayout = (run: RunToLayOut): LaidOut => new LayoutSoFar(run, QUICK, buildProblem(run, 0)).start();
