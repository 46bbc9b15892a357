import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { takeSections } from '@mendum/core/bundle';
import { movedSplice, NO_WISHES, placesOf, type Asked, type LayoutWishes, type Moved } from '@mendum/core/layout';
import {
  choosing,
  findingPlanAt,
  findingsOnRun,
  pinnedAt,
  plansOn,
  runPlanAt,
  searchedAnew,
  unpinned,
  type Board,
  type FindingPlan,
  type RunPlan,
} from '@mendum/core/plan';
import { useSave } from '../../app/change.ts';
import { again as redone, back, done, noHistory, type History } from '../../app/history.ts';
import { thePlanner } from '../../app/planner.ts';
import { useOpenJob } from '../job.ts';
import { useEarlyMoves, type BoardActs } from './useEarlyMoves.ts';

/** A run on the board: where its splices lie, while they are moved, and what people want of them. */
export interface LiveBoard extends BoardActs {
  readonly board: Board | undefined;
  readonly plans: readonly FindingPlan[];
  readonly runPlan: RunPlan | undefined;
  readonly wishes: LayoutWishes;
  /** Whether something was moved that is not planned yet. */
  readonly moving: boolean;
  readonly save: (wishes: LayoutWishes) => void;
  readonly unpin: (findingIds: readonly string[]) => void;
  readonly again: () => void;
  /** Takes another layout for the run: all that is not pinned is laid out anew. */
  readonly take: (asked: Asked) => void;
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

/** What was moved; and, once it is saved, in which version. */
interface HeldMove {
  readonly moved: Moved;
  readonly saved?: number | undefined;
}

/** A board, and the version of the job that it was made from. */
interface BoardOfVersion {
  readonly board: Board;
  readonly version: number;
}

/** Writes of the layout under way. */
interface Line {
  readonly tail: Promise<boolean>;
  /** What was sent last, until the job is seen in that version. */
  readonly sent?: { readonly wishes: LayoutWishes; readonly version: number } | undefined;
  /** The version that the last answer told. */
  readonly answered?: number | undefined;
}

/** Times that a drag is worked out for nothing. */
const WARM_UPS = 4;

/** The board of a run, live: what is dragged shows at once, and is saved when it is let go. */
export function useBoard(runId: string | undefined): LiveBoard {
  const { view, plan, planVersion } = useOpenJob();
  const { save: store } = useSave();
  const [made, setMade] = useState<BoardOfVersion>();
  const board = made?.board;
  const [held, setHeld] = useState<HeldMove>();
  const [history, setHistory] = useState<History<LayoutWishes>>(noHistory);
  const wishes = view.job.layout ?? NO_WISHES;
  // What was moved holds until a plan and a board of what was saved have taken it over: either may come first, and each
  // may be of an earlier write.
  const taken = held?.saved !== undefined && planVersion >= held.saved && (made?.version ?? 0) >= held.saved;
  const moved = taken ? undefined : held?.moved;
  const latest = useRef({ moved, wishes, version: view.version });
  useLayoutEffect(() => {
    latest.current = { moved, wishes, version: view.version };
  });
  // What is under way: writes go one after the other, each on top of the one before it.
  const line = useRef<Line>({ tail: Promise.resolve(true) });

  useEffect(() => {
    if (runId === undefined) return undefined;
    let current = true;
    const { job, practice, catalogue } = view;
    void thePlanner()
      .board(job, practice, catalogue, runId)
      .then((packed) => {
        if (!current) return;
        if (packed) takeSections(packed.sections);
        setMade(packed && { board: packed.board, version: view.version });
      });
    return () => {
      current = false;
    };
  }, [view, runId]);
  // What a drag works out is worked out once before a finger comes, so that its first frame is not the slowest.
  useEffect(() => {
    if (!board || board.runId !== runId) return undefined;
    const before = plan.runs.find((one) => one.runId === runId);
    const [splice] = board.items.flatMap((item) => item.splices);
    if (!before || !splice) return undefined;
    const timer = window.setTimeout(() => {
      for (let turn = 0; turn < WARM_UPS; turn += 1) {
        const still = movedSplice(board.run, board.items, splice.findingId, splice.side, splice.centreMm, 1);
        if (still) runPlanAt(view.job, board, still.items, before, view.practice.figures.untwistedAtMostMm);
      }
    }, 0);
    return () => window.clearTimeout(timer);
  }, [board, runId, plan, view]);

  const items = moved?.items ?? (board?.runId === runId ? board?.items : undefined);
  const run = view.job.harness.runs.find((one) => one.id === runId);
  const base = useMemo(() => (run ? plansOn(plan.findings, run) : []), [plan, run]);
  const plans = useMemo(() => {
    if (!moved) return base;
    const byId = new Map(moved.items.map((item) => [item.findingId, item]));
    return base.map((finding) => {
      const item = byId.get(finding.findingId);
      return item && moved.moved.some((pin) => pin.findingId === finding.findingId)
        ? findingPlanAt(finding, item)
        : finding;
    });
  }, [base, moved]);
  const planned = plan.runs.find((one) => one.runId === runId);
  const runPlan = useMemo(
    () =>
      planned && moved && board
        ? runPlanAt(view.job, board, moved.items, planned, view.practice.figures.untwistedAtMostMm)
        : planned,
    [planned, moved, board, view.job, view.practice],
  );

  const wanted = (): LayoutWishes => {
    const { sent } = line.current;
    return sent && latest.current.version < sent.version ? sent.wishes : latest.current.wishes;
  };
  const send = (next: LayoutWishes): Promise<boolean> => {
    const before = line.current;
    const { moved: shown } = latest.current;
    const work = async (): Promise<boolean> => {
      await before.tail;
      const known = line.current.answered ?? 0;
      const answer = await store('setLayout', {
        jobId: view.id,
        version: Math.max(latest.current.version, known),
        layout: next,
      });
      if (!answer.ok) {
        line.current = { tail: line.current.tail };
        setHeld(undefined);
        return false;
      }
      const { version } = answer.data;
      line.current = {
        ...line.current,
        answered: version,
        sent: line.current.sent?.wishes === next ? { wishes: next, version } : line.current.sent,
      };
      // Nothing was moved since: the next plan is the one of this write.
      setHeld((now) => (now && now.moved === shown ? { ...now, saved: version } : now));
      return true;
    };
    const tail = work();
    line.current = { ...before, tail, sent: { wishes: next, version: Infinity } };
    return tail;
  };
  const save = (next: LayoutWishes): void => {
    const before = wanted();
    void send(next).then((ok) => ok && setHistory((all) => done(all, before)));
  };
  const step = (way: typeof back<LayoutWishes>): void => {
    const now = wanted();
    const target = way(history, now);
    if (target) void send(target.item).then((ok) => ok && setHistory((all) => way(all, now)?.history ?? all));
  };
  const anew = (): LayoutWishes => searchedAnew(wanted(), runId === undefined ? [] : findingsOnRun(plan, runId));
  /** Wishes with the run's layout written down, so that what is kept of it is known for what it is. */
  const asLaidOut = (next: LayoutWishes): LayoutWishes =>
    runId !== undefined && planned?.layouts ? choosing(next, runId, planned.layouts.chosen) : next;
  const { move, drop, cancel } = useEarlyMoves(board !== undefined && board.runId === runId, {
    move: (findingId, side, wishMm, snapMm = 0) => {
      const from = latest.current.moved?.items ?? items;
      const next = board && from && movedSplice(board.run, from, findingId, side, wishMm, snapMm);
      if (next) {
        const before = latest.current.moved?.moved ?? [];
        const all = {
          ...next,
          moved: [
            ...before.filter(
              (pin) => !next.moved.some((one) => one.findingId === pin.findingId && one.side === pin.side),
            ),
            ...next.moved,
          ],
        };
        latest.current = { ...latest.current, moved: all };
        setHeld({ moved: all });
      }
      return next;
    },
    cancel: () => {
      latest.current = { ...latest.current, moved: undefined };
      setHeld(undefined);
    },
    drop: () => {
      const now = latest.current.moved;
      if (now) save(asLaidOut(pinnedAt(wanted(), now.moved, placesOf(now.items))));
    },
  });
  return {
    board,
    plans,
    runPlan,
    wishes,
    save,
    moving: moved !== undefined,
    move,
    drop,
    cancel,
    unpin: (findingIds) => save(unpinned(wanted(), findingIds)),
    again: () => save(anew()),
    take: (asked) => {
      if (runId !== undefined) save(choosing(anew(), runId, asked));
    },
    undo: history.past.length > 0 ? () => step(back) : undefined,
    redo: history.future.length > 0 ? () => step(redone) : undefined,
  };
}
