import { isAtCavity, isOfWholeConnector, isOnePiece } from '../../damage/index.ts';
import { WAYS, type Choice, type BegunWork, type Way } from '../../approach/index.ts';
import type { Job, JobIndex } from '../../job/index.ts';
import type { PlacedItem } from '../../layout/index.ts';
import type { Decided, PieceOfWork } from '../types.ts';

/** Ways that replace a connector for all of its wires. */
const WHOLE: readonly Way[] = ['pigtail', 'rehouse'];

/**
 * Decided findings at one connector that one piece of work mends: all of the housing itself; with a pigtail everything
 * else there as well.
 */
function membersAt(nodeId: string, decided: readonly Decided[], way: Way | undefined): Decided[] {
  return decided.filter(
    ({ finding }) =>
      isAtCavity(finding) && finding.at.nodeId === nodeId && (way === 'pigtail' || isOfWholeConnector(finding)),
  );
}

const nodesOf = (decided: readonly Decided[]): string[] => [
  ...new Set(
    decided.flatMap(({ finding }) => (isAtCavity(finding) && isOfWholeConnector(finding) ? [finding.at.nodeId] : [])),
  ),
];

const statusOf = ({ ways }: Decided['decision'], way: Way): 'allowed' | 'shelf' | 'refused' =>
  ways.find((one) => one.way === way)?.status ?? 'refused';

/**
 * The one way for all of a connector: what its work was begun by, else what a person chose if it may be, else the first
 * that is allowed for every wire, else the first that only lacks something.
 */
function wayFor(members: readonly Decided[], choices: readonly Choice[], held: readonly BegunWork[]): Way | undefined {
  const open = members.filter(({ decision }) => decision.takenBy === undefined && decision.ways.length > 0);
  const order = open[0]?.decision.ways.map((one) => one.way).filter((way) => WHOLE.includes(way)) ?? [];
  const allAre = (way: Way, ...statuses: readonly string[]): boolean =>
    open.every((one) => statuses.includes(statusOf(one.decision, way)));
  const ids = new Set(members.map(({ finding }) => finding.id));
  const begun = held
    .filter(({ findingId }) => ids.has(findingId))
    .flatMap((one) => order.find((way) => way === one.way) ?? []);
  const chosen = choices
    .filter((one) => ids.has(one.findingId))
    .flatMap((one) => order.find((way) => way === one.use) ?? []);
  return (
    begun.find((way) => allAre(way, 'allowed', 'shelf')) ??
    chosen.findLast((way) => allAre(way, 'allowed', 'shelf')) ??
    order.find((way) => allAre(way, 'allowed')) ??
    order.find((way) => allAre(way, 'allowed', 'shelf'))
  );
}

/** By finding: the way that its whole connector is mended by, where that is not what it was decided by alone. */
export function waysOfPieces(
  decided: readonly Decided[],
  { choices, held = [] }: Pick<Job, 'choices' | 'held'>,
): ReadonlyMap<string, Way> {
  const forced = new Map<string, Way>();
  for (const nodeId of nodesOf(decided)) {
    const way = wayFor(membersAt(nodeId, decided, undefined), choices, held);
    if (!way) continue;
    for (const { finding, decision } of membersAt(nodeId, decided, way))
      if (decision.approach !== way && statusOf(decision, way) !== 'refused') forced.set(finding.id, way);
  }
  return forced;
}

/** The connectors that are replaced whole, each one piece of work for all its findings. */
export function piecesOf(decided: readonly Decided[], nameOf: (nodeId: string) => string): PieceOfWork[] {
  const nodes = new Map<string, { readonly way: Way; readonly findingIds: string[] }>();
  for (const { finding, decision } of decided) {
    const whole = WHOLE.find((one) => one === decision.approach);
    const way = WAYS.find((one) => one === decision.approach);
    const nodeId = decision.cavity?.at.nodeId;
    if (!way || nodeId === undefined || (!whole && !isOnePiece(finding))) continue;
    const key = `${nodeId} ${whole ?? finding.kind}`;
    const piece = nodes.get(key) ?? { way, findingIds: [] };
    piece.findingIds.push(finding.id);
    nodes.set(key, piece);
  }
  return [...nodes].map(([key, { way, findingIds }]) => {
    const nodeId = key.slice(0, key.lastIndexOf(' '));
    return { id: key, nodeId, nodeName: nameOf(nodeId), way, findingIds };
  });
}

/** How far from its connector the splices of a piece of work go, mm; nothing where none is made. */
function reachOf(
  { nodeId, findingIds }: PieceOfWork,
  placed: ReadonlyMap<string, PlacedItem>,
  decided: readonly Decided[],
  index: JobIndex,
): { readonly reachMm?: number } {
  const ends = decided
    .filter(({ finding }) => findingIds.includes(finding.id))
    .flatMap(({ finding, decision }) => {
      const run = index.runs.get(finding.runId);
      if (!run || !decision.cavity?.cable) return [];
      return (placed.get(finding.id)?.splices ?? []).map(({ fromMm, toMm }) =>
        run.fromNodeId === nodeId ? toMm : run.lengthMm - fromMm,
      );
    });
  return ends.length === 0 ? {} : { reachMm: Math.max(...ends) };
}

/** The pieces of work with how far from its connector each goes, where it ends a cable. */
export const withReach = (
  pieces: readonly PieceOfWork[],
  placed: ReadonlyMap<string, PlacedItem>,
  decided: readonly Decided[],
  index: JobIndex,
): PieceOfWork[] => pieces.map((piece) => ({ ...piece, ...reachOf(piece, placed, decided, index) }));
