import { TOOL_TASKS, type Tool } from '../catalogue/index.ts';
import type { AnyMethod, ToolTask } from '../family/index.ts';
import { hasNest, holds, sumAreaMm2, type JointWires } from '../sizing/index.ts';

/**
 * How far a tool is from the best: a ratchet counts more than a calibration that holds on that day. @param asOf ISO
 * date; any date counts without it
 */
export const rankOfTool = (tool: Pick<Tool, 'ratchet' | 'calibratedUntil'>, asOf: string | undefined): number =>
  (tool.ratchet ? 0 : 2) +
  (tool.calibratedUntil !== undefined && (asOf === undefined || tool.calibratedUntil >= asOf) ? 0 : 1);

/**
 * The tool that does a task besides crimping: an iron big enough, a hot-air gun. Of several the id decides, never the
 * line on the shelf.
 * @param areaMm2 copper that it has to heat or close; any tool does without it
 */
export const toolThat = (tools: readonly Tool[], task: ToolTask, areaMm2?: number): Tool | undefined =>
  tools
    .filter(
      ({ tasks, range }) =>
        tasks.includes(task) && (areaMm2 === undefined || range === undefined || holds(range, areaMm2)),
    )
    .sort((a, b) => a.id.localeCompare(b.id))[0];

/**
 * Copper in mm² that a tool closes on: by end of a joint, or all of it where its dies close round all wires at once.
 */
export function closedOn(
  method: Pick<AnyMethod, 'window'>,
  { left, right }: JointWires,
): { readonly ends: readonly [left: number, right: number]; readonly total: number } {
  const ends = [sumAreaMm2(left), sumAreaMm2(right)] as const;
  // On a bared window the main wire runs through and counts once.
  return { ends, total: method.window ? ends[1] : ends[0] + ends[1] };
}

/** Tools for a method, and the tasks for which there is none. */
export interface Tooled {
  readonly tools: readonly Tool[];
  readonly missing: readonly ToolTask[];
}

/**
 * The best tool for each task of a method, and the tasks for which there is none: dies and nests must take the copper.
 */
export function toolsFor(
  method: AnyMethod,
  joints: readonly JointWires[],
  tools: readonly Tool[],
  asOf: string | undefined,
): Tooled {
  const closed = joints.map((joint) => closedOn(method, joint));
  const takes = (tool: Tool, task: ToolTask): boolean => {
    const { isByTotal, isCrimp } = TOOL_TASKS[task];
    const areas = isByTotal ? closed.map(({ total }) => total) : closed.flatMap(({ ends }) => ends);
    return areas.every(
      (areaMm2) =>
        (tool.range === undefined || holds(tool.range, areaMm2)) &&
        (!isCrimp || hasNest(tool, { areaMm2, barrel: method.barrel })),
    );
  };
  const found = method.tasks.map((task) => ({
    task,
    tool: tools
      .filter((tool) => tool.tasks.includes(task) && takes(tool, task))
      .sort((a, b) => rankOfTool(a, asOf) - rankOfTool(b, asOf) || a.id.localeCompare(b.id))[0],
  }));
  return {
    tools: found.flatMap(({ tool }) => tool ?? []),
    missing: found.flatMap(({ task, tool }) => (tool ? [] : [task])),
  };
}
