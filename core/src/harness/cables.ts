import type { WireColour } from '../wire/index.ts';

/** A core that carries nothing: its colour, where somebody has looked. */
export interface SpareCore {
  readonly colour?: WireColour | undefined;
}

/**
 * A jacketed cable: a thing of its own that lies along one run or more. Some of the circuits there are its cores; others
 * may lie beside it.
 */
export interface Cable {
  readonly id: string;
  readonly name: string;
  /** Over its jacket, mm, where it was measured. */
  readonly outerMm?: number | undefined;
  readonly runIds: readonly string[];
  /** Circuits that are its cores, by id. */
  readonly coreIds: readonly string[];
  readonly spares: readonly SpareCore[];
}

/** The cable of which a circuit is a core on a run; none where it lies beside cables, or there are none. */
export const cableOf = (cables: readonly Cable[] | undefined, circuitId: string, runId: string): Cable | undefined =>
  cables?.find(({ runIds, coreIds }) => runIds.includes(runId) && coreIds.includes(circuitId));

/** The cables that lie along a run. */
export const cablesAlong = (cables: readonly Cable[] | undefined, runId: string): readonly Cable[] =>
  (cables ?? []).filter(({ runIds }) => runIds.includes(runId));
