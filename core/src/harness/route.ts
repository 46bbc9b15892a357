import type { Run } from './types.ts';

/**
 * The runs that lead from one node to another without going back, in order; none when they do not hang together. The
 * shortest where there are several.
 */
export function routeBetween(
  runs: readonly Run[],
  fromNodeId: string,
  toNodeId: string,
): readonly string[] | undefined {
  const reached = new Map<string, { readonly lengthMm: number; readonly runIds: readonly string[] }>([
    [fromNodeId, { lengthMm: 0, runIds: [] }],
  ]);
  const open = [fromNodeId];
  for (let nodeId = open.shift(); nodeId !== undefined; nodeId = open.shift()) {
    const here = reached.get(nodeId);
    if (!here) continue;
    for (const run of runs) {
      if (run.fromNodeId !== nodeId && run.toNodeId !== nodeId) continue;
      const far = run.fromNodeId === nodeId ? run.toNodeId : run.fromNodeId;
      const lengthMm = here.lengthMm + run.lengthMm;
      const known = reached.get(far);
      if (known && known.lengthMm <= lengthMm) continue;
      reached.set(far, { lengthMm, runIds: [...here.runIds, run.id] });
      open.push(far);
    }
  }
  return fromNodeId === toNodeId ? undefined : reached.get(toNodeId)?.runIds;
}
