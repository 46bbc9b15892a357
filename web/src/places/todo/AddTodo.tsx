import { useState } from 'react';
import type { HarnessView } from '@mendum/core/operations';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Select, TextArea } from '../../ui/field.tsx';

/** Writes down something that was seen on a harness, for whoever is there next. */
export function AddTodo({
  view,
  circuitId: begin,
  onClose,
}: {
  readonly view: Pick<HarnessView, 'id' | 'name' | 'circuits'>;
  readonly circuitId?: string | undefined;
  readonly onClose: () => void;
}) {
  const { save, busy } = useSave();
  const [words, setWords] = useState('');
  const [circuitId, setCircuitId] = useState(begin ?? '');
  const [wrong, setWrong] = useState<string>();
  const isReady = words.trim().length >= 3;
  const send = async (): Promise<void> => {
    const sent = { harnessId: view.id, words: words.trim(), ...(circuitId === '' ? {} : { circuitId }) };
    const outcome = await save('addTodo', sent, { quiet: true });
    if (!outcome.ok) {
      setWrong(outcome.error.message);
      return;
    }
    notify('Noted');
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={`To do on ${view.name}`}
      about="It stays here until somebody does or closes it."
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (isReady) void send();
        }}
      >
        <TextArea
          label="What was seen"
          value={words}
          maxLength={500}
          hint="Such as: boot of the pump is torn; or: ties along the arm are brittle."
          wrong={wrong}
          onChange={(event) => setWords(event.target.value)}
        />
        <Select label="Circuit" value={circuitId} onChange={({ target }) => setCircuitId(target.value)}>
          <option value="">None, or several</option>
          {view.circuits.map(({ id, number, function: work }) => (
            <option key={id} value={id}>
              {number} {work}
            </option>
          ))}
        </Select>
        <Button type="submit" look="copper" disabled={busy || !isReady}>
          Note it
        </Button>
      </form>
    </Dialog>
  );
}
