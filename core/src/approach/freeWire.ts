import type { Stretch } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';

/**
 * Free wire in mm on each side of a loss, up to the next branch, grommet or end of the run: there a sleeve can be
 * parked.
 */
export function freeWireBeside(run: Run, lost: Stretch): { readonly freeLeftMm: number; readonly freeRightMm: number } {
  const stops = run.features.filter((feature) => feature.kind === 'branch' || feature.kind === 'grommet');
  const leftStop = Math.max(0, ...stops.map((stop) => stop.toMm).filter((at) => at <= lost.fromMm));
  const rightStop = Math.min(run.lengthMm, ...stops.map((stop) => stop.fromMm).filter((at) => at >= lost.toMm));
  return { freeLeftMm: Math.max(0, lost.fromMm - leftStop), freeRightMm: Math.max(0, rightStop - lost.toMm) };
}
