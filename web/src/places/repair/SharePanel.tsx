import { useState } from 'react';
import { SHARE_DAYS } from '@mendum/core/operations';
import { useSharesQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { useMay } from '../../app/session.ts';
import { useNamed } from '../../app/useNamed.tsx';
import { Button } from '../../ui/button.tsx';
import { Select } from '../../ui/field.tsx';
import { OwnOnly } from '../../ui/OwnOnly.tsx';

const KEY_BYTES = 24;

/** The secret of a link: made here and kept nowhere, so that it stands in no log and no backup. */
const newKey = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(KEY_BYTES)), (byte) => byte.toString(16).padStart(2, '0')).join('');

const daysWords = (days: number): string => (days === 365 ? 'One year' : `${days} days`);

/** A link by which somebody outside sees this repair, and nothing else, up to a day. */
export function SharePanel({ recordId }: { readonly recordId: string }) {
  const { data: shares = [] } = useSharesQuery({ recordId });
  const { save, busy } = useSave();
  const { named, question } = useNamed();
  const may = useMay('shareRecord');
  const [days, setDays] = useState<number>(30);
  const [made, setMade] = useState<{ readonly id: string; readonly address: string }>();
  const make = async (): Promise<void> => {
    const key = newKey();
    const outcome = await save('shareRecord', { recordId, days, key });
    if (outcome.ok) setMade({ id: outcome.data.id, address: `${location.origin}/s#${key}` });
  };
  const copy = async (): Promise<void> => {
    if (!made) return;
    try {
      await navigator.clipboard.writeText(made.address);
      notify('Link copied.');
    } catch {
      notify('Mark the link and copy it: this page may not do it by itself.');
    }
  };
  if (!may && shares.length === 0) return null;
  const open = shares.filter(({ over }) => !over);
  return (
    <section aria-label="Show it to a customer" className="mt-6 grid gap-3 border-t border-rule pt-4">
      <h2 className="text-xl font-semibold">Show it to a customer</h2>
      <p className="text-soft">A page of this repair alone, to read only; without notes, lots and tools.</p>
      {open.map(({ id, until, by }) => (
        <p key={id} className="flex flex-wrap items-center gap-x-4">
          A link opens to {until}, made by {by}.
          {may ? (
            <Button look="quiet" disabled={busy} onClick={() => named(() => void save('endShare', { shareId: id }))}>
              End it
            </Button>
          ) : null}
        </p>
      ))}
      {made && open.some(({ id }) => id === made.id) ? (
        <div className="grid gap-2 border-l-4 border-copper pl-3">
          <label className="grid gap-1">
            The link: it is shown once.
            <input
              readOnly
              value={made.address}
              onFocus={({ target }) => target.select()}
              className="figure min-h-11 w-full rounded-sm border border-ink bg-paper px-2 text-base"
            />
          </label>
          <OwnOnly what="the link" toDo="to make links for others" />
          <Button onClick={() => void copy()}>Copy the link</Button>
        </div>
      ) : null}
      {may ? (
        <>
          <Select label="It opens for" value={String(days)} onChange={({ target }) => setDays(Number(target.value))}>
            {SHARE_DAYS.map((one) => (
              <option key={one} value={one}>
                {daysWords(one)}
              </option>
            ))}
          </Select>
          <Button disabled={busy} onClick={() => named(() => void make())}>
            Make a link
          </Button>
        </>
      ) : null}
      {question}
    </section>
  );
}
