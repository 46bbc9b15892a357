import { useState } from 'react';
import type { CoverId, Way } from '@mendum/core/approach';
import type { MethodId } from '@mendum/core/family';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { TextArea } from '../../ui/field.tsx';
import { useOpenJob } from '../job.ts';

export interface UseInsteadProps {
  readonly findingId: string;
  readonly use: MethodId | CoverId | Way;
  /** The terminal that is taken, of the ranking of terminals. */
  readonly terminal?: string;
  readonly name: string;
  readonly because: string;
  readonly onClose: () => void;
}

/** A choice against the ranking: it asks for a reason, which stays on the card, the sheet and the record. */
export function UseInsteadDialog({ findingId, use, terminal, name, because, onClose }: UseInsteadProps) {
  const { view } = useOpenJob();
  const { save, busy } = useSave();
  const [reason, setReason] = useState('');
  const [wrong, setWrong] = useState<string>();
  const take = async (): Promise<void> => {
    if (reason.trim().length < 3) {
      setWrong('Say why in a few words: somebody will read it in two years.');
      return;
    }
    const outcome = await save('choose', {
      jobId: view.id,
      version: view.version,
      findingId,
      use,
      ...(terminal === undefined ? {} : { terminal }),
      reason: reason.trim(),
    });
    if (!outcome.ok) return;
    const back = { jobId: view.id, version: view.version, findingId, use: null };
    notify(`${name} is used here`, { undo: () => void save('choose', back) });
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Use ${name.toLowerCase()} here`}
      about={because === '' ? undefined : because}
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void take();
        }}
      >
        <TextArea
          label="Why?"
          value={reason}
          wrong={wrong}
          maxLength={2000}
          onChange={(event) => setReason(event.target.value)}
        />
        <Button type="submit" look="copper" disabled={busy}>
          Use it, with this reason
        </Button>
      </form>
    </Dialog>
  );
}
