import { useState } from 'react';
import type { KeptRecord } from '@mendum/core/operations';
import { useSave } from '../../app/change.ts';
import { api } from '../../app/api.ts';
import { useAppDispatch } from '../../app/store.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Select, TextArea } from '../../ui/field.tsx';
import { useOpenJob } from '../job.ts';

/** A signed record is never changed: a correction is a new one that names the old. */
export function Corrections({
  records,
  all,
}: {
  readonly records: readonly KeptRecord[];
  readonly all: readonly KeptRecord[];
}) {
  const { view } = useOpenJob();
  const { save, busy } = useSave();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  const [recordId, setRecordId] = useState(records[0]?.id ?? '');
  const [text, setText] = useState('');
  const corrected = all.length - records.length;
  const send = async (): Promise<void> => {
    const outcome = await save('correctRecord', { recordId, text: text.trim() });
    if (!outcome.ok) return;
    dispatch(api.util.invalidateTags([{ type: 'Job', id: view.id }]));
    setText('');
    setOpen(false);
  };
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setRecordId(records[0]?.id ?? '');
          setOpen(true);
        }}
      >
        Correct the record
      </Button>
      {corrected > 0 ? (
        <p className="text-soft">
          {corrected} {corrected === 1 ? 'record was' : 'records were'} corrected; the earlier text is kept.
        </p>
      ) : null}
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title="Correct the record"
        about="The signed record stays as it is. Your correction is added as a new one that names it."
      >
        <form
          className="grid gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            if (text.trim().length >= 3) void send();
          }}
        >
          <Select label="Which splice?" value={recordId} onChange={(event) => setRecordId(event.target.value)}>
            {records.map((record) => (
              <option
                key={record.id}
                value={record.id}
              >{`${record.body.circuitNumber} ${record.body.circuitFunction} at ${Math.round(record.body.atMm)} mm`}</option>
            ))}
          </Select>
          <TextArea
            label="What is right"
            value={text}
            maxLength={2000}
            onChange={(event) => setText(event.target.value)}
          />
          <Button type="submit" look="copper" disabled={busy || text.trim().length < 3}>
            Add the correction
          </Button>
        </form>
      </Dialog>
    </>
  );
}
