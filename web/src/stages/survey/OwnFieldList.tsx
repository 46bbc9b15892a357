import type { Circuit } from '@mendum/core/harness';
import { figure } from '@mendum/core/units';
import { allowedCurrentA, areaMm2, remainingShare } from '@mendum/core/wire';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { figuresOf, wordsOf, type FindingDraft } from './draft.ts';
import type { DraftForm } from './draftForm.ts';

/** What the lost strands leave, in mm² and against the fuse. */
function StrandsLeft({ draft, circuit }: { readonly draft: FindingDraft; readonly circuit: Circuit | undefined }) {
  const [lost, total] = [numberOf(draft.own.strandsLost ?? ''), numberOf(draft.own.strandsTotal ?? '')];
  if (!circuit || !(lost >= 1) || !(total >= lost) || !Number.isInteger(lost) || !Number.isInteger(total)) return null;
  const share = remainingShare(lost, total);
  const left = share * areaMm2(circuit.wire.size);
  const thinned =
    lost === total ? 0 : allowedCurrentA({ ...circuit.wire, size: { basis: 'metric', areaMm2: left } }, 40);
  return (
    <p className="text-lg sm:col-span-2">
      Left at that spot: <b className="figure">{figure(left)}</b> mm² of {figure(areaMm2(circuit.wire.size))}, which may
      carry <b className="figure">{figure(thinned, 1)}</b> A alone at 40 °C
      {circuit.fuseA === undefined ? (
        '; its fuse is not known.'
      ) : thinned < circuit.fuseA ? (
        <b className="text-scrap">; its fuse of {circuit.fuseA} A does not protect it.</b>
      ) : (
        `; its fuse is ${circuit.fuseA} A.`
      )}
    </p>
  );
}

/** The figures and words that only this kind of damage has. */
export function OwnFieldList({ form, circuit }: { readonly form: DraftForm; readonly circuit: Circuit | undefined }) {
  const { typed: draft } = form;
  const [figures, words] = [figuresOf(draft.kind), wordsOf(draft.kind)];
  if (figures.length + words.length === 0) return null;
  return (
    <div className="grid items-start gap-3 sm:grid-cols-2">
      {words.map(([name, { title }]) => (
        <TextField
          key={name}
          label={title}
          maxLength={10}
          hint="Leave it empty where none is."
          {...form.field(`own.${name}`)}
        />
      ))}
      {figures.map(([name, { title, unit = '', hint }]) => (
        <NumberField key={name} label={title} unit={unit} hint={hint} {...form.field(`own.${name}`)} />
      ))}
      <StrandsLeft draft={draft} circuit={circuit} />
    </div>
  );
}
