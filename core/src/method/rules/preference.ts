import { TOOL_TASKS } from '../../catalogue/index.ts';
import { holds, sumAreaMm2, type JointWires } from '../../sizing/index.ts';
import { counted, figure } from '../../units/index.ts';
import { areaMm2 } from '../../wire/index.ts';
import type { MethodCase, Preference } from '../types.ts';
import { bodyMm, orderAgainst, orderBecause, splicesInWords } from './orderWords.ts';
import { hasSolid, noRoomToPark } from './shelf.ts';

/** Low-level and data wires up to this copper are joined slim and short, mm² (AWG 20 counts). */
const THIN_MM2 = 0.52;

const isDry = ({ site }: MethodCase): boolean => site.zone.moisture === 'dry';
const isTight = ({ site, practice }: MethodCase): boolean =>
  site.conduitMarginMm !== undefined && site.conduitMarginMm < practice.figures.tightMarginMm;
const isThinSensitive = ({ site }: MethodCase): boolean =>
  (site.circuitKind === 'lowLevel' || site.circuitKind === 'data') && areaMm2(site.wire.size) <= THIN_MM2;
const folds = ({ joints }: MethodCase): boolean => joints.some((joint) => joint.left.folded || joint.right.folded);
const isCurrent = ({ tools, site }: MethodCase): boolean =>
  tools.every(
    (tool) =>
      !tool.tasks.some((task) => TOOL_TASKS[task].isCrimp) ||
      (tool.ratchet &&
        tool.calibratedUntil !== undefined &&
        (site.asOf === undefined || tool.calibratedUntil >= site.asOf)),
  );

/** A method's place in the plain order, for the copper that it joins. */
export const orderOf = ({ method, wires }: Pick<MethodCase, 'method' | 'wires'>): number =>
  typeof method.order === 'number' ? method.order : method.order(thickestOf(wires));

const thickestOf = (wires: readonly JointWires[]): number =>
  Math.max(...wires.flatMap(({ left, right }) => [...left, ...right].map((wire) => wire.areaMm2)));

/**
 * Two sizes that meet in one joint of the repair, an insert's and a lead's own wire among them, and that no one butt on
 * the shelf holds both as they are; mm².
 */
function unlikeEnds({ site, facts, wires }: MethodCase): readonly [number, number] | undefined {
  if (site.branchWires.length > 0) return undefined;
  return wires
    .map(({ left, right }): [number, number] => [sumAreaMm2(left), sumAreaMm2(right)])
    .find(([a, b]) => Math.abs(a - b) > 1e-9 && !facts.bores.some((bore) => holds(bore, a) && holds(bore, b)));
}

/** How the allowed are ordered: the first of these on which two methods differ decides between them. */
export const PREFERENCES: readonly Preference[] = [
  {
    id: 'prefer.fewestSplices',
    subject: 'approach',
    source: 'trade practice',
    penalty: ({ splices }) => splices,
    because: (better, worse) => {
      const lap = worse.joints[0]?.reach;
      const taken =
        lap?.kind === 'lapped' && lap.lapMm > 0 ? ` takes a lap of ${figure(lap.lapMm)} mm as well and` : '';
      return `${worse.method.name}${taken} would need ${splicesInWords(worse)}${better.splices === 1 ? '; this one does it with one' : ''}.`;
    },
    against: (_better, worse) => `It would need ${splicesInWords(worse)}.`,
  },
  {
    id: 'prefer.builtInSeal',
    subject: 'sleeve',
    source: 'practice figure: where a sleeve is parked, from a crimp and from solder',
    penalty: (where) =>
      Number(
        noRoomToPark(where) ||
          (where.family.openEnded !== undefined &&
            where.freeMm < where.practice.figures.parkFromCrimpMm + 4 * where.practice.figures.overlapMm),
      ),
    because: () => 'There is no room to park a sleeve, so a built-in seal goes first.',
  },
  {
    id: 'prefer.benchSolder',
    subject: 'practice',
    source: 'the shop’s school',
    penalty: ({ practice, firstOfSoldered }) => Number(practice.school === 'benchSolder' && !firstOfSoldered),
    because: (better) =>
      `Bench solder practice, and the run stands still${isDry(better) ? ' and dry' : ''}: ${better.method.lay ?? 'a soldered joint'} is slim and lasts.`,
  },
  {
    id: 'prefer.slimClip',
    subject: 'bundle',
    source: 'practice figure: tight conduit margin',
    penalty: (where) => Number(isDry(where) && (isTight(where) || isThinSensitive(where)) && !where.family.sideBySide),
    because: (better) =>
      isThinSensitive(better)
        ? `A ${better.site.circuitKind === 'data' ? 'data' : 'low-level'} wire in a dry run: a clip is short and slim, with nothing to disturb it.`
        : `The conduit leaves only ${figure(better.site.conduitMarginMm ?? 0, 1)} mm: a clip is the slimmest.`,
  },
  {
    id: 'prefer.solidFolded',
    subject: 'solid wire',
    source: 'trade practice',
    penalty: (where) => Number(hasSolid(where.site) && !folds(where)),
    because: () => 'Solid wire doubled over in a barrel cannot turn or creep out.',
  },
  {
    id: 'prefer.stepDown',
    subject: 'two sizes',
    source: 'trade practice',
    penalty: (where) => Number(!where.method.gripsTwoSizes && unlikeEnds(where) !== undefined),
    because: (better) => {
      const [a = 0, b = 0] = unlikeEnds(better) ?? [];
      return `${figure(a, 2)} against ${figure(b, 2)} mm², and no one barrel holds both: a step-down grips each in a bore of its own.`;
    },
  },
  {
    id: 'prefer.unfolded',
    subject: 'fold-over',
    source: 'trade practice',
    penalty: (where) => Number(!hasSolid(where.site) && folds(where)),
    because: () => 'It holds the copper as it is; the other needs it doubled over.',
  },
  {
    id: 'prefer.clipForMany',
    subject: 'number of wires',
    source: 'trade practice',
    penalty: ({ site, family }) => Number(site.branchWires.length > 0 && !family.sideBySide),
    because: (better) =>
      `${2 + better.site.branchWires.length} wires meet: side by side in a clip all of them lie under the crimp.`,
  },
  {
    id: 'prefer.threeEnds',
    subject: 'circuit to be added',
    source: 'trade practice',
    penalty: ({ method }) => Number(method.window === true),
    because: () => 'The main wire may be cut: three ends in one crimp hold better than a joint on a bared window.',
  },
  {
    id: 'prefer.lowestLimit',
    subject: 'number of wires',
    source: 'stamped on the part, else usual: copper range',
    penalty: ({ site, family, joints }) =>
      site.branchWires.length > 0 && family.sideBySide ? Math.max(0, ...joints.map((joint) => joint.upperLimitMm2)) : 0,
    because: (better, worse) => {
      const [joint, limit] = [better.joints[0], worse.joints[0]?.upperLimitMm2];
      if (!joint || limit === undefined) return `${better.method.name}: the crimp closes tighter.`;
      return `${joint.fitsWords}: its upper limit of ${figure(joint.upperLimitMm2)} mm² is nearer than ${figure(limit)}, so the crimp closes tighter${joint.sides ? `; sides ${joint.sides}` : ''}.`;
    },
    against: (better, worse) => {
      const [near, far] = [better, worse].map(({ joints }) => joints[0]?.upperLimitMm2);
      return near === undefined || far === undefined
        ? undefined
        : `Its upper limit of ${figure(far)} mm² is further off than ${figure(near)}, so the crimp closes less tightly.`;
    },
  },
  {
    id: 'prefer.order',
    subject: 'method',
    source: 'trade practice',
    penalty: orderOf,
    because: orderBecause,
    against: orderAgainst,
  },
  {
    id: 'prefer.ratchet',
    subject: 'tool',
    source: 'the tool’s own record',
    penalty: (where) => Number(!isCurrent(where)),
    because: () => 'Its ratchet tool is in calibration.',
  },
  {
    id: 'prefer.fewerSteps',
    subject: 'work',
    source: 'our own figure: bench steps of each method',
    penalty: ({ method }) => method.steps,
    because: (better, worse) => `As sound, and ${counted(worse.method.steps - better.method.steps, 'step')} fewer.`,
  },
  {
    id: 'prefer.shorter',
    subject: 'work',
    source: 'our own figure: minutes of each method',
    penalty: ({ method }) => method.minutes,
    because: (better, worse) =>
      `As sound, and ${counted(worse.method.minutes - better.method.minutes, 'minute')} less.`,
  },
  {
    id: 'prefer.slimmer',
    subject: 'bundle',
    source: 'stamped on the part, else usual: thickness crimped',
    penalty: bodyMm,
    because: (better, worse) => `As sound, and ${figure(bodyMm(worse) - bodyMm(better), 1)} mm slimmer.`,
  },
];
