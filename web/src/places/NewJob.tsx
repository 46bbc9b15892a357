import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useHarnessesQuery } from '../app/api.ts';
import { useChange } from '../app/change.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Select, TextField } from '../ui/field.tsx';

/** A job on a harness that is known. */
export function NewJob({ onClose }: { readonly onClose: () => void }) {
  const { data: harnesses = [] } = useHarnessesQuery();
  const { change, busy } = useChange();
  const navigate = useNavigate();
  const [harnessId, setHarnessId] = useState('');
  const [title, setTitle] = useState('');
  const picked = harnesses.find((one) => one.id === harnessId) ?? harnesses[0];
  const begin = async (): Promise<void> => {
    if (!picked) return;
    const outcome = await change('POST', '/jobs', {
      title: title.trim() === '' ? picked.name : title.trim(),
      harnessId: picked.id,
    });
    if (outcome.ok) void navigate(`/jobs/${String(outcome.data.id)}/survey`);
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
      title="New job"
    >
      {harnesses.length === 0 ? (
        <p className="text-lg">
          No harness is known yet. Describe one in Machines, or import a job file: its machine and harness come with it.
        </p>
      ) : (
        <form
          className="grid gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            void begin();
          }}
        >
          <Select
            label="Machine and harness"
            value={picked?.id ?? ''}
            onChange={(event) => setHarnessId(event.target.value)}
          >
            {harnesses.map((one) => (
              <option key={one.id} value={one.id}>{`${one.machine}: ${one.name}`}</option>
            ))}
          </Select>
          <TextField
            label="Title"
            value={title}
            maxLength={200}
            placeholder={picked?.name}
            hint="What it will be found by later."
            onChange={(event) => setTitle(event.target.value)}
          />
          <Button type="submit" look="copper" disabled={busy}>
            Start with Survey
          </Button>
        </form>
      )}
    </Dialog>
  );
}
