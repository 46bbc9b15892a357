import type { Spent } from '../approach/index.ts';
import { methodById, type SizedJoint } from '../family/index.ts';
import { redoLossMm } from '../method/index.ts';
import { makesOf, type CavityPlan, type FindingPlan, type Make, type SplicePlan } from '../plan/index.ts';
import type { Practice } from '../practice/index.ts';
import type { MishapKind } from '../step/index.ts';
import { REDO_EXTRA_MM, type Side } from '../sizing/index.ts';
import { isSplice } from './kinds.ts';
import { NOT_BEGUN, type Progress } from './progress.ts';
import type { MishapCost, MishapSaid, SideLoss } from './types.ts';

const NOTHING_SPENT: Spent = { partIds: [], sleeveCuts: [] };
const SIDES = ['left', 'right'] as const;

/** Mishaps on which an end is stripped again, or crimped again. */
const STRIPS_AGAIN: ReadonlySet<MishapKind> = new Set([
  'strandNicked',
  'stripTooLong',
  'crimpOnRim',
  'wrongNest',
  'pinFolded',
  'sleeveForgotten',
]);
/** Mishaps by which both sides are lost, whatever was said of sides. */
const BOTH_SIDES: ReadonlySet<MishapKind> = new Set(['sleeveForgotten', 'jointFailed']);
/** Mishaps after which the joint is no more, however far it had come: something has been crimped. */
const SPOILS_JOINT: ReadonlySet<MishapKind> = new Set([
  'crimpOnRim',
  'wrongNest',
  'pinFolded',
  'sleeveForgotten',
  'jointFailed',
]);

const isOn = ({ kind, side }: MishapSaid, one: Side): boolean =>
  BOTH_SIDES.has(kind) || side === 'both' || side === one;

/**
 * What one side of a joint loses by a mishap, mm: its strip + 2 where it has to be stripped again; what cutting the
 * joint out takes where it is made, on both sides, and with the overhang once its seal is on, however late the mishap
 * is seen; what is burnt or gone beside that. Source: numbers, a redo and a mishap.
 */
function lossOfSide(joint: SizedJoint, side: Side, said: MishapSaid, whole: boolean): number {
  const { kind, mm = 0, joined, sealed } = said;
  // A wire that was whole under its window is cut through there: both its ends lose what the window bares.
  const of = whole ? 'left' : side;
  const stripAgain = redoLossMm(joint, of, false);
  const cutOut = redoLossMm(joint, of, sealed);
  const on = whole || isOn(said, side);
  if (kind === 'jointFailed' || (sealed && STRIPS_AGAIN.has(kind))) return cutOut;
  if (STRIPS_AGAIN.has(kind)) return on ? stripAgain : 0;
  const made = joined ? cutOut : 0;
  if (!on) return made;
  return Math.max(made, kind === 'jacketBurnt' ? stripAgain + mm : mm);
}

const plus = (a: Spent, b: Spent): Spent => {
  const wireMm = (a.wireMm ?? 0) + (b.wireMm ?? 0);
  return {
    partIds: [...a.partIds, ...b.partIds],
    sleeveCuts: [...a.sleeveCuts, ...b.sleeveCuts],
    ...(wireMm > 0 ? { wireMm } : {}),
  };
};

/** Parts of a joint that cannot be used again once it is made, and its sleeve once that has shrunk. */
function spentOf({ joint }: SplicePlan, sealed: boolean): Spent {
  const { seal } = joint;
  return {
    partIds: [joint.partId],
    sleeveCuts: sealed && seal.kind === 'sleeve' ? [{ partId: seal.partId, cutMm: seal.cutMm }] : [],
  };
}

/** Parts of a terminal that cannot be used again: it, its wire seal, its sleeve once that has shrunk. */
function spentAt({ work: { terminal } }: CavityPlan, sealed: boolean): Spent {
  if (!terminal) return NOTHING_SPENT;
  const { seal } = terminal;
  return {
    partIds: [terminal.partId, ...(seal?.kind === 'wireSeal' ? [seal.partId] : [])],
    sleeveCuts: sealed && seal?.kind === 'sleeve' ? [{ partId: seal.partId, cutMm: seal.cutMm }] : [],
  };
}

/** Which sides of a splice are old wire: of a single one both, of two those outside. */
const oldSides = ({ side }: SplicePlan): readonly Side[] => (side === 'only' ? SIDES : [side]);

interface Other {
  readonly id: string;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly spent: Spent;
}

/** What else the new wire has been joined to: it is cut out with it, since the wire is too short then. */
function otherEnd(finding: FindingPlan, own: Make, progress: (make: Make) => Progress): Other | undefined {
  for (const make of makesOf(finding)) {
    const { joined, sealed } = make.id === own.id ? NOT_BEGUN : progress(make);
    if (!joined) continue;
    if (!isSplice(make)) {
      if (finding.isLead && 'work' in make) return { id: make.id, leftMm: 0, rightMm: 0, spent: spentAt(make, sealed) };
      continue;
    }
    const loss = (side: Side): number => (oldSides(make).includes(side) ? redoLossMm(make.joint, side, sealed) : 0);
    return { id: make.id, leftMm: loss('left'), rightMm: loss('right'), spent: spentOf(make, sealed) };
  }
  return undefined;
}

/** The repair's ends once each side has lost more; not beyond the run's start, but where it reaches past it anyway. */
const endsAfter = ({ x1Mm, x2Mm }: FindingPlan, leftMm: number, rightMm: number) => ({
  lostFromMm: x1Mm < 0 ? x1Mm - leftMm : Math.max(0, x1Mm - leftMm),
  lostToMm: x2Mm + rightMm,
});

function spliceCost(
  finding: FindingPlan,
  make: SplicePlan,
  said: MishapSaid,
  progress: (make: Make) => Progress,
): MishapCost {
  const whole = methodById(make.methodId).leavesWhole === true;
  const old = oldSides(make);
  const losses = SIDES.map((side): SideLoss => ({
    side,
    of: old.includes(side) ? 'oldWire' : 'newWire',
    mm: lossOfSide(make.joint, side, said, whole),
  })).filter(({ mm }) => mm > 0);
  const isMade = said.joined || said.sealed || SPOILS_JOINT.has(said.kind);
  const ownSpent = isMade ? spentOf(make, said.sealed) : NOTHING_SPENT;
  const own = (side: Side): number => losses.find((one) => one.side === side && one.of === 'oldWire')?.mm ?? 0;
  // A pigtail brings its own leads: they are cut to fit, and a shorter one still reaches.
  const isNewWireGone =
    finding.insert !== undefined &&
    finding.approach !== 'pigtail' &&
    losses.length > 0 &&
    (isMade || losses.some(({ of }) => of === 'newWire') || makesOf(finding).some((one) => progress(one).wireCut));
  const other = isNewWireGone ? otherEnd(finding, make, progress) : undefined;
  const leftMm = own('left') + (other?.leftMm ?? 0);
  const rightMm = own('right') + (other?.rightMm ?? 0);
  const ends = endsAfter(finding, leftMm, rightMm);
  const wire: Spent = isNewWireGone ? { ...NOTHING_SPENT, wireMm: finding.insert.lengthMm } : NOTHING_SPENT;
  return {
    losses,
    leftMm,
    rightMm,
    ...ends,
    ...(other ? { alsoAgain: other.id } : {}),
    spent: plus(plus(ownSpent, other?.spent ?? NOTHING_SPENT), wire),
  };
}

/** At a cavity: the terminal's wire is its tail, or the new wire of a lead. */
function cavityCost(
  finding: FindingPlan,
  make: CavityPlan,
  said: MishapSaid,
  progress: (make: Make) => Progress,
  { overlapMm }: Practice['figures'],
): MishapCost {
  const { terminal } = make.work;
  const { kind, mm = 0, joined, sealed } = said;
  const isMade = joined || SPOILS_JOINT.has(kind);
  // What has shrunk over the jacket is cut off with it.
  const isGlued = sealed && (terminal?.seal?.kind === 'sleeve' || terminal?.seal?.kind === 'ownTube');
  const stripAgain = terminal ? terminal.stripMm + REDO_EXTRA_MM + (isGlued ? overlapMm : 0) : 0;
  const takes =
    kind === 'other' ? Math.max(mm, joined ? stripAgain : 0) : kind === 'jacketBurnt' ? stripAgain + mm : stripAgain;
  const spent = isMade ? spentAt(make, sealed) : NOTHING_SPENT;
  if (finding.isLead && finding.insert && takes > 0) {
    const other = otherEnd(finding, make, progress);
    const leftMm = other?.leftMm ?? 0;
    const rightMm = other?.rightMm ?? 0;
    return {
      losses: [{ side: 'left', of: 'newWire', mm: takes }],
      leftMm,
      rightMm,
      ...endsAfter(finding, leftMm, rightMm),
      ...(other ? { alsoAgain: other.id } : {}),
      spent: plus(plus(spent, other?.spent ?? NOTHING_SPENT), { ...NOTHING_SPENT, wireMm: finding.insert.lengthMm }),
    };
  }
  const isTail = finding.approach === 'newTerminal' && takes > 0;
  const isAdded = make.work.added !== undefined && takes > 0;
  return {
    losses: isTail || isAdded ? [{ side: 'left', of: isAdded ? 'newWire' : 'tail', mm: takes }] : [],
    leftMm: 0,
    rightMm: 0,
    ...(isTail ? { tailMm: takes } : {}),
    lostFromMm: finding.lost.fromMm,
    lostToMm: finding.lost.toMm,
    spent,
  };
}

/**
 * The price of a mishap, before it is accepted: what each side loses, and what is used up. A cover has no sides: where it
 * cannot be changed the wire is cut out and spliced, as the plan then says.
 * @param progress how far each piece of work of the finding has come
 * @param figures of the practice: how far a terminal's tube laps its jacket
 */
export function mishapCost(
  finding: FindingPlan,
  make: Make,
  said: MishapSaid,
  progress: (make: Make) => Progress,
  figures: Practice['figures'],
): MishapCost {
  if (isSplice(make)) return spliceCost(finding, make, said, progress);
  if ('work' in make) return cavityCost(finding, make, said, progress, figures);
  return {
    losses: [],
    leftMm: 0,
    rightMm: 0,
    lostFromMm: finding.lost.fromMm,
    lostToMm: finding.lost.toMm,
    spent: NOTHING_SPENT,
  };
}
