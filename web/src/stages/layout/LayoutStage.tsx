import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { asLaid, findingsOnRun, plansOn, seenOn } from '@mendum/core/plan';
import { useUndoKeys } from '../../app/useUndoKeys.ts';
import { HarnessTree } from '../../draw/HarnessTree.tsx';
import { Empty } from '../../ui/empty.tsx';
import { useOpenJob } from '../job.ts';
import { useSearches } from '../searches/searches.ts';
import { AtCursor, Staggered } from './AtCursor.tsx';
import { Board } from './Board.tsx';
import type { BoardActs } from './SpliceHandle.tsx';
import { BoardBar } from './BoardBar.tsx';
import { Closing } from './Closing.tsx';
import { CutTable } from './CutTable.tsx';
import { LayoutSummary } from './LayoutSummary.tsx';
import { LiveLine } from './LiveLine.tsx';
import { PairTable } from './PairTable.tsx';
import { useBoard } from './useBoard.ts';
import { ThreeLayouts } from './ThreeLayouts.tsx';

/**
 * Where every splice goes along the run: to be moved by hand, with the bundle's diameter, cut points and inserts
 * following.
 */
export function LayoutStage() {
  const { view, plan, selected, select, nodeName, pathTo, locked } = useOpenJob();
  const { harness, findings, earlier: allEarlier } = useMemo(() => asLaid(view.job, plan.runs), [view.job, plan.runs]);
  const damaged = harness.runs.filter(
    (run) => findings.some((finding) => finding.runId === run.id) || plansOn(plan.findings, run).length > 0,
  );
  const [runId, setRunId] = useState(selected?.runId ?? damaged[0]?.id);
  const [cursorMm, setCursorMm] = useState<number>();
  const run = harness.runs.find((one) => one.id === runId) ?? damaged[0];
  const live = useBoard(run?.id);
  const searches = useSearches();
  const here = useMemo(
    () =>
      run
        ? findings.filter(
            (finding) =>
              finding.runId === run.id || plan.findings.some((one) => one.findingId === finding.id && seenOn(one, run)),
          )
        : [],
    [findings, plan, run],
  );
  const circuits = useMemo(
    () => harness.circuits.filter((circuit) => run && circuit.runIds.includes(run.id)),
    [harness, run],
  );
  const earlier = useMemo(() => (allEarlier ?? []).filter(({ runId: on }) => on === run?.id), [allEarlier, run]);
  const begun = useMemo(
    () =>
      new Set([
        ...view.job.pins.map((pin) => pin.findingId),
        ...(view.job.held ?? []).map((held) => held.findingId),
        ...(locked ? here.map((finding) => finding.id) : []),
      ]),
    [view.job, locked, here],
  );
  useUndoKeys(locked ? undefined : live.undo, locked ? undefined : live.redo);
  const latest = useRef(live);
  useEffect(() => {
    latest.current = live;
  });
  const picked = useRef({ select, id: selected?.findingId });
  useEffect(() => {
    picked.current = { select, id: selected?.findingId };
  });
  const pick = useCallback((findingId: string): void => {
    if (findingId !== picked.current.id) picked.current.select(findingId);
  }, []);
  const acts = useMemo(
    (): BoardActs => ({
      move: (findingId, side, wishMm, snapMm) => latest.current.move(findingId, side, wishMm, snapMm)?.centreMm,
      drop: () => latest.current.drop(),
      cancel: () => latest.current.cancel(),
      unpin: (findingId) => latest.current.unpin([findingId]),
    }),
    [],
  );
  if (!run || !live.runPlan || findings.length === 0)
    return (
      <Empty title="Nothing to lay out yet">
        Mark what was found first.{' '}
        <Link className="underline" to={pathTo('survey')}>
          Go to Survey
        </Link>
      </Empty>
    );
  const { plans, runPlan } = live;
  const chosen = runPlan.layouts?.chosen.kind ?? 'wide';
  const reaching = (id: string): number =>
    plan.findings.filter((finding) => finding.runId !== id && finding.splices.some((splice) => splice.runId === id))
      .length;
  const splices = plans.flatMap((finding) => finding.splices);
  const atMm = cursorMm ?? splices[0]?.centreMm ?? run.lengthMm / 2;
  const mine = live.wishes.pins.filter(
    (pin) => !begun.has(pin.findingId) && here.some((finding) => finding.id === pin.findingId),
  );
  const kept = live.wishes.found.some((place) => findingsOnRun(plan, run.id).includes(place.findingId));
  const search = (): void => {
    // What is kept is let go; what was left open is searched for longer.
    if (kept) live.again();
    searches.again(run.id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      {damaged.length > 1 ? (
        <HarnessTree harness={harness} findings={findings} runId={run.id} onPick={setRunId} reaching={reaching} />
      ) : null}
      {runPlan.layouts ? (
        <ThreeLayouts
          runId={run.id}
          layouts={runPlan.layouts}
          live={live}
          betweenBodiesMm={view.practice.figures.betweenBodiesMm}
          readOnly={locked}
        />
      ) : null}
      <Board
        key={run.id}
        run={run}
        fromName={nodeName(run.fromNodeId)}
        circuits={circuits}
        findings={here}
        plans={plans}
        runPlan={runPlan}
        selectedId={selected?.findingId}
        earlier={earlier}
        fixed={begun}
        acts={acts}
        onSelect={pick}
        onCursor={setCursorMm}
        line={(findingId) => (
          <LiveLine
            finding={plans.find((plan) => plan.findingId === findingId)}
            runPlan={runPlan}
            moving={live.moving}
          />
        )}
        section={<AtCursor atMm={atMm} circuits={circuits} plans={plans} runPlan={runPlan} />}
      />
      <BoardBar
        live={live}
        pinned={new Set(mine.map((pin) => pin.findingId)).size}
        isSearching={searches.now?.runId === run.id}
        onSearch={search}
        template={`/api/jobs/${view.id}/template/${encodeURIComponent(run.id)}`}
        wholeMm={run.lengthMm}
        readOnly={locked}
      />
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1fr)_300px]">
        <div className="grid content-start gap-5">
          <Staggered circuits={circuits} plans={plans} runPlan={runPlan} />
          <CutTable plans={plans} run={run} live={live} fixed={begun} />
          <PairTable plans={plans} runPlan={runPlan} />
        </div>
        <div className="grid content-start gap-5">
          <LayoutSummary
            runPlan={runPlan}
            plans={plans}
            run={run}
            kept={kept}
            isToCome={searches.isToCome(run.id, chosen)}
            earlier={earlier}
          />
          <Closing run={run} runPlan={runPlan} />
        </div>
      </div>
    </div>
  );
}
