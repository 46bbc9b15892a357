import { TWO_AT_MOST_TIMES, type Asked } from './kinds.ts';
import { sectionDiameterMm } from './objective.ts';
import type { RunToLayOut } from './types.ts';

/**
 * How thick two bodies over one place may make a bundle, mm: what its conduit has inside; where none is known, 1.25 times
 * its greatest bare diameter.
 */
const twoAtMostMm = (wires: RunToLayOut['wires'], conduitInsideMm: number | undefined): number =>
  conduitInsideMm ?? TWO_AT_MOST_TIMES * sectionDiameterMm(wires ?? [], []);

/** A run of which one layout is asked. Wide is what is asked where nothing is said. */
export const asAsked = (
  run: RunToLayOut,
  { kind, apartMm }: Asked,
  conduitInsideMm: number | undefined,
): RunToLayOut =>
  kind === 'wide'
    ? run
    : kind === 'even'
      ? { ...run, kind, ...(apartMm === undefined ? {} : { apartMm }) }
      : { ...run, kind, twoAtMostMm: twoAtMostMm(run.wires, conduitInsideMm) };
