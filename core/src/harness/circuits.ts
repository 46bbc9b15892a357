import type { Circuit, CircuitKind } from './types.ts';

/** Circuit kinds on which every lost strand counts and that load a bundle when their current is unknown. */
export const isPowerKind = (kind: CircuitKind): boolean => kind === 'power' || kind === 'ground' || kind === 'ignition';

/**
 * Whether a circuit heats its bundle: its load is unknown and it is power, ground or ignition, or its known load is
 * over a fifth of what its wire may carry alone, `aloneA`.
 */
export function countsAsLoaded(circuit: Circuit, aloneA: number): boolean {
  if (circuit.loadA === undefined) return isPowerKind(circuit.kind);
  return circuit.loadA > aloneA / 5;
}

/** Whether a circuit lies in a shield, by its kind or because it is noted. */
export const isShielded = ({ kind, shield }: Pick<Circuit, 'kind' | 'shield'>): boolean =>
  kind === 'shielded' || shield !== undefined;

export const KIND_WORDS: Record<CircuitKind, string> = {
  power: 'power',
  ground: 'ground',
  ignition: 'ignition',
  signal: 'signal',
  lowLevel: 'low-level sensor',
  data: 'data pair',
  shielded: 'shielded',
  airbag: 'airbag or belt tensioner',
  highVoltage: 'high voltage',
};
