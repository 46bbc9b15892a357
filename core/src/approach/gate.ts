import type { Circuit, Run } from '../harness/index.ts';

/** Who said so, and when (ISO date-time). */
export interface SaidBy {
  readonly by: string;
  readonly at: string;
}

/** What people have confirmed before any work; an absent entry has not been confirmed. */
export interface Gate {
  /** The circuit was proved dead with a meter, or the battery negative is off. */
  readonly isolation?: (SaidBy & { readonly how: 'provedDead' | 'batteryOff' }) | undefined;
  /** The maker's own procedure, or the qualified person, for airbag and belt-tensioner circuits. */
  readonly airbag?: (SaidBy & { readonly procedure: string }) | undefined;
  readonly highVoltage?: (SaidBy & { readonly procedure: string }) | undefined;
  /** The vapour zone was aired and measured; what the instrument said. */
  readonly vapour?: (SaidBy & { readonly reading: string }) | undefined;
}

export const GATE_ENTRIES = ['isolation', 'airbag', 'highVoltage', 'vapour'] as const;
export type GateEntry = (typeof GATE_ENTRIES)[number];

/** An entry that the job still lacks. `stops` bars leaving Survey; otherwise it only keeps some methods refused. */
export interface GateNeed {
  readonly entry: GateEntry;
  readonly stops: boolean;
  readonly because: string;
}

export interface GateState {
  readonly open: boolean;
  readonly missing: readonly GateNeed[];
}

const numbers = (circuits: readonly Circuit[]): string => circuits.map((circuit) => circuit.number).join(', ');

/**
 * What the gate still asks for. Isolation always; a named procedure where a damaged circuit is airbag or high voltage;
 * aired and measured where a damaged run can have fuel vapour (that one keeps heat out but does not stop the job).
 */
export function gateState(gate: Gate, damaged: readonly Circuit[], runs: readonly Run[]): GateState {
  const missing: GateNeed[] = [];
  if (!gate.isolation) {
    missing.push({
      entry: 'isolation',
      stops: true,
      because: 'Prove the circuit dead with a meter, or take the battery negative off, and say so here.',
    });
  }
  const airbag = damaged.filter((circuit) => circuit.kind === 'airbag');
  if (airbag.length > 0 && !gate.airbag) {
    missing.push({
      entry: 'airbag',
      stops: true,
      because: `Circuit ${numbers(airbag)} is airbag or belt tensioner: name the maker's procedure. Keep its waiting time, never probe.`,
    });
  }
  const highVoltage = damaged.filter((circuit) => circuit.kind === 'highVoltage');
  if (highVoltage.length > 0 && !gate.highVoltage) {
    missing.push({
      entry: 'highVoltage',
      stops: true,
      because: `Circuit ${numbers(highVoltage)} is high voltage: name the maker's procedure and the qualified person.`,
    });
  }
  const vapour = runs.filter((run) => run.zone.fuelVapour);
  if (vapour.length > 0 && !gate.vapour) {
    missing.push({
      entry: 'vapour',
      stops: false,
      because: `There can be fuel vapour on ${vapour.map((run) => run.name).join(', ')}: no heat until it is aired and measured.`,
    });
  }
  return { open: missing.every((need) => !need.stops), missing };
}
