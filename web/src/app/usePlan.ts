import { useEffect, useMemo, useRef, useState } from 'react';
import type { Plan } from '@mendum/core/plan';
import type { JobView } from '@mendum/core/operations';
import type * as AtOnce from './atOnce.ts';
import type { Planned, PlanInput } from './planned.ts';
import { thePlanner } from './planner.ts';

const inputOf = ({ job, practice, catalogue }: PlanInput): PlanInput => ({ job, practice, catalogue });
const isSame = (one: PlanInput, other: PlanInput): boolean =>
  one.job === other.job && one.practice === other.practice && one.catalogue === other.catalogue;

/** Plans one finding at once; without it the worker plans the whole. */
let once: typeof AtOnce | undefined;
/** Fetched when the first plan is on the screen: nobody waits for it to see a job. */
function fetchOnce(): void {
  import('./atOnce.ts').then(
    (loaded) => {
      once = loaded;
    },
    () => undefined,
  );
}
/** So long a plan stands on the screen before what will be wanted next is made ready, ms. */
const REST_MS = 1500;
function whenAtRest(work: () => void): () => void {
  const timer = window.setTimeout(work, REST_MS);
  return () => window.clearTimeout(timer);
}

/**
 * The plan of a job, and the version of the job that it was made from: from the worker; a single changed finding is
 * shown at once, and the last plan stays while the whole is worked out.
 * @param came the plan of this view, where it came with the page
 */
export function usePlan(
  view: JobView | undefined,
  came?: Plan,
): {
  readonly plan?: Plan | undefined;
  readonly failed?: string | undefined;
  readonly fresh: boolean;
  readonly version: number;
} {
  const [planned, setPlanned] = useState<Planned>();
  // Ticks and readings are no part of what is planned: with them nothing is sent to the worker.
  const { job, practice, catalogue, version } = view ?? {};
  if (came && view && !planned) setPlanned({ ...inputOf(view), version: view.version, plan: came });
  const versionNow = useRef(version);
  useEffect(() => {
    versionNow.current = version;
  }, [version]);
  useEffect(() => {
    if (!job || !practice || !catalogue) return undefined;
    const plan = () => thePlanner().plan(job, practice, catalogue);
    if (came) return whenAtRest(() => void plan().catch(() => undefined));
    let current = true;
    const keep = (more: Pick<Planned, 'plan' | 'failed'>): void => {
      if (current) setPlanned({ job, practice, catalogue, version: versionNow.current ?? 0, ...more });
    };
    plan()
      .then((made) => keep({ plan: made }))
      .catch((error: unknown) => keep({ failed: error instanceof Error ? error.message : String(error) }));
    return () => {
      current = false;
    };
  }, [job, practice, catalogue, came]);
  const isPlanned = planned !== undefined;
  useEffect(() => (isPlanned ? whenAtRest(fetchOnce) : undefined), [isPlanned]);
  const usable = planned?.job.id === view?.job.id ? planned : undefined;
  const early = useMemo(() => (usable && view ? once?.atOnce(usable, view) : undefined), [usable, view]);
  const fresh = usable !== undefined && view !== undefined && isSame(usable, view);
  return {
    plan: early ?? usable?.plan,
    failed: usable?.failed,
    fresh,
    version: (fresh ? view.version : usable?.version) ?? 0,
  };
}
