import type { Cavity } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import { branchesOf } from './stretch.ts';
import type { Finding } from './types.ts';

/** A circuit that is added: its wire, and what is known of where it goes. */
export interface AddedCircuit {
  readonly wire: WireSpec;
  /** The free cavity that it begins in; without one it is joined on along the run. */
  readonly from?: Cavity | undefined;
  readonly otherEnd?: Cavity | undefined;
  /** mm; where nobody says it, its route is as long as it. */
  readonly lengthMm?: number | undefined;
  readonly loadA?: number | undefined;
  /** Where it branches off. */
  readonly fuseA?: number | undefined;
}

/** The circuit that a finding adds: the first of its wires, each further one is a finding of its own; none where it adds none. */
export function addedBy(finding: Finding): AddedCircuit | undefined {
  if (finding.kind !== 'addCircuit') return undefined;
  const [wire] = branchesOf(finding);
  return (
    wire && {
      wire,
      ...(finding.freeCavity ? { from: finding.freeCavity } : {}),
      otherEnd: finding.otherEnd,
      lengthMm: finding.addedMm,
      loadA: finding.addedLoadA,
      fuseA: finding.addedFuseA,
    }
  );
}
