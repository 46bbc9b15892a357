import clsx from 'clsx';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Todo } from '@mendum/core/operations';
import { useTodosInfiniteQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { PagedList } from '../../app/PagedList.tsx';
import { usePages } from '../../app/usePages.ts';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { CloseTodo } from './CloseTodo.tsx';
import { TodoWords } from './TodoWords.tsx';

/** How it was closed, with the way back where no job did it. */
function Ended({ todo }: { readonly todo: Todo }) {
  const { save, busy } = useSave();
  const { ended } = todo;
  if (!ended) return null;
  return (
    <span className="no-print flex flex-wrap items-center gap-3 lg:justify-end">
      {ended.job ? (
        <Link
          to={`/jobs/${ended.job.id}/record`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          Done in job {ended.job.number}
        </Link>
      ) : (
        <>
          <span>
            {ended.because} <span className="text-soft">{ended.by}</span>
          </span>
          <Only may="endTodo">
            <Button
              look="quiet"
              disabled={busy}
              onClick={() => void save('endTodo', { todoId: todo.id, because: null })}
            >
              Open again
            </Button>
          </Only>
        </>
      )}
    </span>
  );
}

/** What is done about it: a job, or closed with a reason. */
function Actions({ todo }: { readonly todo: Todo }) {
  const { save, busy } = useSave();
  const navigate = useNavigate();
  const [closing, setClosing] = useState(false);
  const begin = async (): Promise<void> => {
    const outcome = await save('doTodo', { todoId: todo.id });
    if (!outcome.ok) return;
    const { id, lost } = outcome.data;
    if (lost !== undefined) notify('Mark it anew: its place is not known any more.', { hint: lost, wrong: true });
    void navigate(`/jobs/${id}/survey`);
  };
  if (todo.doing)
    return (
      <Link
        to={`/jobs/${todo.doing.id}`}
        className="no-print inline-flex min-h-11 items-center px-1 text-lg font-semibold underline underline-offset-4"
      >
        Job {todo.doing.number} does it
      </Link>
    );
  return (
    <span className="no-print flex flex-wrap gap-3 lg:justify-end">
      <Only may="doTodo">
        <Button disabled={busy} onClick={() => void begin()}>
          Open a job
        </Button>
      </Only>
      <Only may="endTodo">
        <Button look="quiet" onClick={() => setClosing(true)}>
          Close
        </Button>
      </Only>
      {closing ? <CloseTodo todo={todo} onClose={() => setClosing(false)} /> : null}
    </span>
  );
}

/** What was seen and left: on one harness or on all; what is open, or what was closed. */
export function TodoList({ harnessId }: { readonly harnessId?: string | undefined }) {
  const [ended, setEnded] = useState(false);
  const pages = usePages(useTodosInfiniteQuery({ ...(harnessId === undefined ? {} : { harnessId }), ended }));
  const isAll = harnessId === undefined;
  return (
    <>
      <p className="no-print -ml-4 mb-2">
        <Button look="quiet" aria-pressed={ended} onClick={() => setEnded(!ended)}>
          {ended ? 'Show what is open' : 'Show what was closed'}
        </Button>
      </p>
      <PagedList
        label={ended ? 'Closed' : 'To do'}
        pages={pages}
        waiting="Fetching what is to be done…"
        empty={
          ended
            ? { title: 'Nothing was closed yet', next: 'What is done or closed is kept here.' }
            : {
                title: 'Nothing is left to do',
                next: isAll
                  ? 'Leave a finding for later in Survey, or note something on a machine’s page “What was done here”.'
                  : 'Note what you saw and left.',
              }
        }
        keyOf={({ id }) => id}
      >
        {(todo) => (
          <div
            className={clsx(
              'grid min-h-16 items-center gap-x-5 gap-y-1 px-2 py-2.5 hover:bg-sheet',
              isAll ? 'lg:grid-cols-[14rem_minmax(0,1fr)_auto]' : 'lg:grid-cols-[minmax(0,1fr)_auto]',
            )}
          >
            {isAll ? (
              <Link to={`/machines/${todo.harnessId}/history`} className="underline-offset-4 hover:underline">
                <b>{todo.machine}</b>
                <span className="block text-soft">{todo.harness}</span>
              </Link>
            ) : null}
            <TodoWords todo={todo} />
            {ended ? <Ended todo={todo} /> : <Actions todo={todo} />}
          </div>
        )}
      </PagedList>
    </>
  );
}
