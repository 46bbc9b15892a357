import type { Level } from '../levels.ts';
import { settle, type LaidOut } from './laidOut.ts';
import { leastInserted } from './inserted.ts';
import { layInHeaps } from './heaps/longHeaps.ts';
import { layInOneRow } from './row/longSearch.ts';
import { TOUCH_MM } from './problem.ts';
import { inThisOrder, nearTheLoss } from './orders.ts';
import type { LayoutSoFar } from './standing.ts';
import { tightestCrowded } from './crowded.ts';
import { PIECES_AT_FULL_BEAM, Sweeps } from './sweeps.ts';
import { INSERTED_GRACE_MM, tightest, type Tight } from './tightest.ts';

/** Beyond so many pieces one layer is no longer looked for by sweeping when an order of them was found. */
const SWEPT_UP_TO = 24;

/** The search of a wide layout, level by level. */
export function layWide(standing: LayoutSoFar): LaidOut {
  const sweeps = new Sweeps(standing);
  const { problem, homeless } = standing.built;
  if (problem.units.length === 0) return standing.start();
  // What has no legal place lies somewhere all the same, and nobody searches where.
  if (homeless.length > 0) standing.proven = false;
  // Of many pieces, an order that is changed piece by piece finds more than a sweep that has to cut.
  if (
    standing.pieces > PIECES_AT_FULL_BEAM &&
    standing.limits.over === 1 &&
    layInOneRow(standing) &&
    standing.pieces > SWEPT_UP_TO
  )
    return settle(standing.best, 'over', standing.order);
  if (standing.pieces > SWEPT_UP_TO && standing.limits.over <= 2 && layInHeaps(standing))
    return settle(standing.best, 'over', standing.order);
  const crowded = sweeps.crowding();
  if (!crowded?.swept.placed) return standing.best;
  standing.offer(crowded.swept.placed);
  const provenCrowding = standing.proven;
  const wide = sweeps.widest(crowded);
  if (wide.swept.placed) standing.offer(wide.swept.placed);
  const provenGap = standing.proven;
  if (standing.effort.crowdingOnly === true) return settle(standing.best, 'peakMm', standing.order);
  const thin = sweeps.thinnest(wide);
  if (thin.swept.placed) standing.offer(thin.swept.placed);
  const provenPeak = standing.proven;
  const placed = thin.swept.placed ?? [];
  let proof: Tight | undefined;
  if (thin.over === 1) {
    if (standing.goesOn()) {
      const inOrder = tightest(
        standing,
        sweeps.beam,
        inThisOrder(
          thin.steps,
          placed.map((one) => one.piece),
        ),
        thin,
      );
      if (inOrder) standing.offer(inOrder.placed);
      if (inOrder && !thin.swept.complete && standing.goesOn()) {
        const fromMm = Math.min(...inOrder.placed.map((one) => one.atMm), thin.problem.lost?.fromMm ?? Infinity);
        const toMm = Math.max(
          ...inOrder.placed.map((one) => one.atMm + one.piece.lengthMm),
          thin.problem.lost?.toMm ?? -Infinity,
        );
        const nearer = leastInserted(nearTheLoss(thin.steps), {
          gapMm: thin.gapMm,
          fromMm: fromMm - TOUCH_MM,
          toMm: toMm + TOUCH_MM,
          bodiesAtMost: thin.swept.bodies,
          diameterAtMost: thin.peakMm,
          sideBySide: false,
          beam: sweeps.beam,
        });
        if (nearer) standing.offer(nearer.placed);
      }
    }
    if (standing.goesOn() && thin.swept.complete) {
      const tight = tightest(standing, sweeps.beam, thin.steps, thin);
      if (tight) {
        standing.offer(tight.placed);
        proof = tight;
      }
    }
  } else if (standing.goesOn()) {
    proof = tightestCrowded(standing, sweeps.beam, thin);
  }
  const open: Level | undefined = !provenCrowding
    ? 'over'
    : !provenGap
      ? 'clearMm'
      : !provenPeak
        ? 'peakMm'
        : !proof?.spanProven
          ? 'openedMm'
          : standing.best.objective.insertedMm > proof.insertedMm + INSERTED_GRACE_MM
            ? 'insertedMm'
            : undefined;
  const bound = proof?.spanProven
    ? { ...standing.best.bound, insertedMm: Math.max(standing.best.bound.insertedMm, proof.insertedMm) }
    : standing.best.bound;
  return settle({ ...standing.best, bound }, open, standing.order);
}
