import { useState, type ChangeEvent } from 'react';
import { useNavigate } from 'react-router';
import { useSave } from '../app/change.ts';
import { notify } from '../app/notice.ts';
import { Dialog } from '../ui/dialog.tsx';

/** Largest file that is read, bytes; the server reads no more either. */
const FILE_MOST = 5_000_000;

interface Problem {
  readonly pointer?: string;
  readonly message: string;
  readonly hint?: string;
}

/** Reads a job file: all of it, or nothing with every bad place named. */
export function ImportJob({ onClose }: { readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const navigate = useNavigate();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const read = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size === 0 || file.size > FILE_MOST) {
      setProblems([
        {
          message:
            file.size === 0
              ? `${file.name} is empty.`
              : `${file.name} has ${Math.round(file.size / 1e5) / 10} MB; a job file has ${FILE_MOST / 1e6} MB at most.`,
          hint: 'Nothing was imported. Export the job again.',
        },
      ]);
      return;
    }
    const outcome = await save('importJob', { text: await file.text() }, { quiet: true });
    if (outcome.ok) {
      notify(`Imported as job ${outcome.data.number}`);
      void navigate(`/jobs/${outcome.data.id}/survey`);
      return;
    }
    const { details, message, hint } = outcome.error;
    setProblems(
      Array.isArray(details) ? (details as Problem[]) : [{ message, ...(hint === undefined ? {} : { hint }) }],
    );
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title="Import a job file"
      about="A Mendum job file in JSON, as the Record stage gives it out. All of it is imported, or nothing."
    >
      <label className="flex min-h-14 cursor-pointer items-center justify-center rounded-sm border border-copper bg-copper px-4 text-lg font-semibold text-oncopper focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-copper">
        {busy ? 'Reading…' : 'Choose the file'}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          disabled={busy}
          onChange={(event) => void read(event)}
        />
      </label>
      {problems.length === 0 ? null : (
        <div role="alert" className="mt-5">
          <p className="text-lg font-semibold text-scrap">
            Nothing was imported: {problems.length === 1 ? 'one place is' : `${problems.length} places are`} not right.
          </p>
          <ul tabIndex={0} className="mt-2 grid max-h-72 gap-3 overflow-y-auto">
            {problems.map((problem) => (
              <li key={`${problem.pointer ?? ''} ${problem.message}`} className="border-l-4 border-scrap pl-3">
                {problem.pointer ? <code className="figure block text-sm text-soft">{problem.pointer}</code> : null}
                {problem.message} <span className="text-soft">{problem.hint}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </Dialog>
  );
}
