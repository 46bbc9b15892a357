import { useState, type SyntheticEvent } from 'react';
import { api, useSignInMutation } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { rememberedDevice, rememberSignIn } from '../app/device.ts';
import { cameIn } from '../app/letIn.ts';
import { useAppDispatch } from '../app/store.ts';
import { personChosen } from '../app/view.ts';
import { Button } from '../ui/button.tsx';
import { TextField, TickBox } from '../ui/field.tsx';
import { SecretField } from './SecretField.tsx';

/** What a shared tablet does by itself. */
const SHARED = 'Shared tablet: signs out after 10 minutes';

interface NamesProps {
  readonly names: readonly string[];
  readonly name: string;
  readonly onName: (name: string) => void;
}

/** Names that signed in on this device before: one tap. */
const Names = ({ names, name, onName }: NamesProps) => (
  <div className="grid grid-cols-2 gap-2" role="group" aria-label="Signed in here before">
    {names.map((one) => (
      <Button
        key={one}
        aria-pressed={one === name}
        look={one === name ? 'copper' : 'plain'}
        className="!justify-start"
        onClick={() => onName(one)}
      >
        {one}
      </Button>
    ))}
  </div>
);

/** Signs somebody in: a name that this device knows is a tap, and the PIN is all that is typed. */
export function SignIn({ ended }: { readonly ended: boolean }) {
  const dispatch = useAppDispatch();
  const [device] = useState(rememberedDevice);
  const [name, setName] = useState(device.names[0] ?? '');
  const [secret, setSecret] = useState('');
  const [shared, setShared] = useState(device.shared);
  const [signIn, { error, isLoading }] = useSignInMutation();
  const submit = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault();
    const { data } = await signIn({ name: name.trim(), secret, shared });
    setSecret('');
    if (!data?.who) return;
    rememberSignIn(data.who.name, shared);
    dispatch(personChosen(data.who.name));
    void dispatch(api.util.upsertQueryData('session', {}, data));
    if (data.who.mustChange !== true) cameIn(data.who.name);
  };
  const isKnown = device.names.includes(name);
  const wrong = error === undefined ? undefined : errorOf(error);
  return (
    <div className="mx-auto grid w-full max-w-xl gap-5 px-6 py-8 max-sm:px-4">
      <div>
        <h1 className="text-3xl font-semibold">Who is at the bench?</h1>
        <p className="text-lg text-soft">
          {ended
            ? 'The sign-in has ended. What was on the page is still there.'
            : 'Your name stands on what you decide, read and sign.'}
        </p>
      </div>
      <form className="grid gap-4" onSubmit={(event) => void submit(event)}>
        {device.names.length > 0 ? <Names names={device.names} name={name} onName={setName} /> : null}
        <TextField
          label={isKnown ? 'Somebody else' : 'Name'}
          value={isKnown ? '' : name}
          maxLength={80}
          autoComplete="username"
          onChange={(event) => setName(event.target.value)}
        />
        <SecretField
          key={isKnown ? name : 'somebody else'}
          autoFocus={isKnown}
          label={isKnown ? `PIN of ${name}` : 'PIN'}
          value={secret}
          wrong={wrong && `${wrong.message} ${wrong.hint ?? ''}`}
          onChange={(event) => setSecret(event.target.value)}
        />
        <TickBox label={SHARED} checked={shared} onChange={(event) => setShared(event.target.checked)} />
        <Button type="submit" look="copper" disabled={isLoading || name.trim() === '' || secret === ''}>
          {isLoading ? 'Signing in…' : 'Sign in'}
        </Button>
      </form>
    </div>
  );
}
