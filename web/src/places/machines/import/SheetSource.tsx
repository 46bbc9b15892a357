import { useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { TextArea } from '../../../ui/field.tsx';
import { SheetExample } from './SheetExample.tsx';
import { openFile, openPasted } from './sheets.ts';
import type { Opened, OpenedSheets } from '../../../workers/sheet.worker.ts';

/** Where the pinout comes from: a file, or cells pasted out of a spreadsheet. */
export function SheetSource({ onOpened }: { readonly onOpened: (of: OpenedSheets) => void }) {
  const [pasted, setPasted] = useState('');
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<{ readonly why: string; readonly remedy: string }>();
  const open = async (work: () => Promise<Opened>): Promise<void> => {
    setBusy(true);
    const result = await work();
    setBusy(false);
    setRefused(result.ok ? undefined : result);
    if (result.ok) onOpened(result);
  };
  return (
    <div className="grid gap-5">
      <label className="flex min-h-14 cursor-pointer items-center justify-center rounded-sm border border-ink px-4 text-lg font-semibold hover:bg-wash focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-copper">
        {busy ? 'Opening…' : 'Choose a file: CSV, TSV or XLSX'}
        <input
          type="file"
          accept=".csv,.tsv,.txt,.xlsx"
          className="sr-only"
          disabled={busy}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void open(() => openFile(file));
          }}
        />
      </label>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void open(() => openPasted(pasted));
        }}
      >
        <TextArea
          label="Or paste cells from a spreadsheet"
          hint="With the line of headers. Columns may come in any order; each is shown before anything is imported."
          rows={9}
          value={pasted}
          onChange={(event) => setPasted(event.target.value)}
          className="figure"
        />
        <Button type="submit" look="copper" disabled={busy || pasted.trim() === ''}>
          Read these cells
        </Button>
      </form>
      <SheetExample />
      {refused ? (
        <p role="alert" className="border-l-4 border-scrap pl-3 text-lg">
          <b className="text-scrap">{refused.why}</b> {refused.remedy}
        </p>
      ) : null}
    </div>
  );
}
