import type { Circuit, HarnessNode, Run, Zone } from '../harness/index.ts';

/**
 * The connectors of a new harness, the one with most circuits first, and the runs between them without their lengths.
 */
export interface ProposedTree {
  readonly nodes: readonly HarnessNode[];
  readonly runs: readonly Omit<Run, 'lengthMm' | 'zone'>[];
}

/**
 * A tree for connectors of which only the circuits are known: two are joined by one run; with more, a trunk leads from
 * the one with most circuits to a branch, and a run from there to each other. Lengths are to be measured.
 */
export function proposeTree(
  connectors: readonly HarnessNode[],
  circuits: readonly Pick<Circuit, 'from' | 'to'>[],
): ProposedTree {
  const ends = (id: string): number => circuits.filter(({ from, to }) => from.nodeId === id || to.nodeId === id).length;
  const [start, ...others] = [...connectors].sort((a, b) => ends(b.id) - ends(a.id));
  const [only] = others;
  if (!start || !only) return { nodes: connectors, runs: [] };
  const run = (id: string, from: HarnessNode, to: HarnessNode): Omit<Run, 'lengthMm' | 'zone'> => ({
    id,
    name: `${from.name} to ${to.name}`,
    fromNodeId: from.id,
    toNodeId: to.id,
    features: [],
  });
  if (others.length === 1) return { nodes: [start, only], runs: [run('R1', start, only)] };
  const taken = new Set(connectors.flatMap((node) => [node.id.toLowerCase(), node.name.toLowerCase()]));
  const name =
    ['B1', 'Branch 1', 'Branch of the harness'].find((one) => !taken.has(one.toLowerCase())) ??
    'Branch of the new harness';
  const branch: HarnessNode = { id: name.replace(/\s/g, '-'), kind: 'branch', name };
  return {
    nodes: [start, branch, ...others],
    runs: [run('R1', start, branch), ...others.map((node, index) => run(`R${index + 2}`, branch, node))],
  };
}

/** What a run is taken to live with until somebody says otherwise: the harsher side of usual. */
export const USUAL_ZONE: Zone = { area: 'chassis', vibration: 'moderate', moisture: 'damp', fuelVapour: false };
