import { useState, type SyntheticEvent } from 'react';
import { useConfirmMutation } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import type { Waiting } from '../app/letIn.ts';
import { useSession } from '../app/session.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { SecretField } from './SecretField.tsx';

/** Asks for the PIN once more: for a signature, a correction, and what goes against the ranking. */
export function ConfirmDialog({ waiting: { writeId, done } }: { readonly waiting: Waiting }) {
  const { who } = useSession();
  const [secret, setSecret] = useState('');
  const [confirm, { error, isLoading }] = useConfirmMutation();
  const submit = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault();
    const { data } = await confirm({ secret, writeId });
    setSecret('');
    if (data) done(true);
  };
  const wrong = error === undefined ? undefined : errorOf(error);
  return (
    <Dialog
      open
      onClose={() => done(false)}
      title="Your PIN once more"
      about={`This stands under the name of ${who?.name ?? 'whoever is signed in'}.`}
    >
      <form className="grid gap-4" onSubmit={(event) => void submit(event)}>
        <SecretField
          value={secret}
          autoFocus
          wrong={wrong && `${wrong.message} ${wrong.hint ?? ''}`}
          onChange={(event) => setSecret(event.target.value)}
        />
        <Button type="submit" look="copper" disabled={isLoading || secret === ''}>
          Go on
        </Button>
      </form>
    </Dialog>
  );
}
