import { conduitFor } from '../bundle/index.ts';
import { keepOuts } from '../harness/index.ts';
import { brokenRules, bundleProfile, lumpDiameterMm, sectionAt, stagger, type LayoutItem, type PlacedItem } from '../layout/index.ts';
import type { Practice } from '../practice/index.ts';
import { jacketDiameterMm } from '../wire/index.ts';
import { mateOf, type JobIndex } from './jobIndex.ts';
import type { Decided, Job, RunPlan } from './types.ts';

export const limitsOf = (figures: Practice['figures']): { readonly betweenBodiesMm: number; readonly preferFromConnectorMm: number; readonly connectorClearMm: number } =>
  ({ betweenBodiesMm: figures.betweenBodiesMm, preferFromConnectorMm: figures.preferFromConnectorMm, connectorClearMm: figures.clearMm.connector });

/** What of a decision wants a place; nothing where no splice is made. */
export const layoutItem = ({ decision, finding }: Decided, index: JobIndex): LayoutItem | undefined =>
  decision.method && { findingId: finding.id, circuitId: decision.circuitId, joints: decision.method.joints, lost: decision.lost, slackMm: decision.slackMm, pairFindingId: mateOf(finding, index)?.id, lead: decision.lead, extraMm: decision.extraMm };

/** Every run with damage, laid out: where each finding's splices lie, and what the bundle looks like. */
export function layOutRuns(job: Job, index: JobIndex, decided: readonly Decided[], practice: Practice): { readonly runs: RunPlan[]; readonly placed: ReadonlyMap<string, PlacedItem> } {
  const placed = new Map<string, PlacedItem>();
  const { figures } = practice;
  const limits = limitsOf(figures);
  const runs = job.harness.runs.map((run): RunPlan => {
    const here = decided.filter((one) => one.decision.runId === run.id);
    const items = here.flatMap((one) => layoutItem(one, index) ?? []);
    const keep = keepOuts(run, index.nodes, figures.clearMm);
    const result = stagger({ lengthMm: run.lengthMm, keepOuts: keep, items, pins: job.pins, ...limits });
    for (const item of result) placed.set(item.findingId, item);
    const splices = result.flatMap((item) => item.splices);
    const wires = (index.inRun.get(run.id) ?? []).map((circuit) => ({ circuitId: circuit.id, jacketMm: jacketDiameterMm(circuit.wire) }));
    const profile = bundleProfile(run.lengthMm, wires, splices);
    const peakMm = Math.max(0, ...profile.map((stretch) => stretch.diameterMm));
    const edges = [
      ...splices.flatMap((splice) => [splice.fromMm, splice.toMm]),
      ...here.filter(({ decision }) => decision.method ?? decision.cover).flatMap(({ decision }) => [decision.lost.fromMm, decision.lost.toMm]),
    ];
    const numberOf = (circuitId: string): string => index.circuits.get(circuitId)?.number ?? circuitId;
    return {
      runId: run.id,
      keepOuts: keep.map((one) => ({ ...one, fromMm: Math.max(0, one.fromMm), toMm: Math.min(run.lengthMm, one.toMm) })).filter((one) => one.toMm > one.fromMm),
      profile,
      peakMm,
      restMm: sectionAt(wires, []).diameterMm,
      lumpMm: splices.length > 0 ? lumpDiameterMm(wires, splices) : peakMm,
      conduitMm: conduitFor(peakMm),
      opened: edges.length > 0 ? { fromMm: Math.min(...edges), toMm: Math.max(...edges) } : undefined,
      broken: brokenRules(splices, keep, limits, (splice) => `Circuit ${numberOf(splice.circuitId)} at ${Math.round(splice.centreMm)}`),
    };
  });
  return { runs, placed };
}
