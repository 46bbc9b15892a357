import type { Decision, BegunWork } from '../approach/index.ts';
import { GENERIC_PARTS, type Catalogue, type Part } from '../catalogue/index.ts';
import { isAtCavity, type Finding } from '../damage/index.ts';
import type { Job, JobIndex } from '../job/index.ts';
import type { FindingPlan } from './types.ts';

/** Parts that a finding's plan takes from the shelf. */
export const partsTaken = ({ splices, cavity, far, covers, cover }: FindingPlan): readonly string[] => [
  ...new Set([
    ...splices.flatMap(({ joint, shield }) => [...joint.usesPartIds, ...(shield?.joint.usesPartIds ?? [])]),
    ...[cavity, far].flatMap((one) => (one ? [...one.work.partIds, ...one.work.sharedPartIds] : [])),
    ...covers.flatMap(({ coverId, partId }) => (coverId === cover?.coverId && partId !== undefined ? [partId] : [])),
  ]),
];

/**
 * What a finding is made by once its work begins: held, so that it stays. @param otherColours whether its insert may be
 * of another colour
 */
export const heldBy = (finding: FindingPlan, otherColours: boolean): BegunWork => {
  const use = finding.cover?.coverId ?? finding.splices[0]?.methodId;
  return {
    findingId: finding.findingId,
    way: finding.approach,
    ...(use === undefined ? {} : { use }),
    partIds: partsTaken(finding),
    ...(finding.takes.length > 0 ? { takes: finding.takes } : {}),
    ...(finding.cutsOut.length > 0 ? { cutsOut: finding.cutsOut.map(({ id }) => id) } : {}),
    otherColours,
  };
};

/** As many of a part as one finding can take, so that what is made already never lacks one. */
const TAKEN = 2;

/** Parts that begun work has taken count as there for it, listed or not. */
export const stillThere = (catalogue: Catalogue, { partIds }: BegunWork): Catalogue => {
  const listed = new Set(catalogue.parts.map(({ id }) => id));
  const unlisted = GENERIC_PARTS.filter(({ id }) => partIds.includes(id) && !listed.has(id));
  return {
    ...catalogue,
    parts: [...catalogue.parts, ...unlisted].map((part) =>
      partIds.includes(part.id) && part.quantity < TAKEN ? { ...part, quantity: TAKEN } : part,
    ),
  };
};

/** The same, and of their kinds there is nothing else: what has come since is for other work. */
export function onlyTaken(catalogue: Catalogue, held: BegunWork): Catalogue {
  const { parts } = stillThere(catalogue, held);
  const kinds = new Set(parts.flatMap(({ id, kind }) => (held.partIds.includes(id) ? [kind] : [])));
  return {
    ...catalogue,
    parts: parts.map((part) =>
      kinds.has(part.kind) && !held.partIds.includes(part.id) && part.quantity > 0 ? { ...part, quantity: 0 } : part,
    ),
  };
}

/** Whether a decision is still what the work was begun by, with nothing to order for it. */
export const isAsBegun = ({ approach, method, cover, asks }: Decision, { way, use }: BegunWork): boolean =>
  approach === way &&
  (use === undefined || use === (cover?.coverId ?? method?.methodId)) &&
  asks.every(({ does }) => does !== 'order');

/** Kinds of part of which one serves a whole connector. */
const OF_CONNECTOR: readonly Part['kind'][] = ['pigtail', 'housing', 'connectorKit'];

/**
 * What the other wires of a connector are begun by: its pigtail, housing or kit lies on the bench, and serves this wire
 * too.
 */
export function begunBeside(
  finding: Finding,
  { held = [] }: Pick<Job, 'held'>,
  { foundAt }: Pick<JobIndex, 'foundAt'>,
  { parts }: Catalogue,
): BegunWork | undefined {
  if (!isAtCavity(finding) || held.length === 0) return undefined;
  const beside = new Set((foundAt.get(finding.at.nodeId) ?? []).map(({ id }) => id));
  const other = held.find(({ findingId, way }) => beside.has(findingId) && (way === 'pigtail' || way === 'rehouse'));
  const known = new Map([...GENERIC_PARTS, ...parts].map((part) => [part.id, part]));
  return (
    other && {
      findingId: finding.id,
      way: other.way,
      partIds: other.partIds.filter((id) => OF_CONNECTOR.some((kind) => kind === known.get(id)?.kind)),
    }
  );
}
