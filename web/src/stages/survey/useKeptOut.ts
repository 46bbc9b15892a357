import { useMemo } from 'react';
import { keepOuts, keptOutOn, type KeepOut, type Run } from '@mendum/core/harness';
import { useOpenJob } from '../job.ts';

/**
 * Where no body may lie on a run as it is: what was found is marked there, while a plan may lay out on a run that is
 * longer.
 */
export function useKeptOut(run: Run | undefined): readonly KeepOut[] {
  const { view } = useOpenJob();
  const { nodes } = view.job.harness;
  const { clearMm } = view.practice.figures;
  return useMemo(
    () => (run ? keptOutOn(run, keepOuts(run, new Map(nodes.map((node) => [node.id, node])), clearMm)) : []),
    [run, nodes, clearMm],
  );
}
