import { useState, type ComponentProps } from 'react';
import { TextField } from '../ui/field.tsx';

/** A PIN by its figures, or a passphrase by letters: a phone shows the keys for the one that is wanted. */
export function SecretField({ label = 'PIN', ...rest }: Partial<ComponentProps<typeof TextField>>) {
  const [letters, setLetters] = useState(false);
  const [shown, setShown] = useState(false);
  return (
    <div>
      <TextField
        label={letters ? label.replace('PIN', 'Passphrase') : label}
        type={shown ? 'text' : 'password'}
        inputMode={letters ? 'text' : 'numeric'}
        autoComplete="current-password"
        maxLength={128}
        className="figure !min-h-14 !text-2xl"
        {...rest}
      />
      <div className="mt-1 flex gap-6 text-soft">
        <button type="button" className="min-h-11 underline" onClick={() => setLetters((now) => !now)}>
          {letters ? 'Figures instead' : 'Letters instead'}
        </button>
        <button type="button" className="min-h-11 underline" onClick={() => setShown((now) => !now)}>
          {shown ? 'Hide it' : 'Show it'}
        </button>
      </div>
    </div>
  );
}
