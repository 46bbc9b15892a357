import { useState } from 'react';
import { Link } from 'react-router';
import { ROLE_WORDS } from '@mendum/core/operations';
import { api, useSignInsQuery, useSignOutMutation } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { errorOf } from '../app/errors.ts';
import { notify } from '../app/notice.ts';
import { useMay, useSession } from '../app/session.ts';
import { useAppDispatch } from '../app/store.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { ago } from '../ui/when.ts';
import { OwnSecret } from './OwnSecret.tsx';

/** Where somebody is signed in: each can be ended from here. */
function SignIns() {
  const { data = [] } = useSignInsQuery({});
  const { save, busy } = useSave();
  return (
    <section aria-label="Signed in on">
      <h3 className="text-xl font-semibold">Signed in on</h3>
      <ul className="border-t border-rule">
        {data.map(({ id, name, device, shared, seen, own }) => (
          <li key={id} className="flex min-h-14 flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              {device}
              <span className="block text-sm text-soft">
                {name}, {shared ? 'shared, ' : ''}
                {own ? 'this device' : `last used ${ago(seen)}`}
              </span>
            </span>
            {own ? null : (
              <Button disabled={busy} onClick={() => void save('endSignIn', { signInId: id })}>
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** One's own PIN, changed with the old one. */
function ChangeSecret() {
  const [open, setOpen] = useState(false);
  if (!open) return <Button onClick={() => setOpen(true)}>Change my PIN</Button>;
  const done = (): void => {
    setOpen(false);
    notify('PIN changed. Your other sign-ins have ended.');
  };
  return <OwnSecret given={false} onDone={done} />;
}

/** Who is signed in on this device; somebody else is two taps away. */
export function AccountDialog({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { who } = useSession();
  const mayPeople = useMay('accounts');
  const [signOut, { isLoading }] = useSignOutMutation();
  if (!who) return null;
  const leave = async (): Promise<void> => {
    const { data, error } = await signOut({});
    if (data) void dispatch(api.util.upsertQueryData('session', {}, data));
    else notify(errorOf(error).message, { wrong: true });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} title={who.name} about={`Signed in as ${who.role}. ${ROLE_WORDS[who.role]}`}>
      <div className="grid gap-5">
        <Button look="copper" disabled={isLoading} onClick={() => void leave()}>
          Sign out, or somebody else
        </Button>
        <ChangeSecret />
        <SignIns />
        {mayPeople ? (
          <Link to="/people" className="underline" onClick={onClose}>
            Who may sign in, and what they may
          </Link>
        ) : null}
      </div>
    </Dialog>
  );
}
