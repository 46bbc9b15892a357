import { addDays, formatISO, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { DueBack } from '@mendum/core/operations';
import { useSave } from '../app/change.ts';
import { notify } from '../app/notice.ts';
import { Only } from '../people/Only.tsx';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { TextArea, TextField, TickBox } from '../ui/field.tsx';

/** The first day that it may be put off to: after its own, and not past. */
const earliest = (until: string): string => {
  const today = formatISO(new Date(), { representation: 'date' });
  return until < today ? today : formatISO(addDays(parseISO(until), 1), { representation: 'date' });
};

/** Another day for a temporary repair, or that it is not there any more; and why. */
function OtherDay({ due, onClose }: { readonly due: DueBack; readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const [until, setUntil] = useState('');
  const [isGone, setIsGone] = useState(false);
  const [because, setBecause] = useState('');
  const [wrong, setWrong] = useState<string>();
  const { method, circuitNumber, putOff = 0 } = due.body;
  const send = async (): Promise<void> => {
    const outcome = await save(
      'setDue',
      { recordId: due.recordId, until: isGone ? null : until, because: because.trim() },
      { quiet: true },
    );
    if (!outcome.ok) {
      setWrong(outcome.error.message);
      return;
    }
    notify(isGone ? 'Closed: it is not there any more' : `Due back on ${until}`);
    onClose();
  };
  const isReady = (isGone || until !== '') && because.trim().length >= 3;
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Circuit ${circuitNumber}, ${method}: due ${due.until}`}
      about={
        isGone
          ? 'It comes back no more. Your name and the reason go into its record.'
          : 'It stays a temporary repair. The new day, your name and the reason go into its record.'
      }
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (isReady) void send();
        }}
      >
        {putOff > 0 ? (
          <p className="text-lg font-semibold text-rework">
            Put off {putOff === 1 ? 'once' : `${putOff} times`} already.
          </p>
        ) : null}
        {isGone ? null : (
          <TextField
            type="date"
            label="Due back on"
            value={until}
            min={earliest(due.until)}
            wrong={wrong}
            onChange={(event) => {
              setUntil(event.target.value);
              setWrong(undefined);
            }}
          />
        )}
        <TickBox
          label="It is not there any more: close it"
          checked={isGone}
          onChange={(event) => setIsGone(event.target.checked)}
        />
        <TextArea
          label="Why"
          value={because}
          maxLength={2000}
          hint={
            isGone ? 'Such as: the whole harness was replaced.' : 'Such as: the machine is out until the harvest is in.'
          }
          wrong={isGone ? wrong : undefined}
          onChange={(event) => setBecause(event.target.value)}
        />
        <Button type="submit" look="copper" disabled={busy || !isReady}>
          {isGone ? 'Close it' : 'Put it off'}
        </Button>
      </form>
    </Dialog>
  );
}

/** What is done about a temporary repair: made good, or another day. */
export function DueActions({ due }: { readonly due: DueBack }) {
  const { save, busy } = useSave();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const begin = async (): Promise<void> => {
    const outcome = await save('makeGood', { recordId: due.recordId });
    if (outcome.ok) void navigate(`/jobs/${outcome.data.id}/survey`);
  };
  return (
    <span className="no-print flex flex-wrap gap-3 lg:w-[18.5rem] lg:justify-end">
      {due.good ? (
        <Link
          to={`/jobs/${due.good.id}`}
          className="inline-flex min-h-11 items-center px-1 text-lg font-semibold underline underline-offset-4"
        >
          Job {due.good.number} makes it good
        </Link>
      ) : (
        <Only may="makeGood">
          <Button disabled={busy} onClick={() => void begin()}>
            Make it good
          </Button>
        </Only>
      )}
      <Only may="setDue">
        <Button look="quiet" onClick={() => setOpen(true)}>
          Another day
        </Button>
      </Only>
      {open ? <OtherDay due={due} onClose={() => setOpen(false)} /> : null}
    </span>
  );
}
