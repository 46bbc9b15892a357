import { useState } from 'react';
import { Link } from 'react-router';
import { HarnessTree } from '../../draw/HarnessTree.tsx';
import { RunDrawing } from '../../draw/RunDrawing.tsx';
import { Empty } from '../../ui/empty.tsx';
import { useOpenJob } from '../job.ts';
import { AtCursor } from './AtCursor.tsx';
import { CutTable } from './CutTable.tsx';
import { LayoutSummary } from './LayoutSummary.tsx';

/** Where every splice goes along the run, with the bundle's diameter, cut points and inserts. */
export function LayoutStage() {
  const { view, plan, selected, nodeName, pathTo } = useOpenJob();
  const { harness, findings } = view.job;
  const damaged = harness.runs.filter((run) => findings.some((finding) => finding.runId === run.id));
  const [runId, setRunId] = useState(selected?.runId ?? damaged[0]?.id);
  const [cursorMm, setCursorMm] = useState<number>();
  const run = harness.runs.find((one) => one.id === runId) ?? damaged[0];
  const runPlan = plan.runs.find((one) => one.runId === run?.id);
  if (!run || !runPlan || findings.length === 0) return <Empty title="Nothing to lay out yet">Mark what was found first. <Link className="underline" to={pathTo('survey')}>Go to Survey</Link></Empty>;
  const plans = plan.findings.filter((finding) => finding.runId === run.id);
  const circuits = harness.circuits.filter((circuit) => circuit.runIds.includes(run.id));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      {damaged.length > 1 ? <HarnessTree harness={harness} findings={findings} runId={run.id} onPick={setRunId} /> : null}
      <div>
        <h2 className="-mb-11 pt-2 text-xl font-semibold">{run.name}</h2>
        <RunDrawing key={run.id} run={run} fromName={nodeName(run.fromNodeId)} circuits={circuits} findings={findings.filter((finding) => finding.runId === run.id)} runPlan={runPlan} plans={plans} selectedId={selected?.findingId} profile onCursor={setCursorMm} />
      </div>
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[230px_minmax(0,1fr)_260px]">
        <AtCursor atMm={cursorMm ?? plans.flatMap((finding) => finding.splices)[0]?.centreMm ?? run.lengthMm / 2} circuits={circuits} plans={plans} runPlan={runPlan} />
        <CutTable plans={plans} run={run} />
        <LayoutSummary runPlan={runPlan} plans={plans} run={run} />
      </div>
    </div>
  );
}
