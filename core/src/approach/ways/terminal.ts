import {
  flexStretches,
  terminalInWords,
  type Circuit,
  type HarnessNode,
  type TerminalFamily,
} from '../../harness/index.ts';
import { isAtCavity } from '../../damage/index.ts';
import type { Lack, Tool } from '../../catalogue/index.ts';
import { ordersThatLift, type RuleHit } from '../../method/index.ts';
import { nestFor, nestInWords, toolAndNest } from '../../sizing/index.ts';
import { bodyOf, formOf } from '../../terminal/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { wireFacts, type WireFacts, type WireSpec } from '../../wire/index.ts';
import { believedLoadA } from '../electrical.ts';
import { unknownOf } from '../ends/candidates.ts';
import { rankEnds } from '../ends/rank.ts';
import type { RankedEnd } from '../ends/types.ts';
import type { Ask } from '../askTypes.ts';
import type { FittedTerminal } from '../cavityTypes.ts';
import type { DecideInput, Electrical } from '../types.ts';

/** A terminal for one wire in one cavity, what of it is not on the shelf, and what is not known. */
export interface TerminalFit {
  readonly family?: TerminalFamily | undefined;
  readonly terminal?: FittedTerminal | undefined;
  readonly toolNames: readonly string[];
  /** Names of what would have to be ordered. */
  readonly lacks: readonly Lack[];
  /** What nobody has noted or nothing can mend. */
  readonly unknown?: string | undefined;
  /** Why the best there is may not be used here, by which rule, and what would lift it. */
  readonly refused?: Pick<RuleHit, 'ruleId' | 'because' | 'allowedIf' | 'orders'> | undefined;
  /** What is to be watched at it. */
  readonly warnings: readonly string[];
  /** What somebody has to decide about the place itself. */
  readonly asks?: readonly Ask[] | undefined;
  /** Every terminal that was looked at. */
  readonly ranked: readonly RankedEnd[];
}

/** What is asked while a terminal cannot be named. */
const ASKED: Readonly<Record<NonNullable<ReturnType<typeof unknownOf>>, (where: string) => string>> = {
  use: (where) => `Nobody has noted which terminal belongs to ${where}: note its family there, or what the end is for`,
  family: (where) => `Nobody has noted the terminal family of ${where}: note it there`,
  stud: (where) => `Nobody has noted which stud ${where} is: measure it across the thread (M6 is 6 mm)`,
  tab: (where) =>
    `Nobody has noted how wide the tab of ${where} is: measure it; one relay may have tabs of 2.8 to 9.5 mm`,
};

const fitsWords = (part: TerminalPart, wire: WireFacts, folded: boolean): string =>
  [
    `${folded ? '2 × ' : ''}${figure(wire.areaMm2, 3)} mm² in ${figure(part.range.minMm2)}–${figure(part.range.maxMm2)} mm²`,
    ...(part.jacketMm
      ? [`jacket ${figure(wire.jacketMm)} in ${figure(part.jacketMm.minMm)}–${figure(part.jacketMm.maxMm)} mm`]
      : []),
  ].join(', ');

/** Tool and nest for the copper, and the jacket's nest where it is another one. */
function closedBy(tool: Tool, part: TerminalPart, areaMm2: number): NonNullable<FittedTerminal['crimpedBy']> {
  const what = {
    areaMm2,
    family: part.family,
    barrel: bodyOf(part) === 'bare' ? 'bare' : 'insulated',
    ...(formOf(part.family).nestBy === 'barrel' ? { barrelRange: part.range } : {}),
  } as const;
  const conductor = toolAndNest(tool, what);
  const nest = part.jacketMm === undefined ? undefined : nestFor(tool, what, 'jacket');
  return {
    conductor,
    hasRatchet: tool.ratchet,
    ...(nest && nest.stroke === 'jacket' ? { jacket: nestInWords(nest) } : {}),
  };
}

function fitted(
  { attach, folded, seal, stripMm, usesPartIds, crimpTool }: RankedEnd,
  part: TerminalPart,
  wire: WireFacts,
): FittedTerminal {
  return {
    family: part.family,
    partId: part.id,
    partName: part.name,
    attach,
    folded,
    stripMm,
    fitsWords: fitsWords(part, wire, folded),
    hasMetalSupport: part.support === 'metal',
    gripsJacket: part.jacketMm !== undefined,
    crimpedBy: crimpTool && closedBy(crimpTool, part, wire.areaMm2 * (folded ? 2 : 1)),
    seal,
    usesPartIds,
  };
}

const endsIn = ({ from, to }: Circuit, nodeId: string, cavity: string): boolean =>
  [from, to].some((end) => end.nodeId === nodeId && end.cavity === cavity);

/** The rule about too many terminals under one nut: said once for the stud, to be decided, and not with every wire. */
const STACK = 'end.stack';

function stackAsks(
  { finding, foundAt }: DecideInput,
  best: RankedEnd,
  nodeId: string | undefined,
  cavity: string,
): readonly Ask[] {
  const words = best.hits.find(({ ruleId }) => ruleId === STACK)?.because;
  if (words === undefined || nodeId === undefined) return [];
  const first = foundAt(nodeId).find((one) => isAtCavity(one) && one.at.cavity === cavity);
  if (first && first.id !== finding.id) return [];
  return [{ does: 'decide', words, at: { on: 'fitting', nodeId, cavity }, holdsKit: true }];
}

/**
 * The terminal that fits a wire at an end: the first of the ranking that no rule refuses. Where none does it is said
 * why, and what of it is missing is named.
 */
export function terminalFor(
  input: DecideInput,
  wire: WireSpec,
  node: HarnessNode | undefined,
  cavity: string,
  electrical: Electrical,
): TerminalFit {
  const fitting = node?.fittings?.[cavity];
  const facts = wireFacts(wire);
  const ranked = rankEnds({
    wire: facts,
    fitting,
    isConnector: node?.kind === 'connector',
    sharedBy: node ? input.circuitsAt(node.id).filter((circuit) => endsIn(circuit, node.id, cavity)).length : 1,
    zone: input.run.zone,
    flexing: flexStretches(input.run)[0]?.name,
    placeC: electrical.placeC,
    loadA: believedLoadA(electrical, input.circuit),
    vapourAired: input.gate.vapour !== undefined,
    asOf: input.asOf,
    practice: input.practice,
    catalogue: input.catalogue,
  });
  const where = node?.kind === 'end' ? `${node.name}, ${cavity}` : `${node?.name ?? 'the connector'}, cavity ${cavity}`;
  const asks = unknownOf(fitting);
  if (asks !== undefined) return { toolNames: [], lacks: [], warnings: [], ranked, unknown: ASKED[asks](where) };
  const asked = input.choice?.terminal;
  const chosen = ranked.find(({ id, part, status }) => id === asked && part !== undefined && status !== 'refused');
  const best = chosen ?? ranked[0];
  const family = best?.family ?? fitting?.terminal;
  const nothing = { family, toolNames: [], lacks: [], warnings: [], ranked };
  if (!best?.part) {
    const words = family === undefined ? 'terminal' : terminalInWords(family);
    // Of several families that none is listed of, the one that can be ordered speaks.
    const near = ranked.find((one) => ordersThatLift(one).length > 0) ?? best;
    return {
      ...nothing,
      unknown: near?.because ?? `No ${words} holds ${figure(facts.areaMm2, 3)} mm².`,
      lacks: near ? ordersThatLift(near) : [],
    };
  }
  const bar = best.hits.find(({ verdict }) => verdict === 'refuse');
  return {
    ...nothing,
    terminal: fitted(best, best.part, facts),
    asks: stackAsks(input, best, node?.id, cavity),
    toolNames: best.toolNames,
    lacks: bar?.ruleId === 'end.sealMissing' ? ordersThatLift(best) : best.lacks,
    warnings: [
      ...best.hits
        .filter(({ verdict, ruleId }) => verdict === 'warn' && ruleId !== STACK)
        .map(({ because }) => because),
      ...(asked !== undefined && !chosen && input.choice
        ? [`The terminal that ${input.choice.by} chose can no longer be used here; the ranking’s first stands instead.`]
        : []),
    ],
    ...(bar && bar.ruleId !== 'end.sealMissing'
      ? {
          refused: { ruleId: bar.ruleId, because: bar.because, allowedIf: bar.allowedIf, orders: ordersThatLift(best) },
        }
      : {}),
    unknown: bar?.ruleId === 'end.sealMissing' ? bar.because : undefined,
  };
}
