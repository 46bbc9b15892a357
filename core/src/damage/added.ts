import type { Cavity } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import { branchesOf } from './stretch.ts';
import type { Finding } from './types.ts';

/** A circuit that is joined on at a place: its wire, and what is known of where it goes. */
export interface AddedCircuit {
  readonly wire: WireSpec;
  readonly otherEnd?: Cavity | undefined;
  /** mm; where nobody says it, its route is as long as it. */
  readonly lengthMm?: number | undefined;
  readonly loadA?: number | undefined;
  /** Where it branches off. */
  readonly fuseA?: number | undefined;
}

/** The circuit that a finding adds along a run; none where it adds none, or fills a free cavity. */
export function addedBy(finding: Finding): AddedCircuit | undefined {
  if (finding.kind !== 'addCircuit' || finding.freeCavity) return undefined;
  const [wire] = branchesOf(finding);
  return (
    wire && {
      wire,
      otherEnd: finding.otherEnd,
      lengthMm: finding.addedMm,
      loadA: finding.addedLoadA,
      fuseA: finding.addedFuseA,
    }
  );
}
