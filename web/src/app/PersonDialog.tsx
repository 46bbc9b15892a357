import { useState } from 'react';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { TextField } from '../ui/field.tsx';
import { usePeopleQuery } from './api.ts';
import { useSave } from './change.ts';
import { notify } from './notice.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import { personChosen } from './view.ts';

/** Who is at the bench: chosen once and kept on this device; it stands on every decision, reading and sign-off. */
export function PersonDialog({
  open,
  onClose,
  onChosen,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
  /** What was waiting for the name. */
  readonly onChosen?: (name: string) => void;
}) {
  const dispatch = useAppDispatch();
  const person = useAppSelector((state) => state.view.person);
  const { data: people = [] } = usePeopleQuery({});
  const { save } = useSave();
  const [name, setName] = useState('');
  const choose = async (chosen: string): Promise<void> => {
    dispatch(personChosen(chosen));
    setName('');
    onClose();
    onChosen?.(chosen);
    const { ok } = await save('addPerson', {}, { quiet: true, by: chosen });
    if (!ok) notify('Name saved on this device only. It reaches the server with your next entry.');
  };
  const submit = (event: { preventDefault: () => void }): void => {
    event.preventDefault();
    if (name.trim() !== '') void choose(name.trim());
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      firm={person === null && onChosen === undefined}
      title="Who is at the bench?"
      about="Your name stands on every decision, reading and sign-off made on this device."
    >
      <div className="grid gap-2">
        {people.map((one) => (
          <Button key={one.name} onClick={() => void choose(one.name)} className="!justify-start">
            {one.name}
            {one.name === person ? <span className="font-normal text-soft">now</span> : null}
          </Button>
        ))}
      </div>
      <form onSubmit={submit} className="mt-5 grid gap-3">
        <TextField
          label={people.length > 0 ? 'Somebody else' : 'Your name'}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          autoComplete="name"
        />
        <Button type="submit" look="copper" disabled={name.trim() === ''}>
          Use this name
        </Button>
      </form>
    </Dialog>
  );
}
