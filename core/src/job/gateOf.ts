import { gateState, type GateState } from '../approach/index.ts';
import type { Job } from './types.ts';

/** What the gate of a job still lacks: told by what was found and where, without a plan. */
export function gateOf({ gate, findings, harness }: Pick<Job, 'gate' | 'findings' | 'harness'>): GateState {
  const circuits = new Set(findings.map(({ circuitId }) => circuitId));
  const runs = new Set(findings.map(({ runId }) => runId));
  return gateState(
    gate,
    harness.circuits.filter(({ id }) => circuits.has(id)),
    harness.runs.filter(({ id }) => runs.has(id)),
  );
}
