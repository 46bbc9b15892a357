import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import type { StageName } from '@mendum/core/operations';
import { errorOf } from '../app/errors.ts';
import { useMay } from '../app/session.ts';
import { useKeys } from '../app/useKeys.ts';
import { useJobView } from '../app/useJobView.ts';
import { usePlan } from '../app/usePlan.ts';
import { Failed, Working } from '../ui/empty.tsx';
import { JobContext, type OpenJob } from './job.ts';
import { JobFoot } from './JobFoot.tsx';
import { JobHead } from './JobHead.tsx';
import { LayoutSearches } from './searches/LayoutSearches.tsx';
import { SCREENS } from './screens.ts';
import { isStage, STAGES } from './stages.ts';
import { stageStates } from './standing.ts';

const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog.tsx')).KeysDialog }));

/** The picked finding as the address says it now: ahead of the screen when keys come fast. */
const pickedInAddress = (): string | null => new URLSearchParams(window.location.search).get('finding');

/** A job with its six stages. The picked circuit is part of the address, so that a reload loses nothing. */
export function JobPage() {
  const { jobId = '', stage } = useParams();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const { view, came, error, refetch } = useJobView(jobId);
  const { plan, failed, version: planVersion } = usePlan(view, came);
  const [keysShown, setKeysShown] = useState(false);
  const [mayWork, mayProve] = [useMay('addFinding'), useMay('addReadings')];
  const picked = search.get('finding');
  const pathTo = useCallback(
    (name: StageName, finding: string | null = picked) =>
      `/jobs/${jobId}/${name}${finding === null ? '' : `?finding=${encodeURIComponent(finding)}`}`,
    [jobId, picked],
  );

  const open = useMemo((): OpenJob | undefined => {
    if (!view || !plan) return undefined;
    const { harness, findings } = view.job;
    const selected = plan.findings.find((finding) => finding.findingId === picked) ?? plan.findings[0];
    const must = <T,>(thing: T | undefined, what: string): T => {
      if (thing === undefined) throw new Error(`${what} is not in this job.`);
      return thing;
    };
    return {
      view,
      plan,
      planVersion,
      selected,
      signed: view.status === 'signed',
      locked: view.status === 'signed' || !mayWork,
      canProve: view.status !== 'signed' && mayProve,
      pathTo,
      select: (findingId) =>
        setSearch(
          (now) => {
            now.set('finding', findingId);
            return now;
          },
          { replace: true },
        ),
      circuitOf: (id) =>
        must(
          harness.circuits.find((circuit) => circuit.id === id),
          `Circuit ${id}`,
        ),
      findingOf: (id) =>
        must(
          findings.find((finding) => finding.id === id),
          `Finding ${id}`,
        ),
      nodeName: (id) => harness.nodes.find((node) => node.id === id)?.name ?? id,
    };
  }, [view, plan, planVersion, picked, pathTo, setSearch, mayWork, mayProve]);

  const step = (by: number): void => {
    if (!open?.selected) return;
    const { findings } = open.plan;
    const now = pickedInAddress() ?? open.selected.findingId;
    const at = findings.findIndex((finding) => finding.findingId === now);
    const next = findings[(at + by + findings.length) % findings.length];
    if (next) open.select(next.findingId);
  };
  const goTo = (name: StageName): void => {
    if (name === 'survey' || open?.plan.gate.open) void navigate(pathTo(name, pickedInAddress()));
  };
  useKeys({
    ...Object.fromEntries(STAGES.map(({ name }, index) => [String(index + 1), () => goTo(name)])),
    n: () => step(1),
    p: () => step(-1),
    '?': () => setKeysShown(true),
  });

  if (error) {
    const { message, hint } = errorOf(error);
    return (
      <div className="p-8">
        <Failed message={message} hint={hint} onRetry={refetch} />
      </div>
    );
  }
  if (failed !== undefined)
    return (
      <div className="p-8">
        <Failed message="This job cannot be planned." hint={failed} onRetry={refetch} />
      </div>
    );
  if (!open)
    return (
      <div className="p-8">
        <Working words={view ? 'Working out the plan…' : 'Fetching the job…'} />
      </div>
    );
  if (!isStage(stage)) return <Navigate to={`/jobs/${jobId}/${open.signed ? 'record' : 'survey'}`} replace />;
  if (stage !== 'survey' && !open.plan.gate.open && !open.signed)
    return <Navigate to={`/jobs/${jobId}/survey`} replace />;
  const Screen = SCREENS[stage];
  return (
    <JobContext value={open}>
      <LayoutSearches key={open.view.id}>
        <div className="flex min-h-[calc(100dvh-var(--notice,0px)-var(--bar))] flex-col">
          <JobHead stage={stage} states={stageStates(open.view, open.plan)} />
          <div className="flex flex-1 flex-col px-6 py-5 max-sm:px-4 max-sm:py-3">
            <Suspense fallback={<Working words="Opening…" />}>
              <Screen />
            </Suspense>
          </div>
          <JobFoot onKeys={() => setKeysShown(true)} />
        </div>
      </LayoutSearches>
      {keysShown ? (
        <Suspense fallback={null}>
          <KeysDialog open onClose={() => setKeysShown(false)} stage={stage} />
        </Suspense>
      ) : null}
    </JobContext>
  );
}
