import { isPerJoint, lackNamed, lackOf, lackRated, partById, type Lack, type Part } from '../catalogue/index.ts';
import type { SizedJoint } from '../family/index.ts';
import type { MethodCase, RankedMethod, ShelfFacts } from './types.ts';

/**
 * What is not there of the parts that joints take, each with how many are to be ordered; one stick or roll serves all.
 */
export function missingParts(joints: readonly SizedJoint[], { byId }: ShelfFacts, parts: readonly Part[]): Lack[] {
  const uses = new Map<string, number>();
  for (const joint of joints) {
    for (const id of new Set(joint.usesPartIds)) uses.set(id, (uses.get(id) ?? 0) + 1);
  }
  return [...uses].flatMap(([id, count]) => {
    const listed = byId.get(id);
    const part = listed ?? parts.find((other) => other.id === id);
    const [have, need] = [listed?.quantity ?? 0, part && !isPerJoint(part) ? 1 : count];
    if (have >= need) return [];
    return [part ? lackOf(part, need - have) : lackNamed(id)];
  });
}

/**
 * What of joints stands less heat than their place, as it would have to be ordered, one line a part; nothing where
 * something of it is no part, as molten solder is.
 */
export function ratedHigher({ joints, site, catalogue }: Pick<MethodCase, 'joints' | 'site' | 'catalogue'>): Lack[] {
  const under = joints.map(({ rated }) => rated.filter(({ ratedC }) => ratedC < site.placeC));
  if (under.flat().some(({ partId }) => partId === undefined)) return [];
  const uses = new Map<string, number>();
  for (const ofOne of under) {
    for (const id of new Set(ofOne.flatMap(({ partId }) => partId ?? []))) uses.set(id, (uses.get(id) ?? 0) + 1);
  }
  return [...uses].flatMap(([id, count]) => {
    const part = partById(catalogue, id);
    return part ? [lackRated(part, site.placeC, isPerJoint(part) ? count : 1)] : [];
  });
}

/**
 * What to order so that every refusal falls: the parts that the rules name, and what else is not there; nothing where
 * some refusal does not hang on a part.
 */
export function ordersThatLift({ hits, lacks }: Pick<RankedMethod, 'hits' | 'lacks'>): readonly Lack[] {
  const bars = hits.filter(({ verdict }) => verdict === 'refuse');
  if (bars.length === 0 || bars.some(({ orders = [] }) => orders.length === 0)) return [];
  const named = bars.flatMap(({ orders = [] }) => orders);
  return [...named, ...lacks.filter(({ name }) => named.every((lack) => lack.name !== name))];
}

/**
 * The least heat that something in a method's joints stands, °C; of one that no part holds the copper of, nothing is
 * known.
 */
const weakestC = ({ joints }: RankedMethod): number =>
  joints.length === 0
    ? Number.NEGATIVE_INFINITY
    : Math.min(...joints.flatMap(({ rated }) => rated.map(({ ratedC }) => ratedC)));

/** A method that only parts keep out, and what to order for it. */
export interface Nearest {
  readonly method: RankedMethod;
  readonly order: readonly Lack[];
}

/**
 * The method that is nearest where none is allowed and only parts stand in the way: one whose parts hold the copper
 * before one whose parts do not, then the one that wants the fewest parts, then the one whose parts stand the most heat
 * as they are: a part is sooner found that is a little better than much better.
 */
export const nearestByOrder = (ranked: readonly RankedMethod[]): Nearest | undefined =>
  ranked
    .map((method) => ({ method, order: ordersThatLift(method) }))
    .filter(({ order }) => order.length > 0)
    .map((one) => ({ ...one, weakestC: weakestC(one.method) }))
    .sort(
      (a, b) =>
        Number(a.method.joints.length === 0) - Number(b.method.joints.length === 0) ||
        a.order.length - b.order.length ||
        (a.weakestC === b.weakestC ? 0 : b.weakestC - a.weakestC),
    )[0];
