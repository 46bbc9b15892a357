import { useState, type ComponentProps } from 'react';
import { TextField } from '../ui/field.tsx';

/** A PIN by its figures, or a passphrase by letters: a phone shows the keys for the one that is wanted. */
export function SecretField({ label = 'PIN', ...rest }: Partial<ComponentProps<typeof TextField>>) {
  const [letters, setLetters] = useState(false);
  return (
    <div>
      <TextField
        label={letters ? label.replace('PIN', 'Passphrase') : label}
        type="password"
        inputMode={letters ? 'text' : 'numeric'}
        autoComplete="current-password"
        maxLength={128}
        className="figure !min-h-14 !text-2xl"
        {...rest}
      />
      <button type="button" className="mt-1 min-h-11 text-soft underline" onClick={() => setLetters((now) => !now)}>
        {letters ? 'Figures instead' : 'Letters instead'}
      </button>
    </div>
  );
}
