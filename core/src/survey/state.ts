import type { HarnessNode, Run } from '../harness/index.ts';
import type { OnRun } from './stretches.ts';
import { EditRefused, type Surveyed } from './types.ts';

export const runOf = ({ harness }: Surveyed, runId: string): Run => {
  const run = harness.runs.find((one) => one.id === runId);
  if (!run)
    throw new EditRefused(
      `Run "${runId}" is not in the harness.`,
      `Runs are ${harness.runs.map((one) => one.id).join(', ')}.`,
    );
  return run;
};

export const nodeOf = ({ harness }: Surveyed, nodeId: string): HarnessNode => {
  const node = harness.nodes.find((one) => one.id === nodeId);
  if (!node)
    throw new EditRefused(
      `Node "${nodeId}" is not in the harness.`,
      `Nodes are ${harness.nodes.map((one) => one.id).join(', ')}.`,
    );
  return node;
};

export const runsAt = ({ harness }: Surveyed, nodeId: string): Run[] =>
  harness.runs.filter((run) => run.fromNodeId === nodeId || run.toNodeId === nodeId);
export const on = ({ findings }: Surveyed, run: Run): OnRun => ({
  features: run.features,
  findings: findings.filter((finding) => finding.runId === run.id),
});

/** Findings in the order in which they were, each as it is now. */
export function inOrder(state: Surveyed, changed: readonly Surveyed['findings'][number][]): Surveyed['findings'] {
  const now = new Map(changed.map((finding) => [finding.id, finding]));
  return state.findings.map((finding) => now.get(finding.id) ?? finding);
}

/** A run of which all is measured, so long. */
export const measured = ({ atLeast: _, ...run }: Run, lengthMm: number): Run => ({ ...run, lengthMm });
