import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { v4 as uuid } from 'uuid';
import type { Todo } from '@mendum/core/operations';
import { useTodosInfiniteQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { usePages } from '../../app/usePages.ts';
import { TodoWords } from '../../places/todo/TodoWords.tsx';
import { Button } from '../../ui/button.tsx';
import { useOpenJob } from '../job.ts';

/** What was seen on this harness and left, to be taken into this job. @param onMark marks anew what has no place */
export function TodosHere({ onMark }: { readonly onMark: (todo: Todo) => void }) {
  const { view, select } = useOpenJob();
  const { save, busy } = useSave();
  const { lines = [], hasMore } = usePages(useTodosInfiniteQuery({ harnessId: view.harnessId }));
  const free = lines.filter(({ doing }) => doing === undefined);
  if (free.length === 0) return null;
  const take = async (todo: Todo): Promise<void> => {
    if (!todo.finding) {
      onMark(todo);
      return;
    }
    const isTaken = view.job.findings.some(({ id }) => id === todo.finding?.id);
    const finding = isTaken ? { ...todo.finding, id: uuid() } : todo.finding;
    const outcome = await save('addFinding', { jobId: view.id, finding, todoId: todo.id });
    if (!outcome.ok) return;
    select(finding.id);
    notify('Taken into this job', {
      undo: () =>
        void save('removeFinding', {
          jobId: view.id,
          jobVersion: outcome.data.jobVersion,
          findingId: finding.id,
          version: 1,
        }),
    });
  };
  return (
    <details className="group border-l-4 border-copper bg-sheet px-4">
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-lg font-semibold">
        <ChevronRight size={20} aria-hidden className="group-open:rotate-90" />
        {free.length === 1 ? '1 thing was seen here and left' : `${free.length} things were seen here and left`}
      </summary>
      <ul className="pb-2">
        {free.map((todo) => (
          <li key={todo.id} className="flex flex-wrap items-center justify-between gap-x-5 gap-y-1 py-1.5">
            <TodoWords todo={todo} />
            <Button disabled={busy} onClick={() => void take(todo)}>
              {todo.finding ? 'Take it into this job' : 'Mark it in this job'}
            </Button>
          </li>
        ))}
      </ul>
      {hasMore ? (
        <p className="pb-2">
          <Link to={`/machines/${view.harnessId}/history#todo`} className="underline underline-offset-4">
            All that is to do here
          </Link>
        </p>
      ) : null}
    </details>
  );
}
