import { useState } from 'react';
import type { TableProblem } from '@mendum/core/interchange';
import type { ErrorBody } from '@mendum/core/operations';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { TextArea } from '../../ui/field.tsx';

/** A table of the shelf taken over, all or nothing; every bad cell is named by its line and column. */
export function ShelfImport({ version, onClose }: { readonly version: number; readonly onClose: () => void }) {
  const { save, busy } = useSave();
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<ErrorBody['error']>();
  const take = async (): Promise<void> => {
    const outcome = await save('importShelf', { version, text }, { quiet: true });
    if (!outcome.ok) return setRefused(outcome.error);
    notify(`${outcome.data.lines === 1 ? '1 line' : `${outcome.data.lines} lines`} imported`);
    return onClose();
  };
  const problems = Array.isArray(refused?.details) ? (refused.details as readonly TableProblem[]) : [];
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title="Import the shelf from a table"
      about="CSV with a line of headers, as Export writes it. Lines of what is there change it, others add; all or nothing."
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void take();
        }}
      >
        <label className="flex min-h-14 cursor-pointer items-center justify-center rounded-sm border border-ink px-4 text-lg font-semibold hover:bg-wash focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-copper">
          Choose a CSV file
          <input
            type="file"
            accept=".csv,.tsv,.txt"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file)
                void file.text().then((content) => {
                  setText(content);
                  setRefused(undefined);
                });
            }}
          />
        </label>
        <TextArea
          label="Or paste the cells"
          rows={8}
          className="figure"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setRefused(undefined);
          }}
        />
        {refused ? (
          <div role="alert" className="border-l-4 border-scrap pl-3">
            <p>
              <b className="text-scrap">{refused.message}</b> {refused.hint}
            </p>
            {problems.length > 1 ? (
              <ul tabIndex={0} className="mt-2 max-h-52 overflow-y-auto">
                {problems.slice(0, 200).map((problem) => (
                  <li key={`${problem.line} ${problem.column} ${problem.why}`}>
                    Line <span className="figure">{problem.line}</span>, {problem.column}: “{problem.value}” —{' '}
                    {problem.why}
                  </li>
                ))}
              </ul>
            ) : null}
          </div>
        ) : null}
        <Button type="submit" look="copper" disabled={busy || text.trim() === ''}>
          {busy ? 'Reading…' : 'Import these lines'}
        </Button>
      </form>
    </Dialog>
  );
}
