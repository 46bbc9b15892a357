import { findPart, lackNamed, lackOf, mostOf, notOnShelf, partsOf, type Part } from '../../catalogue/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
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
        ? `The terminals are good and the lock family is known: ${wires === 1 ? 'one terminal moves' : `${wires} terminals move`} into a new housing, cavity by cavity, and nothing is cut.`
        : notOnShelf([lackOf(part)]),
    },
  };
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
