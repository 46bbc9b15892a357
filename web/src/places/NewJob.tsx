import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useHarnessesInfiniteQuery } from '../app/api.ts';
import { useSave } from '../app/change.ts';
import { usePages } from '../app/usePages.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Select, TextField } from '../ui/field.tsx';
import { useSettled } from '../ui/useSettled.ts';

/** A job on a harness that is known. */
export function NewJob({ onClose }: { readonly onClose: () => void }) {
  const [words, setWords] = useState('');
  const search = useSettled(words.trim());
  const {
    lines: harnesses = [],
    total,
    hasMore,
  } = usePages(useHarnessesInfiniteQuery(search === '' ? {} : { search }));
  const isLong = hasMore || search !== '' || words !== '';
  const { save, busy } = useSave();
  const navigate = useNavigate();
  const [harnessId, setHarnessId] = useState('');
  const [title, setTitle] = useState('');
  const picked = harnesses.find((one) => one.id === harnessId) ?? harnesses[0];
  const begin = async (): Promise<void> => {
    if (!picked) return;
    const outcome = await save('openJob', {
      title: title.trim() === '' ? picked.name : title.trim(),
      harnessId: picked.id,
    });
    if (outcome.ok) void navigate(`/jobs/${outcome.data.id}/survey`);
  };
  return (
    <Dialog open onClose={onClose} title="New job">
      {harnesses.length === 0 && !isLong ? (
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
          {isLong ? (
            <TextField
              label="Find the machine"
              type="search"
              value={words}
              hint={total === 0 ? 'Nothing matches: try fewer words.' : `${total} harnesses: type to see fewer.`}
              onChange={(event) => setWords(event.target.value)}
            />
          ) : null}
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
          <Button type="submit" look="copper" disabled={busy || !picked}>
            Start with Survey
          </Button>
        </form>
      )}
    </Dialog>
  );
}
