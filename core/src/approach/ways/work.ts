import { releaseToolInWords, type LockFamily } from '../../connector/index.ts';
import type { Cavity, HarnessNode } from '../../harness/index.ts';
import type { WireSpec } from '../../wire/index.ts';
import type { Ask } from '../askTypes.ts';
import type { CableEnd, CavityAct, CavityWork } from '../cavityTypes.ts';
import type { RankedWay, Way } from '../types.ts';
import type { TerminalFit } from './terminal.ts';

/** What each way is called on cards and sheets. */
export const WAY_WORDS: Record<Way, string> = {
  cover: 'Cover the jacket',
  refit: 'Put the lost piece back',
  correctCavity: 'Free it and seat it where it belongs',
  rehouse: 'Move the terminals into a new housing',
  newTerminal: 'New terminal',
  fillCavity: 'Fill the free cavity',
  otherCavity: 'Move both wires into a cavity that is free',
  solderToPin: 'Solder to the pin and pot the back',
  solderedLead: 'New lead soldered to the old pin, one splice',
  oneSplice: 'One splice',
  relead: 'New lead with its own terminal, one splice',
  insert: 'Insert between two splices',
  extend: 'Lengthen by an insert between two splices',
  pigtail: 'Pigtail, one splice for every wire',
};

/** What is asked while nobody has noted which terminal sits in a cavity. */
export const NOT_NOTED = 'The terminal is not noted';

/** Minutes that an act takes at the bench; ours, for ranking and planning. */
export const ACT_MINUTES: Record<CavityAct | 'cover', number> = {
  cover: 4,
  unplug: 1,
  crimpTerminal: 6,
  refit: 3,
  correct: 4,
  rehouse: 10,
  seal: 3,
  plug: 1,
  lockPiece: 2,
  solderToPin: 12,
  pigtail: 4,
  move: 5,
  cableEnd: 8,
  boot: 4,
  route: 5,
};

/** Acts for which a terminal comes out of its housing. */
const FREES: readonly CavityAct[] = ['crimpTerminal', 'correct', 'rehouse', 'seal', 'solderToPin', 'move'];

/** What work at a cavity is made of. */
export interface WorkOf {
  readonly name: string;
  readonly acts: readonly CavityAct[];
  readonly at: Cavity;
  readonly node: HarnessNode | undefined;
  readonly wire: WireSpec;
  readonly fit?: TerminalFit | undefined;
  readonly partIds?: readonly string[];
  readonly sharedPartIds?: readonly string[];
  readonly toolNames?: readonly string[];
  readonly warnings?: readonly string[];
  readonly passed?: readonly string[];
  readonly asks?: readonly Ask[];
  readonly toCavity?: string | undefined;
  readonly cable?: CableEnd | undefined;
  readonly bendMm?: CavityWork['bendMm'];
  readonly added?: CavityWork['added'];
  /** How the terminals are held, where it is known by the part and not noted at the connector. */
  readonly lock?: LockFamily | undefined;
}

/** Puts work at a cavity together: its terminal's parts and tool come from the fit. */
export function cavityWork({
  name,
  acts,
  at,
  node,
  wire,
  fit,
  partIds = [],
  sharedPartIds = [],
  toolNames = [],
  warnings = [],
  passed = [],
  asks = [],
  lock,
  toCavity,
  cable,
  bendMm,
  added,
}: WorkOf): CavityWork {
  const terminal = fit?.terminal;
  const releaseTool = releaseToolInWords(node?.identity ?? {});
  return {
    acts,
    at,
    name,
    wire,
    nodeName: node?.name ?? at.nodeId,
    lock: node?.lock ?? lock,
    latch: node?.identity?.latch,
    releaseTool,
    terminal,
    partIds: [...(terminal?.usesPartIds ?? []), ...partIds],
    sharedPartIds,
    toolNames: [
      ...(fit?.toolNames ?? []),
      ...toolNames,
      ...(releaseTool !== undefined && acts.some((act) => FREES.includes(act)) ? [releaseTool] : []),
    ],
    terminals: fit?.ranked ?? [],
    warnings: [...(fit?.warnings ?? []), ...warnings],
    unknown: fit?.unknown,
    toCavity,
    cable,
    bendMm,
    ...(added ? { added } : {}),
    passed,
    asks: [...(fit?.asks ?? []), ...asks],
  };
}

/** A way refused because the best terminal there is may not be used at the place. */
export const unfit = (
  way: Way,
  { ruleId, because, allowedIf, orders = [] }: NonNullable<TerminalFit['refused']>,
  cost: RankedWay['cost'],
): RankedWay => ({ way, status: 'refused', ruleId, because, allowedIf, cost, lacks: orders });
