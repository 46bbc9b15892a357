import type { Stretch } from '../../damage/index.ts';
import { routeBetween, type Run } from '../../harness/index.ts';
import type { Decision } from '../types.ts';

/** A way along the harness from a place on a run to a node. */
export interface Route {
  readonly runs: readonly Run[];
  /** What of each run it goes along, mm from that run's start. */
  readonly along: NonNullable<Decision['added']>['along'];
  readonly lengthMm: number;
  readonly words: string;
}

/** All of a run. */
const wholeOf = ({ id, lengthMm }: Run) => ({ runId: id, fromMm: 0, toMm: lengthMm });

const wayWords = (along: readonly Run[]): string => along.map(({ name }) => `“${name}”`).join(', then ');

/** The shortest way from a place on a run to a node, along the runs of the harness; none where they do not hang together. */
export function routeFrom(runs: readonly Run[], run: Run, atMm: number, nodeId: string): Route | undefined {
  const byId = new Map(runs.map((one) => [one.id, one]));
  const ways = [
    { nodeId: run.fromNodeId, mm: atMm, fromMm: 0, toMm: atMm },
    { nodeId: run.toNodeId, mm: run.lengthMm - atMm, fromMm: atMm, toMm: run.lengthMm },
  ].flatMap((end): { readonly mm: number; readonly first: Stretch; readonly along: readonly Run[] }[] => {
    const first = { fromMm: end.fromMm, toMm: end.toMm };
    if (end.nodeId === nodeId) return [{ mm: end.mm, first, along: [] }];
    const ids = routeBetween(runs, end.nodeId, nodeId);
    if (!ids || ids.includes(run.id)) return [];
    const along = ids.flatMap((id) => byId.get(id) ?? []);
    return [{ mm: end.mm + along.reduce((sum, one) => sum + one.lengthMm, 0), first, along }];
  });
  const [shortest] = ways.sort((one, other) => one.mm - other.mm);
  if (!shortest) return undefined;
  const along = [run, ...shortest.along];
  return {
    runs: along,
    along: [{ runId: run.id, ...shortest.first }, ...shortest.along.map(wholeOf)],
    lengthMm: shortest.mm,
    words: wayWords(along),
  };
}

/** The shortest way from one node to another, along the runs of the harness. */
export function routeBetweenNodes(runs: readonly Run[], fromNodeId: string, toNodeId: string): Route | undefined {
  const along = routeBetween(runs, fromNodeId, toNodeId)?.flatMap((id) => runs.find((run) => run.id === id) ?? []);
  return (
    along && {
      runs: along,
      along: along.map(wholeOf),
      lengthMm: along.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      words: wayWords(along),
    }
  );
}
