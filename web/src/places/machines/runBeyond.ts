import { idFrom, NOT_MEASURED_MM, type Harness, type HarnessNode, type NodeKind } from '@mendum/core/harness';
import { USUAL_ZONE, type HarnessEdit } from '@mendum/core/survey';
import { freeId } from './draft.ts';

/**
 * A run from a node to something that is new, in the zone of the runs that are there.
 * @param lengthMm how long it is; where nobody has measured that, it says so
 */
export function runBeyond(
  harness: Harness,
  node: HarnessNode,
  at: { readonly kind: NodeKind; readonly name: string },
  lengthMm: number | undefined,
): Extract<HarnessEdit, { readonly do: 'addRun' }> & { readonly node: HarnessNode } {
  const ids = harness.nodes.map((one) => one.id);
  const wanted = idFrom(at.name);
  const id = ids.includes(wanted) ? freeId('N', ids) : wanted;
  const beside = harness.runs.find(({ fromNodeId, toNodeId }) => [fromNodeId, toNodeId].includes(node.id));
  return {
    do: 'addRun',
    node: { id, kind: at.kind, name: at.name },
    run: {
      id: freeId(
        'R',
        harness.runs.map((one) => one.id),
      ),
      name: `${node.name} to ${at.name}`,
      fromNodeId: node.id,
      toNodeId: id,
      ...(lengthMm === undefined ? { lengthMm: NOT_MEASURED_MM, atLeast: true } : { lengthMm }),
      zone: beside?.zone ?? USUAL_ZONE,
      features: [],
    },
  };
}
