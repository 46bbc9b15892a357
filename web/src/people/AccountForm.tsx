import { useState, type SyntheticEvent } from 'react';
import { PASSPHRASE_LEAST, PIN_LEAST, ROLE_WORDS, whyNoSecret, type Role } from '@mendum/core/operations';
import { useSave } from '../app/change.ts';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/field.tsx';
import { RoleSelect } from './RoleSelect.tsx';
import { SecretField } from './SecretField.tsx';

interface AccountFormProps {
  /** The first account is an admin. */
  readonly first: boolean;
  readonly onDone: (name: string) => void;
}

/** Lets somebody sign in: name, role, and a PIN that they change themselves. */
export function AccountForm({ first, onDone }: AccountFormProps) {
  const { save, busy } = useSave();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>(first ? 'admin' : 'technician');
  const [secret, setSecret] = useState('');
  const [refused, setRefused] = useState<string>();
  const why = secret === '' ? undefined : whyNoSecret(secret, role, name.trim());
  const submit = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault();
    const sent = { name: name.trim(), role, secret };
    const outcome = await save('addAccount', sent, { quiet: true, ...(first ? { by: sent.name } : {}) });
    setRefused(outcome.ok ? undefined : `${outcome.error.message} ${outcome.error.hint ?? ''}`);
    if (!outcome.ok) return;
    setName('');
    setSecret('');
    onDone(sent.name);
  };
  return (
    <form className="grid max-w-xl gap-4" onSubmit={(event) => void submit(event)}>
      <TextField label="Name" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
      {first ? null : <RoleSelect role={role} hint={ROLE_WORDS[role]} onRole={setRole} />}
      <SecretField
        label={role === 'admin' ? 'Passphrase' : 'First PIN'}
        value={secret}
        autoComplete="new-password"
        hint={
          role === 'admin'
            ? `${PASSPHRASE_LEAST} letters or more: three words in a row.`
            : `${PIN_LEAST} figures or more. They change it themselves.`
        }
        wrong={refused ?? why}
        onChange={(event) => {
          setRefused(undefined);
          setSecret(event.target.value);
        }}
      />
      <Button type="submit" look="copper" disabled={busy || name.trim() === '' || secret === '' || why !== undefined}>
        {first ? 'Have people sign in from now on' : 'Let them sign in'}
      </Button>
    </form>
  );
}
