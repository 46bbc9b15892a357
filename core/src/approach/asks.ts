import { orderInWords, type Lack } from '../catalogue/index.ts';
import { isAtCavity, runKindOf, type Finding } from '../damage/index.ts';
import { nearestByOrder, type RankedMethod } from '../method/index.ts';
import { figure } from '../units/index.ts';
import { CANNOT_BE_C } from '../wire/index.ts';
import { ADDED_WIRE } from './electrical.ts';
import type { AnsweredAt, Ask, CircuitField, FindingField, NodeField, RunField } from './askTypes.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from './types.ts';

/** Most of the ways out that are named. */
const NAMED = 3;

/** What several things lack, each once: of what they share, as a stick, a roll or a tool, one serves all. */
const eachOnce = (lacks: readonly Lack[]): readonly Lack[] =>
  lacks.filter(({ name, number }, at) =>
    lacks.every(
      (other, index) => other.name !== name || other.number < number || (other.number === number && index >= at),
    ),
  );

/** What to order, line by line: how many, which, and what it takes. */
export const orders = (lacks: readonly Lack[]): readonly Ask[] =>
  eachOnce(lacks).map((lack) => ({
    does: 'order',
    words: `Order ${orderInWords(lack)}`,
    at: { on: 'shelf', name: lack.name },
  }));

/** What to order where each of several would do: the first line by line, each other in one line that says so. */
function eitherOrder(each: readonly (readonly Lack[])[]): readonly Ask[] {
  const wordsOf = (lacks: readonly Lack[]): string => eachOnce(lacks).map(orderInWords).join(' and ');
  const [first = [], ...others] = each
    .filter((lacks) => lacks.length > 0)
    .filter((lacks, at, all) => all.findIndex((other) => wordsOf(other) === wordsOf(lacks)) === at)
    .slice(0, NAMED);
  return [
    ...orders(first),
    ...others.map((lacks): Ask => ({
      does: 'order',
      words: `Or order ${wordsOf(lacks)}`,
      at: { on: 'shelf', name: lacks[0]?.name ?? '' },
    })),
  ];
}

/** Which field lifts a refusal of that rule, at this finding; none where no field does. */
export const liftedAt = (ruleId: string, finding: Finding): AnsweredAt | undefined => LIFTED[ruleId]?.(finding);

const onFinding =
  (field: FindingField) =>
  ({ id }: Finding): AnsweredAt => ({ on: 'finding', findingId: id, field });
const onRun =
  (field: RunField) =>
  ({ runId }: Finding): AnsweredAt => ({ on: 'run', runId, field });
const onCircuit =
  (field: CircuitField) =>
  ({ circuitId }: Finding): AnsweredAt => ({ on: 'circuit', circuitId, field });
const onPractice = (): AnsweredAt => ({ on: 'practice' });
const atCavity =
  (make: (nodeId: string, cavity: string) => AnsweredAt) =>
  (finding: Finding): AnsweredAt | undefined =>
    isAtCavity(finding)
      ? make(finding.at.nodeId, finding.at.cavity)
      : 'freeCavity' in finding && finding.freeCavity
        ? make(finding.freeCavity.nodeId, finding.freeCavity.cavity)
        : undefined;
const onFitting = atCavity((nodeId, cavity) => ({ on: 'fitting', nodeId, cavity }));
const onNode = (field: NodeField) => atCavity((nodeId) => ({ on: 'node', nodeId, field }));

/** By rule: the field that its refusal hangs on. */
const LIFTED: Readonly<Record<string, (finding: Finding) => AnsweredAt | undefined>> = {
  'sleeve.cannotSlide': onFinding('freedEndMm'),
  'cover.noFreeEnd': onFinding('freedEndMm'),
  'sleeve.none': onFinding('freedEndMm'),
  'way.slack': onFinding('slackMm'),
  'way.tailTooShort': onFinding('slackMm'),
  'wire.smaller': onFinding('insertWire'),
  'place.noRoom': onRun('features'),
  'rated.under': onRun('ambientC'),
  'solder.hot': onRun('ambientC'),
  'solder.vibrating': onRun('vibration'),
  'solder.flexing': onRun('features'),
  'vapour.iron': onRun('fuelVapour'),
  'vapour.hotAir': () => ({ on: 'gate', entry: 'vapour' }),
  'cover.clothDamp': onRun('moisture'),
  'end.sealMissing': onRun('moisture'),
  'end.amps': onCircuit('loadA'),
  'end.solid': onCircuit('wire'),
  'wire.aluminium': onCircuit('wire'),
  'end.use': onFitting,
  'size.noPartHolds': onCircuit('wire'),
  'way.terminalUnknown': onFitting,
  'way.lockUnknown': onNode('lock'),
  'way.otherCavity': onFinding('otherCavity'),
  'way.otherFamily': onNode('family'),
  'way.otherKeying': onNode('keying'),
  'practice.crimpOnly': onPractice,
  'practice.solderStillAndDry': onPractice,
};

/** Something judged and refused: by which rule, why, and what would lift it. */
interface Refused {
  readonly name: string;
  readonly ruleId: string;
  readonly because: string;
  readonly allowedIf?: string | undefined;
}

/** What would make the nearest of the refused possible; what no field lifts is left to the maker's procedure. */
function whatLifts(refused: readonly Refused[], input: DecideInput): readonly Ask[] {
  const seen = new Set<string>();
  return refused.flatMap(({ name, ruleId, because, allowedIf }): Ask[] => {
    const at = liftedAt(ruleId, input.finding);
    // What no field lifts nobody can do anything about: a place does not turn wet for a method.
    if (allowedIf === undefined || at === undefined || seen.has(allowedIf)) return [];
    seen.add(allowedIf);
    return [{ does: 'note', words: `${name} would do if ${allowedIf}. ${because}`, at }];
  });
}

/** Last resort, said wherever nothing that we know is possible. */
const maker = (isLast: boolean, { finding }: Pick<DecideInput, 'finding'>): Ask => ({
  does: 'decide',
  words: `${isLast ? 'Or ask' : 'Ask'} the maker of the harness for its own procedure, or replace the harness from connector to connector; note which`,
  at: { on: 'finding', findingId: finding.id, field: 'note' },
});
/** The list with the maker at its end. */
const thenMaker = (asks: readonly Ask[], input: Pick<DecideInput, 'finding'>): readonly Ask[] => [
  ...asks,
  maker(asks.length > 0, input),
];

/** What to do where no method may be used on a run: the nearest first, slack to be measured, else the maker. */
export function asksWithoutMethod(ranked: readonly RankedMethod[], input: DecideInput): readonly Ask[] {
  if (ranked.some(({ hits }) => hits.some(({ isOfWire }) => isOfWire))) return thenMaker([], input);
  const nearest = ranked.flatMap(({ name, hits }): Refused[] => {
    const bars = hits.filter(({ verdict }) => verdict === 'refuse');
    const [bar] = bars;
    return bar && bars.length === 1 ? [{ name, ...bar }] : [];
  });
  const measure: readonly Ask[] = input.share.slackKnown
    ? []
    : [
        {
          does: 'measure',
          words: 'Pull the harness together by hand and note the slack: one splice needs less room than two',
          at: { on: 'finding', findingId: input.finding.id, field: 'slackMm' },
        },
      ];
  const nearby = whatLifts(nearest, input).slice(0, NAMED);
  return thenMaker([...measure, ...orders(nearestByOrder(ranked)?.order ?? []), ...nearby], input);
}

/** What to do where no way at a cavity is possible. */
export const asksWithoutWay = (
  ways: readonly RankedWay[],
  nameOf: (way: RankedWay) => string,
  input: DecideInput,
): readonly Ask[] =>
  thenMaker(
    [
      ...eitherOrder(ways.map(({ lacks }) => lacks)),
      ...whatLifts(
        ways.map((way) => ({ ...way, name: nameOf(way) })),
        input,
      ).slice(0, NAMED),
    ],
    input,
  );

/** Fuses that are made, A. */
const FUSES_A = [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 35, 40, 50, 60, 80, 100, 125, 150, 175, 200, 250, 300];

/** What to do about a fuse that lets more through than the path may carry; nothing where it protects. */
export function fuseAsks(
  { circuit }: Pick<DecideInput, 'circuit'>,
  { fuseA, fuseProtects, weakest }: Electrical,
): readonly Ask[] {
  if (fuseProtects !== false || fuseA === undefined) return [];
  const at = { on: 'circuit', circuitId: circuit.id, field: 'fuseA' } as const;
  const may = figure(weakest.amps, 1);
  if (weakest.where !== ADDED_WIRE)
    return [
      {
        does: 'measure',
        words: `The ${figure(fuseA)} A fuse does not protect this wire, which may carry ${may} A${weakest.where === 'here' ? '' : ` where it is weakest (${weakest.where})`}: read the fuse in its holder, and the maker’s diagram`,
        at,
      },
    ];
  const own = FUSES_A.filter((amps) => amps <= weakest.amps).at(-1);
  return [
    {
      does: 'decide',
      words: `The ${figure(fuseA)} A fuse does not protect the added wire, which may carry ${may} A: ${own === undefined ? 'take' : `give it a fuse of its own, ${figure(own)} A at most, where it branches off, or take`} a thicker wire`,
      at,
    },
  ];
}

/** A load that cannot be is asked for again. */
export const loadAsks = (
  { circuit }: Pick<DecideInput, 'circuit'>,
  { impossibleLoadA, areaMm2 }: Electrical,
): readonly Ask[] =>
  impossibleLoadA === undefined
    ? []
    : [
        {
          does: 'measure',
          words: `${figure(impossibleLoadA)} A cannot flow in ${figure(areaMm2)} mm², it would pass ${CANNOT_BE_C} °C: check the load, and the size of the wire`,
          at: { on: 'circuit', circuitId: circuit.id, field: 'loadA' },
        },
      ];

/** A stretch that is read once more before it is cut, where it is longer than the slack. */
export function readingAsks({ finding, share }: Pick<DecideInput, 'finding' | 'share'>): readonly Ask[] {
  if (isAtCavity(finding)) return [];
  const words = runKindOf(finding.kind).readsAgain?.(finding, share.slackKnown ? share.slackMm : undefined);
  return words === undefined
    ? []
    : [{ does: 'measure', words, at: { on: 'finding', findingId: finding.id, field: 'fromMm' } }];
}

/** So near its end the length of a run decides where a splice may lie: a body, and the room that connectors want. mm. */
const NEAR_END_MM = 150;

/** The length of a run that nobody has measured, where a splice has to lie near its far end or is counted from there. */
export function lengthAsks(
  { finding, run }: Pick<DecideInput, 'finding' | 'run'>,
  { approach, lost, method }: Pick<Decision, 'approach' | 'lost' | 'method'>,
): readonly Ask[] {
  if (run.atLeast !== true || approach === 'cover' || approach === 'withOther') return [];
  if (lost.toMm <= run.lengthMm - NEAR_END_MM) return [];
  // At the connector there is nothing to place, unless its wires are spliced behind it.
  if (isAtCavity(finding) && !method) return [];
  const why = isAtCavity(finding)
    ? 'Its splices lie behind the far end, and their places are counted from the start'
    : 'The damage lies near its far end as far as that was measured, and a splice keeps away from what is there';
  return [
    {
      does: 'measure',
      words: `How long is “${run.name}”? ${why}`,
      at: { on: 'run', runId: run.id, field: 'lengthMm' },
    },
  ];
}

/** The cause of the damage, where nobody has noted it. */
export const causeAsks = (finding: Finding, asked: string | undefined): readonly Ask[] =>
  asked === undefined || finding.note !== undefined
    ? []
    : [{ does: 'note', words: asked, at: { on: 'finding', findingId: finding.id, field: 'note' } }];
