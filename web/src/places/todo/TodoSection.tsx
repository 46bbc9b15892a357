import { useState } from 'react';
import type { HarnessView } from '@mendum/core/operations';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { AddTodo } from './AddTodo.tsx';
import { TodoList } from './TodoList.tsx';

/** What is to be done on one harness, and the way to note more. */
export function TodoSection({
  view,
  circuitId,
}: {
  readonly view: HarnessView;
  readonly circuitId?: string | undefined;
}) {
  const [adding, setAdding] = useState(false);
  return (
    <section id="todo" aria-label="To do here" className="mt-8">
      <div className="flex flex-wrap items-center gap-4">
        <h2 className="text-xl font-semibold">To do here</h2>
        <Only may="addTodo">
          <Button className="no-print" onClick={() => setAdding(true)}>
            Note something
          </Button>
        </Only>
      </div>
      <TodoList harnessId={view.id} />
      {adding ? <AddTodo view={view} circuitId={circuitId} onClose={() => setAdding(false)} /> : null}
    </section>
  );
}
