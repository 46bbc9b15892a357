import { useState } from 'react';
import type { Todo } from '@mendum/core/operations';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { TextArea } from '../../ui/field.tsx';

/** Closes something on the list without a job, with the reason; it can be opened again. */
export function CloseTodo({ todo, onClose }: { readonly todo: Todo; readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const [because, setBecause] = useState('');
  const [wrong, setWrong] = useState<string>();
  const isReady = because.trim().length >= 3;
  const send = async (): Promise<void> => {
    const outcome = await save('endTodo', { todoId: todo.id, because: because.trim() }, { quiet: true });
    if (!outcome.ok) {
      setWrong(outcome.error.message);
      return;
    }
    notify('Closed', { undo: () => void save('endTodo', { todoId: todo.id, because: null }) });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} title="Close it without a job" about={todo.words}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (isReady) void send();
        }}
      >
        <TextArea
          label="Why"
          value={because}
          maxLength={2000}
          hint="Such as: new ties since yesterday; or: looked again, it is only dirt."
          wrong={wrong}
          onChange={(event) => setBecause(event.target.value)}
        />
        <Button type="submit" look="copper" disabled={busy || !isReady}>
          Close it
        </Button>
      </form>
    </Dialog>
  );
}
