import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { proxy, wrap } from 'comlink';
import { openedMmOf, openedThings, placesOf, type LaidOut, type SearchedLayout } from '@mendum/core/layout';
import type { LayoutKind } from '@mendum/core/practice';
import { isLeft, type LayoutSearch } from '@mendum/core/plan';
import { useSave } from '../../app/change.ts';
import { thePlanner } from '../../app/planner.ts';
import type { LayoutSearcher } from '../../workers/layout.worker.ts';
import type { OpenJob } from '../job.ts';
import type { Searches, Searching } from './searches.ts';

/** So long one layout is searched, ms; asked for again, longer. */
const MOST_MS = 15_000;
const MOST_AGAIN_MS = 60_000;
/** Better layouts are put on the board no more often than this, ms. */
const SHOWN_EVERY_MS = 3000;

/** Whether a layout of a run is still open in a plan, and nobody has searched it to an end. */
const isOpenIn = ({ plan, view }: OpenJob, runId: string, kind: LayoutKind): boolean => {
  const layouts = plan.runs.find((run) => run.runId === runId)?.layouts;
  return (
    layouts !== undefined &&
    isLeft(layouts, kind) &&
    !view.job.layout?.searched?.some((one) => one.runId === runId && one.kind === kind && one.endedFor !== undefined)
  );
};

/** What a search found, as it is kept with the job. @param endedFor the search's fingerprint, once it has ended */
const foundIn = ({ runId, asked }: LayoutSearch, { items }: LaidOut, endedFor?: string): SearchedLayout => ({
  runId,
  ...asked,
  places: placesOf(items),
  ...(endedFor === undefined ? {} : { endedFor }),
});

const NONE: readonly LayoutSearch[] = [];

/** What a plan has left to longer searches, as soon as that is known; asked whenever the job has changed. */
function useLeft({ view, plan, locked }: OpenJob): readonly LayoutSearch[] | undefined {
  const { job, practice, catalogue } = view;
  const [left, setLeft] = useState<readonly LayoutSearch[]>();
  const isAny = !locked && plan.gate.open && plan.runs.some(({ layouts }) => layouts !== undefined && isLeft(layouts));
  useEffect(() => {
    if (!isAny) return undefined;
    let current = true;
    void thePlanner()
      .searches(job, practice, catalogue)
      .then((searches) => {
        if (current) setLeft(searches);
      });
    return () => {
      current = false;
    };
  }, [isAny, job, practice, catalogue]);
  return isAny ? left : NONE;
}

/** A search under way in a worker of its own. */
interface Underway {
  readonly search: LayoutSearch;
  readonly worker: Worker;
  best: LaidOut | undefined;
}

/**
 * The searches that a job has left, one after the other in a worker: what is found is kept with the job, so that every
 * plan of it has it; a change of what is laid out ends a search.
 */
export function useLayoutSearches(open: OpenJob): Searches {
  const known = useLeft(open);
  const left = known ?? NONE;
  const { id, version, practice, catalogue } = open.view;
  const { save } = useSave();
  const [ended, setEnded] = useState<ReadonlySet<string>>(new Set());
  const [again, setAgain] = useState<ReadonlySet<string>>(new Set());
  const [best, setBest] = useState<{ readonly of: string; readonly openedMm: number }>();
  const underway = useRef<Underway>(undefined);
  const latest = useRef({ id, version, practice, catalogue, save });
  useEffect(() => {
    latest.current = { id, version, practice, catalogue, save };
  });
  const waiting = useMemo(() => left.filter(({ fingerprint }) => !ended.has(fingerprint)), [left, ended]);
  const [next] = waiting;
  // Counted from when nothing was left: a search that has ended is no longer among those that are left.
  const [before, setBefore] = useState(0);
  if (waiting.length === 0 && before !== ended.size) setBefore(ended.size);
  const done = ended.size - before;

  const keep = useCallback((searched: SearchedLayout): void => {
    const { id: jobId, version: seen, save: send } = latest.current;
    void send('keepLayout', { jobId, version: seen, searched }, { quiet: true });
  }, []);
  const end = useCallback(
    async ({ search, worker }: Underway, found: LaidOut | undefined): Promise<void> => {
      worker.terminate();
      underway.current = undefined;
      setEnded((all) => new Set([...all, search.fingerprint]));
      const { practice: by, catalogue: from } = latest.current;
      // What is proven of it is known to the plans of this device from now on.
      if (found) await thePlanner().found(by, from, search.run, found);
      keep(found ? foundIn(search, found, search.fingerprint) : placesAsTheyAre(search));
    },
    [keep],
  );

  const nextOf = next?.fingerprint;
  const toDo = useRef({ next, again });
  useEffect(() => {
    toDo.current = { next, again };
  });
  useEffect(() => {
    const { next: search, again: longer } = toDo.current;
    if (!search) return undefined;
    const worker = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' });
    const mine: Underway = { search, worker, best: undefined };
    underway.current = mine;
    let shownAt = Date.now();
    const better = (layout: LaidOut): void => {
      if (underway.current !== mine) return;
      mine.best = layout;
      setBest({ of: search.fingerprint, openedMm: openedMmOf(openedThings(search.run, layout.items)) });
      if (Date.now() - shownAt < SHOWN_EVERY_MS) return;
      shownAt = Date.now();
      keep(foundIn(search, layout));
    };
    void wrap<LayoutSearcher>(worker)
      .search(search.run, longer.has(search.runId) ? MOST_AGAIN_MS : MOST_MS, proxy(better))
      .then((found) => (underway.current === mine ? end(mine, found) : undefined));
    return () => {
      worker.terminate();
      if (underway.current === mine) underway.current = undefined;
    };
  }, [nextOf, keep, end]);

  const now = useMemo(
    (): Searching | undefined =>
      next && {
        runId: next.runId,
        asked: next.asked,
        nth: done + 1,
        of: done + waiting.length,
        openedMm: best?.of === next.fingerprint ? best.openedMm : undefined,
      },
    [next, done, waiting, best],
  );
  return {
    now,
    isToCome: (runId, kind) =>
      known ? waiting.some((one) => one.runId === runId && one.asked.kind === kind) : isOpenIn(open, runId, kind),
    stop: () => {
      const { current } = underway;
      if (current) void end(current, current.best);
      for (const search of waiting)
        if (search.fingerprint !== current?.search.fingerprint) keep(placesAsTheyAre(search));
      setEnded((all) => new Set([...all, ...waiting.map(({ fingerprint }) => fingerprint)]));
    },
    again: (runId) => {
      setAgain((all) => new Set([...all, runId]));
      setEnded(new Set());
      setBefore(0);
      for (const one of open.view.job.layout?.searched ?? [])
        if (one.runId === runId) keep({ ...one, endedFor: undefined });
    },
  };
}

/** A layout as the plan has it, with nothing more to be looked for. */
const placesAsTheyAre = ({ runId, asked, run, fingerprint }: LayoutSearch): SearchedLayout => ({
  runId,
  ...asked,
  places: run.found ?? [],
  endedFor: fingerprint,
});
