import { methodById } from '../family/index.ts';
import { TOOL_TASKS } from '../catalogue/index.ts';
import { sumAreaMm2, toolAndNest } from '../sizing/index.ts';
import type { RankedMethod, Site } from './types.ts';
import { jointsWanted } from './wanted.ts';

/**
 * By which tool and which of its nests each end of a joint is closed, in words; nothing of what is soldered. An end whose copper is doubled
 * over counts twice; a clip or cap counts all that is in it.
 * @param index 0 for the only or the left joint, 1 for the right one of an insert
 */
export function crimpedBy(
  { methodId, crimpTool: tool, joints, splices }: RankedMethod,
  site: Site,
  index: 0 | 1,
): { readonly left: string; readonly right: string } | undefined {
  const wires = jointsWanted(site, splices)[index];
  const joint = joints[index];
  if (!tool || !wires || !joint) return undefined;
  const [left, right] = [
    sumAreaMm2(wires.left) * (joint.left.folded ? 2 : 1),
    sumAreaMm2(wires.right) * (joint.right.folded ? 2 : 1),
  ];
  const isByTotal = tool.tasks.some((task) => TOOL_TASKS[task].isByTotal);
  const words = (areaMm2: number): string => toolAndNest(tool, { areaMm2, barrel: methodById(methodId).barrel });
  return isByTotal
    ? { left: words(left + right), right: words(left + right) }
    : { left: words(left), right: words(right) };
}
