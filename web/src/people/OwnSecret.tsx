import { useState, type SyntheticEvent } from 'react';
import { api, useChangeSecretMutation } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { cameIn } from '../app/letIn.ts';
import { useSession } from '../app/session.ts';
import { useAppDispatch } from '../app/store.ts';
import { Button } from '../ui/button.tsx';
import { SecretField } from './SecretField.tsx';

/** Changes one's own PIN with the old one. @param given it was set by somebody else, who knows it */
export function OwnSecret({ given, onDone }: { readonly given: boolean; readonly onDone: () => void }) {
  const dispatch = useAppDispatch();
  const session = useSession();
  const [secret, setSecret] = useState('');
  const [next, setNext] = useState('');
  const [change, { error, isLoading }] = useChangeSecretMutation();
  const submit = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault();
    const { data } = await change({ secret, next });
    if (!data) return;
    const { who } = session;
    if (!who) return;
    void dispatch(api.util.upsertQueryData('session', {}, { ...session, who: { ...who, mustChange: false } }));
    if (given) cameIn(who.name);
    onDone();
  };
  const wrong = error === undefined ? undefined : errorOf(error);
  return (
    <form className="grid gap-4" onSubmit={(event) => void submit(event)}>
      <SecretField
        label={given ? 'PIN that you were given' : 'PIN now'}
        value={secret}
        autoFocus
        onChange={(event) => setSecret(event.target.value)}
      />
      <SecretField
        label="New PIN"
        value={next}
        autoComplete="new-password"
        hint="6 figures or more; or letters, 12 or more."
        wrong={wrong && `${wrong.message} ${wrong.hint ?? ''}`}
        onChange={(event) => setNext(event.target.value)}
      />
      <Button type="submit" look="copper" disabled={isLoading || secret === '' || next === ''}>
        Change it
      </Button>
    </form>
  );
}

/** Before anything else: whoever set the first PIN knows it. */
export const FirstSecret = ({ name }: { readonly name: string }) => (
  <div className="mx-auto grid w-full max-w-xl gap-5 px-6 py-8 max-sm:px-4">
    <div>
      <h1 className="text-3xl font-semibold">Your own PIN, {name}</h1>
      <p className="text-lg text-soft">Whoever let you in knows the first one. What is signed by yours is yours.</p>
    </div>
    <OwnSecret given onDone={() => undefined} />
  </div>
);
