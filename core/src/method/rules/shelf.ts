import { notOnShelf, TOOL_TASKS, type Tool } from '../../catalogue/index.ts';
import { colourDisagreement } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { isVibrating } from '../../harness/index.ts';
import { parkDistanceMm } from '../park.ts';
import type { MethodCase, Rule, Site } from '../types.ts';

/** Whether any wire of the joint is solid. */
export const hasSolid = (site: Site): boolean =>
  [site.wire, site.farWire, ...site.branchWires].some((wire) => wire.conductor.kind === 'solid');

/** Room in mm that a sleeve wants on one side: its own length and its distance from the work. */
function parkingNeedMm({
  joints,
  family,
  practice,
}: Pick<MethodCase, 'joints' | 'family' | 'practice'>):
  { readonly sleeveMm: number; readonly clearMm: number } | undefined {
  const cuts = joints.flatMap((joint) => (joint.seal.kind === 'sleeve' ? [joint.seal.cutMm] : []));
  if (cuts.length === 0) return undefined;
  const clearMm = parkDistanceMm(family, practice);
  return { sleeveMm: Math.max(...cuts), clearMm };
}

/** Whether a sleeve finds no side where it can be parked clear of the work. */
export function noRoomToPark(where: MethodCase): boolean {
  const need = parkingNeedMm(where);
  return need !== undefined && where.freeMm < need.sleeveMm + need.clearMm;
}

/** What is said of a tool that is not in calibration on a day; nothing of one that is. */
export function lapsed(
  { name, calibratedUntil }: Pick<Tool, 'name' | 'calibratedUntil'>,
  asOf: string,
): string | undefined {
  if (calibratedUntil === undefined) return `${name} was never calibrated: pull a sample before you trust it.`;
  return calibratedUntil < asOf
    ? `${name} was calibrated until ${calibratedUntil}: pull a sample before you trust it.`
    : undefined;
}

/** Refusals by what is not there (it can be ordered) and warnings about tools, sleeves and wire. */
export const SHELF_RULES: readonly Rule[] = [
  {
    id: 'sleeve.cannotSlide',
    subject: 'sleeve',
    verdict: 'refuse',
    overridable: false,
    source: 'geometry of the harness: free wire beside the joint',
    allowedIf: 'an end were freed',
    speaks: (where) => {
      const need = parkingNeedMm(where);
      return need && where.freeMm < need.sleeveMm
        ? `The sleeve is ${figure(need.sleeveMm, 0)} mm and there is only ${figure(where.freeMm, 0)} mm of free wire on either side to slide it on.`
        : undefined;
    },
  },
  {
    id: 'shelf.part',
    subject: 'part',
    verdict: 'shelf',
    overridable: true,
    source: 'counted on the shelf',
    allowedIf: 'the part were on the shelf',
    speaks: ({ missingParts }) => (missingParts.length > 0 ? notOnShelf(missingParts) : undefined),
  },
  {
    id: 'shelf.tool',
    subject: 'tool',
    verdict: 'shelf',
    overridable: true,
    source: 'counted on the shelf',
    allowedIf: 'the tool or die were there',
    speaks: ({ missingTasks }) =>
      missingTasks.length > 0
        ? `There is no ${missingTasks.map((task) => TOOL_TASKS[task].tool.replace(/^an? /, '')).join(' and no ')} for this size.`
        : undefined,
  },
  {
    id: 'tool.hand',
    subject: 'tool',
    verdict: 'warn',
    overridable: true,
    source: 'the tool’s own record',
    speaks: ({ tools }) => {
      const hand = tools.find((tool) => !tool.ratchet && tool.tasks.some((task) => TOOL_TASKS[task].isCrimp));
      return hand && `${hand.name} has no ratchet: tug every crimp and look at each one twice.`;
    },
  },
  {
    id: 'tool.calibration',
    subject: 'tool',
    verdict: 'warn',
    overridable: true,
    source: 'the tool’s own record: calibrated until',
    speaks: ({ tools, site }) => {
      if (site.asOf === undefined) return undefined;
      const crimper = tools.find((tool) => tool.ratchet && tool.tasks.some((task) => TOOL_TASKS[task].isCrimp));
      return crimper && lapsed(crimper, site.asOf);
    },
  },
  {
    id: 'part.colour',
    subject: 'part',
    verdict: 'warn',
    overridable: true,
    source: 'stamped on the part, else usual: colour',
    speaks: ({ joints, facts }) => {
      for (const id of joints.flatMap(({ usesPartIds }) => usesPartIds)) {
        const part = facts.byId.get(id);
        const disagrees = part && colourDisagreement(part);
        if (disagrees !== undefined) return disagrees;
      }
      return undefined;
    },
  },
  {
    id: 'sleeve.park',
    subject: 'sleeve',
    verdict: 'warn',
    overridable: true,
    source: 'practice figure: where a sleeve is parked, from a crimp and from solder',
    speaks: (where) => {
      const need = parkingNeedMm(where);
      return need && noRoomToPark(where) && where.freeMm >= need.sleeveMm
        ? `Only ${figure(where.freeMm, 0)} mm to park the sleeve (${figure(need.sleeveMm + need.clearMm, 0)} wanted): put a heat clamp between.`
        : undefined;
    },
  },
  {
    id: 'fold.missing',
    subject: 'fold-over',
    verdict: 'warn',
    overridable: true,
    source: 'stamped on the part, else usual: copper range and bore',
    speaks: ({ joints }) =>
      joints.some((joint) => joint.foldMissing)
        ? 'No barrel takes this copper doubled over: it goes in single, so tug it with care.'
        : undefined,
  },
  {
    id: 'sleeve.buildUp',
    subject: 'sleeve',
    verdict: 'require',
    overridable: true,
    source: 'practice figure: how a sleeve slides and grips',
    speaks: ({ joints }) => {
      const built = joints.flatMap((joint) =>
        joint.seal.kind === 'sleeve' && joint.seal.buildUp ? [joint.seal.buildUp] : [],
      )[0];
      return (
        built &&
        `Build ${built.side === 'both' ? 'the wires of both sides' : 'the thinner jacket'} up with ${built.name} first: no one sleeve passes the joint and grips both.`
      );
    },
  },
  {
    id: 'solid.vibrating',
    subject: 'solid wire',
    verdict: 'warn',
    overridable: true,
    source: 'trade practice',
    speaks: ({ site }) =>
      hasSolid(site) && isVibrating(site.zone)
        ? 'Solid wire does not belong in a shaking run: use a stranded insert of the same size.'
        : undefined,
  },
];
