import { useState } from 'react';
import type { NamedHarness } from '@mendum/core/job';
import { UNNAMED_MACHINE } from '@mendum/core/quick';
import { namedHarnessSchema } from '@mendum/core/schemas';
import { useSave } from '../app/change.ts';
import { notify } from '../app/notice.ts';
import { useThing } from '../form/useThing.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { NumberField, TextField, WrongWords } from '../ui/field.tsx';

interface NameMachineProps {
  readonly harnessId: string;
  readonly version: number;
  readonly named: NamedHarness;
  readonly onClose: () => void;
}

/** Without the words that stand where nobody has named it. */
const asTyped = ({ name, machine }: NamedHarness): NamedHarness => ({
  name,
  machine: machine.name === UNNAMED_MACHINE ? { ...machine, name: '', kind: '' } : machine,
});

/** What became of the records that were signed before. */
function saidIn(corrected: number): { readonly hint?: string } {
  if (corrected === 0) return {};
  return {
    hint:
      corrected === 1
        ? 'One record that was signed says so in a new row.'
        : `${corrected} records that were signed say so in a new row.`,
  };
}

/** Which machine a harness is of, and what the harness is called: often known only once the repair is made. */
export function NameMachine({ harnessId, version, named, onClose }: NameMachineProps) {
  const [start] = useState(() => asTyped(named));
  const { field, wrong, submit } = useThing(namedHarnessSchema, start);
  const { save, busy } = useSave();
  const send = submit(
    ({ name, machine }) =>
      void save('nameHarness', { harnessId, version, name, machine }).then((outcome) => {
        if (!outcome.ok) return;
        const { corrected } = outcome.data;
        notify(`It is of ${machine.name} now`, saidIn(corrected));
        onClose();
      }),
  );
  return (
    <Dialog
      open
      onClose={onClose}
      title="Name the machine"
      about="What is known only now. Records that are signed already say so in a new row; the old one stays."
    >
      <form noValidate className="grid gap-4" onSubmit={send}>
        <TextField label="Machine, as the shop calls it" maxLength={200} {...field('machine.name')} />
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField label="What it is" maxLength={200} {...field('machine.kind')} />
          <NumberField label="System voltage" unit="V" {...field('machine.systemVoltageV')} />
        </div>
        <TextField label="The harness" maxLength={200} {...field('name')} />
        <WrongWords>{wrong('root')}</WrongWords>
        <div className="flex flex-wrap justify-end gap-3">
          <Button onClick={onClose}>Not now</Button>
          <Button look="copper" size="large" type="submit" disabled={busy}>
            Name it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
