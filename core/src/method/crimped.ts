import { GENERIC_PARTS, TOOL_TASKS, type Catalogue, type Part } from '../catalogue/index.ts';
import { methodById } from '../family/index.ts';
import { holds, toolAndNest } from '../sizing/index.ts';
import type { Range } from '../stock/index.ts';
import { closedOn } from './tools.ts';
import type { RankedMethod, Site } from './types.ts';
import { jointsWanted } from './wanted.ts';

/** The stamped range of a part's end that holds so much copper; of a step-down the tighter of its two. */
function rangeAt(part: Part | undefined, areaMm2: number): Range | undefined {
  if (!part) return undefined;
  const ranges = 'range' in part ? [part.range] : 'smallRange' in part ? [part.smallRange, part.largeRange] : [];
  return ranges.filter((range) => holds(range, areaMm2)).sort((a, b) => a.maxMm2 - b.maxMm2)[0];
}

/**
 * By which tool and which of its nests each end of a joint is closed, in words; nothing of what is soldered. The nest
 * goes by the barrel as it is stamped, and must take the copper: doubled over it counts twice, a clip or cap counts all
 * that is in it.
 * @param index 0 for the only or the left joint, 1 for the right one of an insert
 */
export function crimpedBy(
  { methodId, crimpTool: tool, joints, splices }: RankedMethod,
  site: Site,
  index: 0 | 1,
  catalogue: Catalogue,
): { readonly left: string; readonly right: string } | undefined {
  const wires = jointsWanted(site, splices)[index];
  const joint = joints[index];
  if (!tool || !wires || !joint) return undefined;
  const method = methodById(methodId);
  const { ends, total } = closedOn(method, wires);
  if (tool.tasks.some((task) => TOOL_TASKS[task].isByTotal)) {
    const words = toolAndNest(tool, { areaMm2: total });
    return { left: words, right: words };
  }
  const part = [...catalogue.parts, ...GENERIC_PARTS].find(({ id }) => id === joint.partId);
  const words = (copperMm2: number, folded: boolean): string => {
    const areaMm2 = copperMm2 * (folded ? 2 : 1);
    return toolAndNest(tool, { areaMm2, barrel: method.barrel, barrelRange: rangeAt(part, areaMm2) });
  };
  return { left: words(ends[0], joint.left.folded), right: words(ends[1], joint.right.folded) };
}
