import { describe, expect, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { CavityFitting } from '../harness/index.ts';
import type { FindingPlan } from '../plan/index.ts';
import { DRY_CABIN, jobWith, planOf, wire, type CaseOptions } from '../test/samples.ts';

interface Place extends Omit<CaseOptions, 'circuits'> {
  readonly areaMm2?: number;
  readonly loadA?: number;
  readonly fitting?: CavityFitting;
}
type Found = Parameters<typeof jobWith>[0][number];

/** The plan of one finding; what stands in cavities 1 and 9 of X1 is noted. */
function planAt(finding: Found, { areaMm2 = 2.5, loadA, fitting, ...options }: Place): FindingPlan {
  const job = jobWith([finding], { ...options, circuits: [{ wire: wire(areaMm2), loadA }] });
  const nodes = job.harness.nodes.map((node) =>
    node.id === 'X1' && fitting ? { ...node, fittings: { 1: fitting, 9: fitting } } : node,
  );
  return planOf({ ...job, harness: { ...job.harness, nodes } }, options).findings[0]!;
}
const ordered = ({ asks }: FindingPlan): readonly string[] =>
  asks.flatMap(({ does, words }) => (does === 'order' ? [words.replace(/^Order /, '').replaceAll(NONE, '')] : []));
const hot = (ambientC: number) => ({ zone: { ...DRY_CABIN, ambientC } });
const NONE = ' (none listed will do: add it to the shelf, and it is planned)';

/** A shop whose press has dies for every size. */
const WITH_A_PRESS: Catalogue = {
  ...FULL_SHELF,
  tools: FULL_SHELF.tools.map(({ range, ...tool }) =>
    tool.tasks.includes('crimpHeavy') || range === undefined ? tool : { ...tool, range },
  ),
};
/** Every terminal of the shop is stamped 8 A. */
const EIGHT_AMPERES: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (part.kind === 'terminal' ? { ...part, ratedA: 8 } : part)),
};
const PRESS = '1 × a press with dies for heavy barrels';
const CUT: Found = { kind: 'parted' };
const FREE: Found = {
  kind: 'addCircuit',
  branchWires: [wire(0.75)],
  freeCavity: { nodeId: 'X1', cavity: '9' },
};
const LOST: Found = { kind: 'terminalDamaged', at: { nodeId: 'X1', cavity: '1' } };

describe('nothing that is listed will do: what to order instead, by kind, range, number and heat', () => {
  test.each<[string, Found, Place, FindingPlan['approach'], readonly string[]]>([
    ['a place at 125 °C: everything stands it', CUT, hot(125), 'insert', []],
    [
      'at 190: of what nearly stands it, the least',
      CUT,
      hot(190),
      'byHand',
      ['1 × Self-fusing tape: 25 mm wide, rated 190 °C or more'],
    ],
    [
      'at 190, 4 mm²: clips hold it, so no barrel of a size nobody lists is asked for',
      CUT,
      { ...hot(190), areaMm2: 4, catalogue: WITH_A_PRESS },
      'byHand',
      ['1 × Self-fusing tape: 25 mm wide, rated 190 °C or more'],
    ],
    ['107 mm², the largest barrel that is listed', CUT, { areaMm2: 107 }, 'insert', []],
    [
      '120 mm²: a larger one, for both ends of an insert',
      CUT,
      { areaMm2: 120 },
      'byHand',
      ['2 × Heavy butt barrel: 120 mm² an end, rated 40 °C or more', PRESS],
    ],
    [
      '120 mm² with slack: one',
      { ...CUT, slackMm: 40 },
      { areaMm2: 120 },
      'byHand',
      ['1 × Heavy butt barrel: 120 mm² an end, rated 40 °C or more', PRESS],
    ],
    [
      '231 mm², twice what is listed',
      CUT,
      { areaMm2: 231 },
      'byHand',
      ['2 × Heavy butt barrel: 231 mm² an end, rated 40 °C or more', PRESS],
    ],
    ['232 mm²: nobody knows whether one is made', CUT, { areaMm2: 232 }, 'byHand', []],
    [
      'a terminal at 190 °C: terminal and splice, or a pigtail',
      LOST,
      { ...hot(190), fitting: { terminal: '2.8' } },
      'byHand',
      [
        '1 × 2.8 mm terminal: 0.5–2.5 mm², strip 5 mm, jacket 1.4–3.4 mm, rated 190 °C or more',
        '1 × Self-fusing tape: 25 mm wide, rated 190 °C or more',
        'Or order 1 × Pigtail for X1: 1-way, 2.5 mm² or more in 1, for 190 °C',
      ],
    ],
    [
      'a lug for 120 mm²',
      { ...LOST, slackMm: 60 },
      { areaMm2: 120, fitting: { terminal: 'lugM10' } },
      'newTerminal',
      ['1 × Lug M10: 120 mm², rated 40 °C or more'],
    ],
    [
      'a ring for 120 mm²: none is made so large',
      LOST,
      { areaMm2: 120, fitting: { terminal: 'ringM10' } },
      'byHand',
      ['1 × Pigtail for X1: 1-way, 120 mm² or more in 1, for 40 °C'],
    ],
    [
      'a lead for a free cavity at 190 °C',
      FREE,
      { ...hot(190), fitting: { terminal: '1.5' } },
      'byHand',
      ['1 × 1.5 mm terminal: 0.35–1.5 mm², strip 4.5 mm, jacket 1.2–2.8 mm, rated 190 °C or more'],
    ],
    [
      'a load that no 1.5 mm terminal of the shop carries',
      FREE,
      { areaMm2: 1.5, loadA: 10.5, fitting: { terminal: '1.5' }, catalogue: EIGHT_AMPERES },
      'byHand',
      ['1 × 1.5 mm terminal: 0.75 mm², 10.5 A or more, rated 51 °C or more'],
    ],
  ])('%s', (_, finding, place, approach, orders) => {
    const plan = planAt(finding, place);
    expect([plan.approach, ordered(plan)]).toEqual([approach, orders]);
  });
});
