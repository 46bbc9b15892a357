import { cavityKindOf } from '../../damage/index.ts';
import type { Circuit } from '../../harness/index.ts';
import { figure } from '../../units/index.ts';
import { allowedCurrentA, LEAST_JOINT_MM, resistanceLimits } from '../../wire/index.ts';
import type { DecideInput } from '../types.ts';
import type { At } from './at.ts';

/** A circuit with its current against what its wire may carry alone. */
interface Judged {
  readonly circuit: Circuit;
  readonly amps: number;
  readonly may: number;
  readonly isLoad: boolean;
}

/**
 * Of some circuits the one whose load, else whose fuse, is nearest to what its wire may carry alone; none where neither
 * is noted.
 */
function hottestOf(circuits: readonly Circuit[], { runFacts }: DecideInput): Judged | undefined {
  const judged = circuits.flatMap((circuit): Judged[] => {
    const amps = circuit.loadA ?? circuit.fuseA;
    if (amps === undefined) return [];
    return [
      { circuit, amps, may: allowedCurrentA(circuit.wire, runFacts.ambientC), isLoad: circuit.loadA !== undefined },
    ];
  });
  return judged.sort((a, b) => b.amps / b.may - a.amps / a.may)[0];
}

/** What is said of the circuit that ran hot: the one whose terminal burnt, or the one to be looked at first. */
function causeWords(hot: Judged | undefined, isKnown: boolean): string {
  if (!hot)
    return isKnown
      ? 'Find out why it ran hot, with its resistance and current, or it comes back; no load and no fuse is noted for it.'
      : 'Find out which circuit ran hot and why, with its resistance and current, or it comes back; no load or fuse is noted for any of them.';
  const { circuit, amps, may, isLoad } = hot;
  const { goodMilliohm, alarmMilliohm } = resistanceLimits(circuit.wire, LEAST_JOINT_MM, amps);
  const begin = isKnown
    ? `Find out why circuit ${circuit.number} ran hot, or it comes back:`
    : `Find out which circuit ran hot and why, or it comes back. Circuit ${circuit.number} first:`;
  return `${begin} ${isLoad ? '' : 'fused '}${figure(amps, 1)} A of the ${figure(may, 1)} A its wire may carry alone. Its terminal is good up to ${figure(goodMilliohm, 2)} mΩ and alarms at ${figure(alarmMilliohm, 2)}.`;
}

/**
 * The cause of heat at a connector, named on the circuit that it lies on: a burnt terminal on its own; a melted housing
 * on the circuit whose current is nearest to what its wire may carry. Nothing on the other findings of that connector.
 */
export function causeAt({
  finding,
  node,
  input,
}: At): { readonly words: string; readonly asks?: string | undefined } | undefined {
  const kind = cavityKindOf(finding.kind);
  if (!node || kind.isFromHeat?.(finding) !== true) return undefined;
  const asks = kind.asks?.(finding);
  if (kind.ofHousing === undefined) return { words: causeWords(hottestOf([input.circuit], input), true), asks };
  const hot = hottestOf(input.circuitsAt(node.id), input);
  const found = input.foundAt(node.id);
  const named = found.find(({ circuitId }) => circuitId === hot?.circuit.id) ?? found[0];
  return named === undefined || named.id === finding.id ? { words: causeWords(hot, false), asks } : undefined;
}
