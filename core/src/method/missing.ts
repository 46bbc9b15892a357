import { isPerJoint, lackNamed, lackOf, type Lack, type Part } from '../catalogue/index.ts';
import type { SizedJoint } from '../family/index.ts';
import type { ShelfFacts } from './types.ts';

/** What is not there of the parts that joints take, each with how many are to be ordered; one stick or roll serves all. */
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
