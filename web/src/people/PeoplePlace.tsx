import { useState } from 'react';
import type { Account, Role } from '@mendum/core/operations';
import { api, useAccountsQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { errorOf } from '../app/errors.ts';
import { notify } from '../app/notice.ts';
import { useMay, useSession } from '../app/session.ts';
import { useAppDispatch } from '../app/store.ts';
import { Place } from '../places/Place.tsx';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Empty, Failed, Working } from '../ui/empty.tsx';
import { AccountForm } from './AccountForm.tsx';
import { RoleSelect } from './RoleSelect.tsx';
import { SecretField } from './SecretField.tsx';

/** What may be changed of somebody: role, PIN, whether they sign in at all. */
function ChangeAccount({ account, onClose }: { readonly account: Account; readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const [role, setRole] = useState<Role>(account.role);
  const [secret, setSecret] = useState('');
  const [wrong, setWrong] = useState<string>();
  const change = async (what: { readonly active?: boolean }): Promise<void> => {
    const outcome = await save(
      'changeAccount',
      {
        accountId: account.id,
        ...(role === account.role ? {} : { role }),
        ...(secret === '' ? {} : { secret }),
        ...what,
      },
      { quiet: true },
    );
    if (outcome.ok) return onClose();
    setWrong(`${outcome.error.message} ${outcome.error.hint ?? ''}`);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={account.name}
      about="What is changed holds at once: their sign-ins end, and they sign in again."
    >
      <div className="grid gap-4">
        <RoleSelect role={role} onRole={setRole} />
        <SecretField
          label="New PIN, if it was forgotten"
          value={secret}
          autoComplete="new-password"
          wrong={wrong}
          onChange={(event) => setSecret(event.target.value)}
        />
        <Button
          look="copper"
          disabled={busy || (secret === '' && role === account.role)}
          onClick={() => void change({})}
        >
          Change
        </Button>
        <Button disabled={busy} onClick={() => void change({ active: !account.active })}>
          {account.active ? 'Let them sign in no more' : 'Let them sign in again'}
        </Button>
      </div>
    </Dialog>
  );
}

/** Those who may sign in, and a form for one more. */
function Accounts() {
  const { data, error, refetch } = useAccountsQuery({});
  const [picked, setPicked] = useState<Account>();
  if (!data)
    return error === undefined ? (
      <Working words="Fetching people…" />
    ) : (
      <Failed message={errorOf(error).message} onRetry={() => void refetch()} />
    );
  return (
    <div className="grid max-w-4xl gap-8">
      <ul className="border-t border-rule" aria-label="People">
        {data.map((account) => (
          <li
            key={account.id}
            className="flex min-h-14 flex-wrap items-center gap-x-5 border-b border-rule py-1 text-lg"
          >
            <span className="min-w-40 flex-1 font-semibold">{account.name}</span>
            <span className="w-28 text-soft">{account.active ? account.role : 'signs in no more'}</span>
            <Button onClick={() => setPicked(account)} aria-label={`Change ${account.name}`}>
              Change
            </Button>
          </li>
        ))}
      </ul>
      <section aria-label="Somebody new">
        <h2 className="mb-3 text-xl font-semibold">Somebody new</h2>
        <AccountForm first={false} onDone={(name) => notify(`${name} may sign in now.`)} />
      </section>
      {picked ? <ChangeAccount account={picked} onClose={() => setPicked(undefined)} /> : null}
    </div>
  );
}

/** Nobody signs in yet: what that means, and how it begins. */
function Begin() {
  const dispatch = useAppDispatch();
  const { mayBegin } = useSession();
  if (!mayBegin)
    return <Empty title="Nobody signs in here">The first admin is made on the server’s own machine.</Empty>;
  return (
    <div className="grid max-w-3xl gap-5">
      <p className="text-lg">
        Names are picked, and everybody may do everything: for one workshop on one machine. Before other machines may
        ask this server, people sign in. Names that stand on records stay.
      </p>
      <section aria-label="The first admin">
        <h2 className="mb-3 text-xl font-semibold">The first admin</h2>
        <AccountForm
          first
          onDone={(name) => {
            notify(`${name} signs in first, and lets the others in.`);
            void dispatch(api.util.upsertQueryData('session', {}, { signsIn: true, mayBegin: false }));
          }}
        />
      </section>
    </div>
  );
}

/** Who may sign in, and what they may. */
export function PeoplePlace() {
  const { signsIn } = useSession();
  const may = useMay('accounts');
  return (
    <Place title="People" about="Who may sign in here, and what they may do.">
      {!signsIn ? (
        <Begin />
      ) : may ? (
        <Accounts />
      ) : (
        <Empty title="An admin sees to this">Ask one for a new PIN or another role.</Empty>
      )}
    </Place>
  );
}
