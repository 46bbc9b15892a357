import { withSection } from '../electrical.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from '../types.ts';
import { causeAsks, fuseAsks, liftedAt, loadAsks, orders } from '../asks.ts';
import type { Ask } from '../askTypes.ts';
import { NOT_NOTED } from './work.ts';

/** A way judged, and what it turns into once it is chosen. */
export interface Candidate {
  readonly way: RankedWay;
  readonly decided: Partial<Decision>;
}

/** A decision before anything is chosen. */
export type Undecided = Omit<Decision, 'approach' | 'because' | 'ways'>;

/**
 * What else belongs to the decision: the sentences that lead to it, warnings, a cause that has to be found, and whether
 * a person asked for this way.
 */
export interface Around {
  readonly ways: readonly RankedWay[];
  readonly because: readonly string[];
  readonly warnings: readonly string[];
  readonly cause?: string | undefined;
  readonly wayAsked: boolean;
}

function asksOf(
  way: RankedWay,
  { cavity }: Partial<Decision>,
  electrical: Electrical,
  input: DecideInput,
  cause: string | undefined,
): readonly Ask[] {
  const wantsTerminal = cavity?.acts.includes('crimpTerminal') === true && !cavity.terminal;
  const hasNone = way.status === 'shelf' && way.lacks.length === 0;
  return [
    ...orders(way.status === 'shelf' ? way.lacks : []),
    ...(cavity && (wantsTerminal || hasNone)
      ? [
          {
            does: 'note',
            words: cavity.unknown ?? (hasNone ? way.because : NOT_NOTED),
            at: (hasNone ? liftedAt(way.ruleId, input.finding) : undefined) ?? { on: 'fitting', ...cavity.at },
          } as const,
        ]
      : []),
    ...(cavity?.asks ?? []),
    ...loadAsks(input, electrical),
    ...fuseAsks(input, electrical),
    ...causeAsks(input.finding, cause),
  ];
}

/**
 * A chosen way made into a decision. Its splice is the one that a person chose, or that begun work is made by, as long
 * as that may be used; new wire counts for the fuse, and what was refused of it is said.
 */
export function finish(input: DecideInput, base: Undecided, { way, decided }: Candidate, around: Around): Decision {
  const { choice, held } = input;
  const wanted = decided.ranked?.find((one) => one.methodId === (choice?.use ?? held?.use));
  const usable = wanted !== undefined && (wanted.status === 'allowed' || wanted.usableWithReason);
  const method = usable ? wanted : decided.method;
  const { insertWire } = decided;
  const electrical =
    method && insertWire
      ? withSection(input, {
          where: decided.lead ? 'the new lead' : 'the insert',
          facts: input.runFacts,
          wire: insertWire.wire,
        })
      : base.electrical;
  const chosenBy = choice && (around.wayAsked || (usable && choice.use === wanted.methodId)) ? choice : undefined;
  const dropped =
    choice && !chosenBy
      ? [`The choice of ${choice.by} can no longer be used here; the first that is possible stands instead.`]
      : [];
  return {
    ...base,
    ...decided,
    electrical,
    method,
    approach: way.way,
    ways: around.ways,
    chosenBy,
    because: [...around.because, way.because, ...(method ? [method.because] : [])].filter((words) => words !== ''),
    warnings: [
      ...(insertWire?.refusedBecause === undefined ? [] : [insertWire.refusedBecause]),
      ...around.warnings,
      ...dropped,
      ...(decided.cavity?.warnings ?? []),
      ...(method?.hits.filter((hit) => hit.verdict === 'warn').map((hit) => hit.because) ?? []),
    ],
    asks: asksOf(way, decided, electrical, input, around.cause),
  };
}
