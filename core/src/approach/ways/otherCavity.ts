import { cavitiesOf } from '../../connector/index.ts';
import type { RankedWay } from '../types.ts';
import { work, type At } from './at.ts';
import type { Candidate } from './finish.ts';
import { ACT_MINUTES } from './work.ts';

/** Cavities of the connector in which no circuit sits. */
function freeHere({ node, input }: At): readonly string[] {
  if (!node?.face) return [];
  const taken = new Set(
    input
      .circuitsAt(node.id)
      .flatMap(({ from, to }) => [from, to])
      .filter(({ nodeId }) => nodeId === node.id)
      .map(({ cavity }) => cavity),
  );
  return cavitiesOf(node.face)
    .map(({ cavity }) => cavity)
    .filter((cavity) => !taken.has(cavity));
}

/**
 * Both wires of a damaged cavity moved into one that is free on both halves of the connector; nobody but a person sees
 * the mate.
 */
export function otherCavity(at: At): Candidate | undefined {
  const { finding, node } = at;
  if (node?.kind !== 'connector') return undefined;
  const chosen = 'otherCavity' in finding ? finding.otherCavity : undefined;
  const free = freeHere(at);
  const cost = { splices: 0, minutes: 2 * ACT_MINUTES.move, wireMm: 0, parts: [] };
  if (chosen === undefined) {
    const way: RankedWay = {
      way: 'otherCavity',
      status: 'refused',
      ruleId: 'way.otherCavity',
      allowedIf: 'a cavity were free on both halves, and named in the finding',
      cost,
      lacks: [],
      because:
        free.length > 0
          ? `${free.length === 1 ? 'Cavity' : 'Cavities'} ${free.join(', ')} of ${node.name} ${free.length === 1 ? 'is' : 'are'} free here; nobody has noted whether the mate is free there too.`
          : `Nobody has noted a cavity of ${node.name} that is free on both halves.`,
    };
    return { way, decided: {} };
  }
  const way: RankedWay = {
    way: 'otherCavity',
    status: 'allowed',
    ruleId: 'way.otherCavity',
    cost,
    lacks: [],
    because: `Cavity ${chosen} of ${node.name} is free on both halves: both wires move into it, nothing is cut, and the pinout says so from then on.`,
  };
  return {
    way,
    decided: {
      cavity: work(at, way, {
        acts: ['move'],
        toCavity: chosen,
      }),
    },
  };
}
