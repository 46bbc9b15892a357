import { useEffect, useMemo, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import { planOne, warm, type Plan, type Warm } from '@mendum/core';
import type { JobView } from '@mendum/core/interchange';
import type { Planner } from '../workers/planner.worker.ts';

let planner: Remote<Planner> | undefined;
export const thePlanner = (): Remote<Planner> =>
  (planner ??= wrap<Planner>(new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' })));

interface Planned {
  readonly forView: JobView;
  readonly plan?: Plan;
  readonly failed?: string;
}

let memory: Warm | undefined;
/** What is remembered for one practice and shelf: they stay the same objects while the server says the same. */
const memoryFor = ({ practice, catalogue }: JobView): Warm =>
  memory?.practice === practice && memory.catalogue === catalogue ? memory : (memory = warm(practice, catalogue));

const changedIds = <T extends { readonly findingId: string }>(a: readonly T[], b: readonly T[]): string[] =>
  [...a.filter((one) => !b.includes(one)), ...b.filter((one) => !a.includes(one))].map((one) => one.findingId);

/** The one finding that differs between two states of a job; nothing when more does, or none. */
export function onlyChanged(before: JobView, now: JobView): string | undefined {
  const [a, b] = [before.job, now.job];
  if (
    before.practice !== now.practice ||
    before.catalogue !== now.catalogue ||
    a.harness !== b.harness ||
    a.gate !== b.gate ||
    a.mappings !== b.mappings ||
    a.findings.length !== b.findings.length
  )
    return undefined;
  const ids = new Set([
    ...b.findings.filter((finding, index) => finding !== a.findings[index]).map((finding) => finding.id),
    ...changedIds(a.choices, b.choices),
    ...changedIds(a.redos, b.redos),
    ...changedIds(a.pins, b.pins),
    ...changedIds(a.held ?? [], b.held ?? []),
  ]);
  const [id] = ids;
  return ids.size === 1 ? id : undefined;
}

/** The last plan with the one changed finding planned anew at once; the others may still give way to it. */
function atOnce(planned: Planned, view: JobView): Plan | undefined {
  const { plan, forView } = planned;
  const id = plan && forView !== view ? onlyChanged(forView, view) : undefined;
  if (!plan || id === undefined) return undefined;
  const one = planOne(view.job, plan, id, memoryFor(view));
  return one && { ...plan, findings: plan.findings.map((finding) => (finding.findingId === id ? one : finding)) };
}

/** The plan of a job, and the version of the job that it was made from: from the worker; a single changed finding is shown at once, and the last plan stays while the whole is worked out. */
export function usePlan(view: JobView | undefined): {
  readonly plan?: Plan | undefined;
  readonly failed?: string | undefined;
  readonly fresh: boolean;
  readonly version: number;
} {
  const [planned, setPlanned] = useState<Planned>();
  useEffect(() => {
    if (!view) return undefined;
    let current = true;
    const { job, practice, catalogue } = view;
    thePlanner()
      .plan(job, practice, catalogue)
      .then((plan) => current && setPlanned({ forView: view, plan }))
      .catch(
        (error: unknown) =>
          current && setPlanned({ forView: view, failed: error instanceof Error ? error.message : String(error) }),
      );
    return () => {
      current = false;
    };
  }, [view]);
  const usable = planned?.forView.id === view?.id ? planned : undefined;
  const early = useMemo(() => (usable && view ? atOnce(usable, view) : undefined), [usable, view]);
  return {
    plan: early ?? usable?.plan,
    failed: usable?.failed,
    fresh: usable?.forView === view,
    version: usable?.forView.version ?? 0,
  };
}
