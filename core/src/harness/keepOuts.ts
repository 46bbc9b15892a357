import type { FeatureKind, HarnessNode, KeepOut, NodeKind, Run } from './types.ts';

/** How far a splice's body stays from each kind of thing, edge to edge, mm. */
export type Clearances = Record<Exclude<FeatureKind, 'flex'> | 'connector', number>;

/** An earlier splice that stays keeps bodies as far off as a branch does: 40 from edge to edge, usually. */
const clearanceOfNode = (kind: NodeKind, clear: Clearances): number =>
  kind === 'end' ? 0 : clear[kind === 'splice' ? 'branch' : kind];

/**
 * The stretches of a run that no body may enter, clearances included: connector backs, branches, grommets, clips at the
 * run's ends and along it, and stretches that flex in use (no clearance, but never touched).
 * Those at the ends reach out of the run, so that a body can never hang over it.
 */
export function keepOuts(run: Run, nodes: ReadonlyMap<string, HarnessNode>, clear: Clearances): KeepOut[] {
  const atEnd = (nodeId: string, atMm: number): KeepOut => {
    const node = nodes.get(nodeId);
    const kind = node?.kind ?? 'end';
    const reach = clearanceOfNode(kind, clear);
    return {
      kind,
      name: kind === 'connector' ? `${node?.name ?? ''} back` : (node?.name ?? 'end of the run'),
      fromMm: atMm === 0 ? -Infinity : atMm - reach,
      toMm: atMm === 0 ? reach : Infinity,
    };
  };
  const along = run.features.map((feature): KeepOut => {
    const reach = feature.kind === 'flex' ? 0 : clear[feature.kind];
    return { kind: feature.kind, name: feature.name, fromMm: feature.fromMm - reach, toMm: feature.toMm + reach };
  });
  return [atEnd(run.fromNodeId, 0), ...along, atEnd(run.toNodeId, run.lengthMm)].sort((a, b) => a.fromMm - b.fromMm);
}

/** The stretches of a run that bend in use. */
export const flexStretches = (run: Run): { fromMm: number; toMm: number; name: string }[] =>
  run.features.filter((feature) => feature.kind === 'flex');

/** Keep-outs as far as they lie on a run. */
export const keptOutOn = ({ lengthMm }: Pick<Run, 'lengthMm'>, all: readonly KeepOut[]): KeepOut[] =>
  all
    .map((one) => ({ ...one, fromMm: Math.max(0, one.fromMm), toMm: Math.min(lengthMm, one.toMm) }))
    .filter((one) => one.toMm > one.fromMm);
