import { useEffect, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import type { Plan } from '@mendum/core';
import type { JobView } from '@mendum/core/interchange';
import type { Planner } from '../workers/planner.worker.ts';

let planner: Remote<Planner> | undefined;
const thePlanner = (): Remote<Planner> => (planner ??= wrap<Planner>(new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' })));

interface Planned {
  readonly forView: JobView;
  readonly plan?: Plan;
  readonly failed?: string;
}

/** The plan of a job, from the worker; the last one stays while a newer one is worked out. */
export function usePlan(view: JobView | undefined): { readonly plan?: Plan | undefined; readonly failed?: string | undefined; readonly fresh: boolean } {
  const [planned, setPlanned] = useState<Planned>();
  useEffect(() => {
    if (!view) return undefined;
    let current = true;
    const { job, practice, catalogue } = view;
    thePlanner()
      .plan(job, practice, catalogue)
      .then((plan) => current && setPlanned({ forView: view, plan }))
      .catch((error: unknown) => current && setPlanned({ forView: view, failed: error instanceof Error ? error.message : String(error) }));
    return () => {
      current = false;
    };
  }, [view]);
  const usable = planned?.forView.id === view?.id ? planned : undefined;
  return { plan: usable?.plan, failed: usable?.failed, fresh: usable?.forView === view };
}
