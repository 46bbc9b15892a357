import { jacketDiameterMm } from '../wire/index.ts';
import { cablesAlong, type Cable } from './cables.ts';
import type { Circuit } from './types.ts';

/** Something that lies in a bundle: a wire, or a cable with its cores in it; mm outside. */
export interface ThingAlong {
  /** Of a cable its own id. */
  readonly circuitId: string;
  readonly jacketMm: number;
  readonly cores?: readonly ThingAlong[];
}

const wireOf = ({ id, wire }: Circuit): ThingAlong => ({ circuitId: id, jacketMm: jacketDiameterMm(wire) });

/**
 * What lies along a run: cables that somebody has measured, as thick as their jackets, and every wire that is in none of
 * those. A cable that nobody has measured counts by its cores.
 */
export function thingsAlong(
  runId: string,
  circuits: readonly Circuit[],
  cables: readonly Cable[] | undefined,
): ThingAlong[] {
  const measured = cablesAlong(cables, runId).flatMap(({ id, outerMm, coreIds }) => {
    const cores = circuits.filter((circuit) => coreIds.includes(circuit.id));
    return outerMm === undefined ? [] : [{ circuitId: id, jacketMm: outerMm, cores: cores.map(wireOf) }];
  });
  const inside = new Set(measured.flatMap(({ cores }) => cores.map(({ circuitId }) => circuitId)));
  return [...measured, ...circuits.filter(({ id }) => !inside.has(id)).map(wireOf)];
}
