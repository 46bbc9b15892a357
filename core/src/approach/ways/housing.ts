import { findPart, lackNamed, lackOf, notOnShelf, partsOf, type Part } from '../../catalogue/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import type { ConnectorKitPart, HousingPart } from '../../stock/index.ts';
import type { Ask } from '../askTypes.ts';
import type { DecideInput, RankedWay } from '../types.ts';
import {
  familyAsks,
  hasWays,
  isOfFamily,
  lackFor,
  otherConnector,
  wiresAt,
  type Bar,
  type OldWire,
} from './belongs.ts';
import { isKitFor, kitBar } from './kit.ts';
import { ACT_MINUTES } from './work.ts';

type Into = HousingPart | ConnectorKitPart;

/** A new housing judged, with what goes with it. */
export interface RehouseWay {
  readonly way: RankedWay;
  readonly part?: Into | undefined;
  readonly passed: readonly string[];
  readonly asks: readonly Ask[];
  readonly lock?: HarnessNode['lock'];
}

/** How a connector holds its terminals: as noted, else as parts of its family do. */
function lockOf(input: DecideInput, node: HarnessNode): HarnessNode['lock'] {
  const ofFamily = [...partsOf(input.catalogue.parts, 'housing'), ...partsOf(input.catalogue.parts, 'connectorKit')];
  return node.lock ?? ofFamily.find((part) => isOfFamily(part, node) === true)?.lock;
}

const barOf = (part: Into, node: HarnessNode, wires: readonly OldWire[]): Bar | undefined =>
  otherConnector(part, node) ?? (part.kind === 'connectorKit' ? kitBar(part, node, wires) : undefined);

/**
 * Housings and kits with the connector's cavities and lock, best first: known to be of its family, then what is wanted
 * of the two, then the most in stock.
 */
function housingsFor(
  parts: readonly Part[],
  node: HarnessNode,
  lock: HarnessNode['lock'],
  wires: readonly OldWire[],
  kitFirst: boolean,
): readonly Into[] {
  const before = (part: Into): number =>
    (isOfFamily(part, node) === true ? 0 : 2) + ((part.kind === 'connectorKit') === kitFirst ? 0 : 1);
  return [...partsOf(parts, 'housing'), ...partsOf(parts, 'connectorKit').filter((kit) => isKitFor(kit, node, wires))]
    .filter((part) => part.lock === lock && hasWays(part, node, Math.max(1, wires.length)))
    .sort((a, b) => before(a) - before(b) || b.quantity - a.quantity || (a.id < b.id ? -1 : 1));
}

/**
 * A new housing judged: how the old one holds its terminals must be known, and a housing of its family, keying and
 * cavities be there.
 * @param withTerminals every wire gets a new terminal as well: a kit has them all
 */
export function rehouseWay(input: DecideInput, node: HarnessNode, withTerminals: boolean): RehouseWay {
  const wires = wiresAt(input, node);
  const count = Math.max(1, wires.length);
  const cost = { splices: 0, minutes: ACT_MINUTES.rehouse, wireMm: 0, parts: ['housing'] };
  const no = (bar: Bar): RehouseWay => ({
    way: { way: 'rehouse', status: 'refused', ...bar, cost, lacks: [] },
    passed: [],
    asks: [],
  });
  const lock = lockOf(input, node);
  if (lock === undefined)
    return no({
      ruleId: 'way.lockUnknown',
      allowedIf: 'the lock family were known',
      because: `Nobody knows how the terminals of ${node.name} are held: knowing the lock family would save ${count === 1 ? 'the splice' : `${count} splices`}.`,
    });
  const of = (parts: readonly Part[]): readonly Into[] => housingsFor(parts, node, lock, wires, withTerminals);
  const bars = of(input.catalogue.parts.filter(({ quantity }) => quantity > 0)).flatMap(
    (part) => barOf(part, node, wires) ?? [],
  );
  const found = findPart(input.catalogue, (parts) => of(parts).find((part) => barOf(part, node, wires) === undefined));
  if (!found)
    return no({
      ruleId: bars[0]?.ruleId ?? 'way.noHousing',
      allowedIf: bars[0]?.allowedIf ?? 'a housing with as many ways were available',
      because: [
        `No ${node.ways ?? count}-way housing is known with the lock of ${node.name}.`,
        ...bars.map(({ because }) => because),
      ].join(' '),
    });
  const { part, onShelf } = found;
  const moved = `${count === 1 ? 'one terminal moves' : `${count} terminals move`} into a new housing`;
  return {
    part,
    lock,
    passed: bars.map(({ because }) => because),
    asks: familyAsks(part, node),
    way: {
      way: 'rehouse',
      status: onShelf ? 'allowed' : 'shelf',
      ruleId: 'way.rehouse',
      cost: { ...cost, parts: [part.name] },
      lacks: onShelf ? [] : [lackFor(part, node)],
      because: onShelf
        ? `The terminals are good and the lock family is known: ${moved}, cavity by cavity, and nothing is cut.`
        : notOnShelf([lackOf(part)]),
    },
  };
}

/**
 * A lost seal, plug or lock piece put back, judged by what is on the shelf; `wanted` picks the piece, none when the old
 * one serves.
 */
export function refitWay<T extends Part>(
  input: DecideInput,
  name: string,
  wanted: ((parts: readonly Part[]) => T | undefined) | undefined,
): { readonly way: RankedWay; readonly part?: T } {
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
