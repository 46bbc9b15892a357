import { RELEASE_GUIDES } from '../../connector/index.ts';
import { cavityKindOf, findingInWords, type CavityFinding, type CavityWay } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { asksWithoutWay } from '../asks.ts';
import { cableWarnings, sentence } from '../copper.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from '../types.ts';
import { extend, newTerminal, pigtail, rehouse, relead, solderedLead } from './anew.ts';
import type { At } from './at.ts';
import { causeAt } from './cause.ts';
import { finish, type Candidate, type Undecided } from './finish.ts';
import { around } from './around.ts';
import { otherCavity } from './otherCavity.ts';
import { correct, refit, solderToPin } from './putBack.ts';
import { WAY_WORDS } from './work.ts';

/** How each way is judged; a kind of damage says which of them may mend it. */
const JUDGES: Readonly<Record<CavityWay, (at: At) => Candidate | undefined>> = {
  newTerminal,
  relead,
  pigtail,
  rehouse: (at) => rehouse(at, false),
  rehouseAll: (at) => rehouse(at, true),
  refit,
  correct,
  solderToPin,
  solderedLead,
  otherCavity,
  extend,
};

/** How the terminal comes out here, where a terminal has to be freed. */
const freeing = (node: HarnessNode | undefined): string =>
  node?.lock === undefined
    ? 'How its terminals are held is not known: look it up before anything is pried.'
    : `Its terminals are held by: ${RELEASE_GUIDES[node.lock].name.toLowerCase()}; the steps stand at the connector.`;

function warningsAt({ node, input, finding }: At, chosen: RankedWay, cause: string | undefined): string[] {
  const warnings: string[] = [];
  if (cause) warnings.push(cause);
  const own = cavityKindOf(finding.kind).warns?.(finding);
  if (own !== undefined) warnings.push(own);
  if (node?.kind === 'connector' && !['refit', 'solderToPin', 'extend'].includes(chosen.way))
    warnings.push(freeing(node));
  if (chosen.cost.splices > 0 && cavityKindOf(finding.kind).endsCable !== true) warnings.push(...cableWarnings(input));
  if ((chosen.way === 'pigtail' || chosen.way === 'rehouse') && node) {
    const without = input
      .circuitsAt(node.id)
      .filter((circuit) => !input.foundAt(node.id).some((other) => other.circuitId === circuit.id));
    if (without.length > 0)
      warnings.push(
        `The whole connector is replaced: note the finding for circuit ${without.map((circuit) => circuit.number).join(', ')} as well.`,
      );
  }
  return warnings;
}

/**
 * What to do about damage at a cavity: the first way that is possible, with every way judged. Where none is possible
 * now, the first that only lacks something on the shelf is planned and what to order is named.
 */
export function decideAtCavity(
  input: DecideInput,
  finding: CavityFinding,
  electrical: Electrical,
  base: Undecided,
): Decision {
  const { choice, held } = input;
  const at: At = { input, finding, node: input.nodes.get(finding.at.nodeId), electrical };
  const list = cavityKindOf(finding.kind)
    .ways(finding)
    .map((way) => JUDGES[way](at))
    .filter((one) => one !== undefined)
    .map((one) => around(at, one));
  const asked = list.find(
    ({ way }) => way.way === (input.share.way ?? choice?.use ?? held?.way) && way.status !== 'refused',
  );
  const chosen =
    asked ?? list.find(({ way }) => way.status === 'allowed') ?? list.find(({ way }) => way.status === 'shelf');
  const ways = list.map(({ way }) => way);
  const cause = causeAt(at);
  const found = sentence(findingInWords(finding));
  if (!chosen)
    return {
      ...base,
      approach: 'byHand',
      ways,
      because: [found, ways[0]?.because ?? ''],
      asks: asksWithoutWay(ways, ({ way }) => WAY_WORDS[way], input),
    };
  const passed = ways
    .slice(0, list.indexOf(chosen))
    .filter((way) => way.status === 'refused')
    .map((way) => way.because);
  return finish(input, base, chosen, {
    ways,
    because: [found, ...passed],
    warnings: warningsAt(at, chosen.way, cause?.words),
    cause: cause?.asks,
    wayAsked: choice !== undefined && asked?.way.way === choice.use,
  });
}
