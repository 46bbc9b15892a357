import { useState } from 'react';
import { withSources, type Harness } from '@mendum/core/harness';
import { importable } from '@mendum/core/pinout';
import { importEdits, type Attachment, type HarnessEdit } from '@mendum/core/survey';
import { Button } from '../../../ui/button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { NumberField, Select } from '../../../ui/field.tsx';
import { numberOf } from '../../../ui/typed.ts';
import { SheetProblems } from './SheetPreview.tsx';
import { sourceOf } from './SheetOrigin.tsx';
import { SheetReading } from './SheetReading.tsx';
import { useSheet } from './useSheet.ts';

interface ImportPinoutProps {
  readonly harness: Harness;
  /** Does the edits; gives back whether they could be done. */
  readonly onTake: (edits: readonly HarnessEdit[]) => boolean;
  readonly onClose: () => void;
}

/** Circuits for a harness from a sheet: all of them, or nothing. */
export function ImportPinout({ harness, onTake, onClose }: ImportPinoutProps) {
  const sheet = useSheet(harness);
  const [replaceAll, setReplaceAll] = useState(false);
  const [hangs, setHangs] = useState<Readonly<Record<string, { readonly from: string; readonly length: string }>>>({});
  const { reading } = sheet;
  const hangOf = (name: string): { readonly from: string; readonly length: string } =>
    hangs[name] ?? {
      from: harness.nodes.find((node) => node.kind === 'branch')?.id ?? harness.nodes[0]?.id ?? '',
      length: '',
    };
  const attachments = new Map(
    (reading?.newConnectors ?? []).flatMap(({ name }): [string, Attachment][] => {
      const { from, length } = hangOf(name);
      // Where it hangs is said before it counts: nothing is guessed.
      if (length.trim() === '') return name in hangs ? [[name, { fromNodeId: from }]] : [];
      const lengthMm = numberOf(length);
      return lengthMm >= 1 ? [[name, { fromNodeId: from, lengthMm }]] : [];
    }),
  );
  const result = reading && importable(reading) ? importEdits(harness, reading, attachments, replaceAll) : undefined;
  const hung = attachments.size === (reading?.newConnectors.length ?? 0);
  const ready = result?.problems.length === 0 && hung;
  const others = reading
    ? harness.circuits.filter((circuit) => !reading.rows.some((row) => row.circuit.number === circuit.number)).length
    : 0;
  return (
    <Dialog
      open
      shape="wide"
      onClose={onClose}
      title={`Circuits of ${harness.name} from a sheet`}
      about="All of it is imported, or nothing."
    >
      <SheetReading of={sheet} nodes={harness.nodes}>
        {reading && importable(reading) ? (
          <>
            {reading.newConnectors.map(({ name, cavities }) => (
              <fieldset key={name} className="grid gap-3 border-t border-rule pt-3 sm:grid-cols-2">
                <legend className="text-lg font-semibold">
                  {name} is new, with {cavities.length} {cavities.length === 1 ? 'cavity' : 'cavities'}. Where does it
                  hang?
                </legend>
                <Select
                  label="Its run comes from"
                  value={hangOf(name).from}
                  onChange={(event) => setHangs({ ...hangs, [name]: { ...hangOf(name), from: event.target.value } })}
                >
                  {harness.nodes.map((node) => (
                    <option key={node.id} value={node.id}>
                      {node.name}
                    </option>
                  ))}
                </Select>
                <NumberField
                  label="Length of that run"
                  hint="Empty: nobody has measured it."
                  unit="mm"
                  value={hangOf(name).length}
                  onChange={(event) => setHangs({ ...hangs, [name]: { ...hangOf(name), length: event.target.value } })}
                />
              </fieldset>
            ))}
            {others > 0 ? (
              <label className="flex min-h-11 items-center gap-3 text-lg">
                <input
                  type="checkbox"
                  className="size-6 accent-(--copper)"
                  checked={replaceAll}
                  onChange={(event) => setReplaceAll(event.target.checked)}
                />
                Remove the {others} {others === 1 ? 'circuit' : 'circuits'} that the sheet does not name
              </label>
            ) : null}
            <SheetProblems problems={result?.problems ?? []} />
            <Button
              look="copper"
              disabled={!ready}
              onClick={() => {
                const known = harness.sources ?? [];
                const source = sourceOf(sheet.origin);
                const sources = source ? withSources(known, [source]) : known;
                const edits: HarnessEdit[] = [...(result?.edits ?? [])];
                if (sources !== known) edits.push({ do: 'setSources', sources });
                if (ready && onTake(edits)) onClose();
              }}
            >
              {hung
                ? `Import ${reading.rows.length} ${reading.rows.length === 1 ? 'circuit' : 'circuits'}`
                : 'Give the lengths of the new runs'}
            </Button>
          </>
        ) : null}
      </SheetReading>
    </Dialog>
  );
}
