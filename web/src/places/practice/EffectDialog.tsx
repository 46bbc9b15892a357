import { useEffect } from 'react';
import type { Practice } from '@mendum/core/practice';
import type { JobEffect } from '@mendum/core/operations';
import { usePracticeEffectMutation } from '../../app/api.ts';
import { errorOf } from '../../app/errors.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Failed, Working } from '../../ui/empty.tsx';

interface EffectDialogProps {
  readonly practice: Practice;
  readonly busy: boolean;
  readonly onSave: () => void;
  readonly onClose: () => void;
}

function Effects({ effects }: { readonly effects: readonly JobEffect[] }) {
  if (effects.length === 0) return <p className="text-lg">No open job changes.</p>;
  return (
    <ul className="grid gap-4">
      {effects.map((effect) => (
        <li key={effect.jobId}>
          <p className="text-lg font-semibold">
            {effect.number} {effect.title}
            {effect.keeps ? (
              <span className="font-normal text-soft"> — work has begun: it keeps the practice as it is</span>
            ) : null}
          </p>
          {effect.keeps ? null : (
            <table className="w-full text-left">
              <thead className="text-soft">
                <tr>
                  <th className="w-24 font-medium">Circuit</th>
                  <th className="w-2/5 font-medium">Now</th>
                  <th className="font-medium">Then</th>
                </tr>
              </thead>
              <tbody>
                {effect.changes.map((change) => (
                  <tr key={change.findingId} className="border-t border-rule align-top">
                    <td className="py-1 figure">{change.circuitNumber}</td>
                    <td className="py-1 pr-4">{change.before}</td>
                    <td className="py-1">
                      <b>{change.after}</b>
                      <span className="block text-soft">{change.because}</span>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What a changed practice would alter in open jobs, before it is saved. */
export function EffectDialog({ practice, busy, onSave, onClose }: EffectDialogProps) {
  const [ask, { data, error }] = usePracticeEffectMutation();
  useEffect(() => {
    void ask({ practice });
  }, [ask, practice]);
  const failed = error && errorOf(error);
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title={`What ${practice.name} would change`}
      about="Open jobs that are planned by it."
    >
      {failed ? (
        <Failed message={failed.message} hint={failed.hint} onRetry={() => void ask({ practice })} />
      ) : !data ? (
        <Working words="Planning the open jobs again…" />
      ) : (
        <Effects effects={data} />
      )}
      <div className="mt-5 flex gap-3 border-t border-rule pt-4">
        <Button look="copper" disabled={busy || !data} onClick={onSave}>
          Save the practice
        </Button>
        <Button onClick={onClose}>Keep editing</Button>
      </div>
    </Dialog>
  );
}
