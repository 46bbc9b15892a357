import clsx from 'clsx';
import type { FindingPlan, Run } from '@mendum/core';
import { Figure, useLength } from '../../ui/units.tsx';
import { useOpenJob } from '../job.ts';

/** Cut points from the named connector in reading order, with inserts and methods. */
export function CutTable({ plans, run }: { readonly plans: readonly FindingPlan[]; readonly run: Run }) {
  const { circuitOf, selected, select, nodeName } = useOpenJob();
  const { plain, unit } = useLength();
  const made = plans.filter((finding) => finding.splices.length > 0 || finding.cover);
  const sorted = [...made].sort((a, b) => a.x1Mm - b.x1Mm);
  const cuts = (finding: FindingPlan): string => (finding.splices.length === 0 ? '—' : Math.abs(finding.x1Mm - finding.x2Mm) < 0.05 ? plain(finding.x1Mm) : `${plain(finding.x1Mm)} · ${plain(finding.x2Mm)}`);
  const places = (finding: FindingPlan): string => (finding.cover ? plain(finding.cover.atMm, 0) : finding.splices.map((splice) => plain(splice.centreMm)).join(' · '));
  return (
    <table className="w-full text-left">
      <caption className="sr-only">Cut points, {unit} from {nodeName(run.fromNodeId)}</caption>
      <thead className="border-b border-ink text-soft">
        <tr><th className="pb-1 font-normal">Circuit</th><th className="font-normal">Cut at, {unit}</th><th className="font-normal">Splice centre</th><th className="font-normal">Insert</th><th className="font-normal">Method</th></tr>
      </thead>
      <tbody>
        {sorted.map((finding) => {
          const circuit = circuitOf(finding.circuitId);
          return (
            <tr key={finding.findingId} onClick={() => select(finding.findingId)} className={clsx('h-11 cursor-pointer border-b border-rule', selected?.findingId === finding.findingId && 'bg-wash')}>
              <td className="pr-3"><button type="button" className="min-h-11 text-left font-semibold" onClick={() => select(finding.findingId)}><span className="figure">{circuit.number}</span> {circuit.function}</button></td>
              <td className="pr-3"><Figure value={cuts(finding)} /></td>
              <td className="pr-3"><Figure value={places(finding)} /></td>
              <td className="pr-3">{finding.insert ? <Figure value={plain(finding.insert.lengthMm, 0)} /> : '—'}</td>
              <td>{finding.cover?.name ?? finding.splices[0]?.methodName}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
