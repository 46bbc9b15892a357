import type { FindingOf } from '../../damage/index.ts';
import type { Cavity } from '../../harness/index.ts';
import type { DecideInput, Decision, RankedWay } from '../types.ts';
import { terminalFor } from './terminal.ts';
import { ACT_MINUTES, cavityWork, NOT_NOTED, WAY_WORDS } from './work.ts';

/** A circuit added at a free cavity: a terminated lead goes in and the plug comes out; no wire is cut. */
export function fillCavity(input: DecideInput, finding: FindingOf<'addCircuit'>, at: Cavity, base: Omit<Decision, 'approach' | 'because' | 'ways'>): Decision {
  const node = input.nodes.get(at.nodeId);
  const [wire = input.circuit.wire] = finding.branchWires;
  const fit = terminalFor(wire, node, at.cavity, input.run.zone, input.catalogue);
  const where = `${node?.name ?? at.nodeId}, cavity ${at.cavity}`;
  const missing = fit.lacks.length > 0 || fit.unknown !== undefined;
  const way: RankedWay = {
    way: 'fillCavity', status: missing ? 'shelf' : 'allowed', ruleId: 'way.fillCavity', lacks: fit.lacks,
    cost: { splices: 0, minutes: ACT_MINUTES.crimpTerminal, wireMm: 0, parts: [fit.terminal?.partName, fit.terminal?.seal?.name].filter((name) => name !== undefined) },
    because: fit.unknown ?? (fit.lacks.length > 0 ? `Not on the shelf: ${fit.lacks.join(', ')}. It can be ordered.` : `${where} is free: a lead with its own terminal${fit.terminal ? ` (${fit.terminal.partName})` : ''} goes in, the plug comes out, and no wire is cut.`),
  };
  return {
    ...base, approach: 'fillCavity', ways: [way], because: [way.because],
    cavity: cavityWork({ name: WAY_WORDS.fillCavity, acts: ['crimpTerminal'], at, node, wire, fit }),
    asks: missing ? (fit.lacks.length > 0 ? `Order: ${fit.lacks.join(', ')}` : NOT_NOTED) : undefined,
  };
}
