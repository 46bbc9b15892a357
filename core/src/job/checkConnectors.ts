import { someOf } from '../units/index.ts';
import { cavitiesOf } from '../connector/index.ts';
import type { Harness } from '../harness/index.ts';
import type { JobProblem } from './problem.ts';

/** The cavities of every connector whose face is described; a face that cannot be is a problem of its own. */
function describedCavities(harness: Harness): {
  readonly cavities: ReadonlyMap<string, readonly string[]>;
  readonly problems: JobProblem[];
} {
  const cavities = new Map<string, readonly string[]>();
  const problems: JobProblem[] = [];
  harness.nodes.forEach((node, index) => {
    if (!node.face) return;
    const pointer = `/harness/nodes/${index}/face`;
    try {
      cavities.set(
        node.id,
        cavitiesOf(node.face).map((one) => one.cavity),
      );
    } catch (error) {
      problems.push({
        code: 'CONNECTOR_FACE',
        pointer,
        message: `${node.name}: ${error instanceof Error ? error.message : 'its face cannot be.'}`,
        hint: 'Correct layout and numbering; every cavity has a number of its own.',
      });
      return;
    }
    const count = cavities.get(node.id)?.length ?? 0;
    if (node.ways !== undefined && node.ways !== count) {
      problems.push({
        code: 'WAYS_DISAGREE',
        pointer: `/harness/nodes/${index}/ways`,
        message: `${node.name} is said to have ${node.ways} ways, and its face has ${count} cavities.`,
        hint: 'Count the cavities; leave out the places that are not there.',
      });
    }
  });
  return { cavities, problems };
}

/**
 * What is wrong with connectors: a face that cannot be, ways that disagree, a circuit in a cavity that its connector
 * does not have.
 */
export function checkConnectors(harness: Harness): JobProblem[] {
  const { cavities, problems } = describedCavities(harness);
  const misplaced = harness.circuits.flatMap((circuit, index) =>
    (['from', 'to'] as const).flatMap((end): JobProblem[] => {
      const known = cavities.get(circuit[end].nodeId);
      if (!known || known.includes(circuit[end].cavity)) return [];
      const name = harness.nodes.find((node) => node.id === circuit[end].nodeId)?.name ?? circuit[end].nodeId;
      return [
        {
          code: 'UNKNOWN_CAVITY',
          pointer: `/harness/circuits/${index}/${end}/cavity`,
          message: `Circuit ${circuit.number} is in cavity ${circuit[end].cavity} of ${name}, which has no such cavity.`,
          hint: `Its cavities are ${someOf(known)}.`,
        },
      ];
    }),
  );
  return [...problems, ...misplaced];
}
