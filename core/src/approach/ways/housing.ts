import { findPart, lackNamed, lackOf, mostOf, notOnShelf, partsOf, type Part } from '../../catalogue/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { figure } from '../../units/index.ts';
import { allowedCurrentA, LEAST_JOINT_MM, resistanceLimits } from '../../wire/index.ts';
import type { DecideInput, RankedWay } from '../types.ts';
import { ACT_MINUTES } from './work.ts';

/** A new housing for terminals that are good, judged: the lock family must be known and a housing there. */
export function rehouseWay(input: DecideInput, node: HarnessNode): { readonly way: RankedWay; readonly part?: Part } {
  const wires = Math.max(1, input.circuitsAt(node.id).length);
  const cost = { splices: 0, minutes: ACT_MINUTES.rehouse, wireMm: 0, parts: ['housing'] };
  const { lock } = node;
  if (lock === undefined) {
    return {
      way: {
        way: 'rehouse',
        status: 'refused',
        ruleId: 'way.lockUnknown',
        allowedIf: 'the lock family were known',
        cost,
        lacks: [],
        because: `Nobody knows how the terminals of ${node.name} are held: knowing the lock family would save ${wires === 1 ? 'the splice' : `${wires} splices`}.`,
      },
    };
  }
  const found = findPart(input.catalogue, (parts) =>
    mostOf(
      partsOf(parts, 'housing').filter(
        (part) => part.lock === lock && (node.ways === undefined || part.ways === node.ways),
      ),
    ),
  );
  if (!found)
    return {
      way: {
        way: 'rehouse',
        status: 'refused',
        ruleId: 'way.noHousing',
        allowedIf: 'a housing with its ways were to be had',
        cost,
        lacks: [],
        because: `No housing with ${node.ways ?? wires} ways is known for the way in which ${node.name} holds its terminals.`,
      },
    };
  const { part, onShelf } = found;
  return {
    part,
    way: {
      way: 'rehouse',
      status: onShelf ? 'allowed' : 'shelf',
      ruleId: 'way.rehouse',
      cost: { ...cost, parts: [part.name] },
      lacks: onShelf ? [] : [lackOf(part)],
      because: onShelf
        ? `The terminals are good and the lock family is known: ${wires === 1 ? 'it moves' : `${wires} move`} into a new housing, cavity by cavity, and nothing is cut.`
        : notOnShelf([lackOf(part)]),
    },
  };
}

/** Which circuit of a connector most likely ran hot: the one whose load is nearest to what its wire may carry. */
export function hottestAt(input: DecideInput, node: HarnessNode): string {
  const judged = input
    .circuitsAt(node.id)
    .flatMap((circuit) => {
      const amps = circuit.loadA ?? circuit.fuseA;
      if (amps === undefined) return [];
      const may = allowedCurrentA(circuit.wire, input.runFacts.ambientC);
      return [{ circuit, amps, may, share: amps / may, known: circuit.loadA !== undefined }];
    })
    .sort((a, b) => b.share - a.share);
  const [hot] = judged;
  if (!hot)
    return 'Find out which circuit ran hot and why, with its resistance and current, or it comes back; no load or fuse is noted for any of them.';
  const { goodMilliohm, alarmMilliohm } = resistanceLimits(hot.circuit.wire, LEAST_JOINT_MM, hot.amps);
  return `Find out which circuit ran hot and why, or it comes back: circuit ${hot.circuit.number} first, ${hot.known ? '' : 'fused '}${figure(hot.amps, 1)} A of the ${figure(hot.may, 1)} A its wire may carry alone. Its terminal is good up to ${figure(goodMilliohm, 2)} mΩ and alarms at ${figure(alarmMilliohm, 2)}.`;
}

/** A lost seal, plug or lock piece put back, judged by what is on the shelf; `wanted` picks the piece, none when the old one serves. */
export function refitWay(
  input: DecideInput,
  name: string,
  wanted: ((parts: readonly Part[]) => Part | undefined) | undefined,
): { readonly way: RankedWay; readonly part?: Part } {
  const found = wanted && findPart(input.catalogue, wanted);
  const part = found?.part;
  const lacks = wanted && !found?.onShelf ? [part ? lackOf(part) : lackNamed(name)] : [];
  return {
    ...(part ? { part } : {}),
    way: {
      way: 'refit',
      status: lacks.length > 0 ? 'shelf' : 'allowed',
      ruleId: 'way.refit',
      cost: { splices: 0, minutes: ACT_MINUTES.refit, wireMm: 0, parts: part ? [part.name] : [] },
      lacks,
      because: lacks.length > 0 ? notOnShelf(lacks) : `${name} goes back in its place: nothing is cut.`,
    },
  };
}
