import clsx from 'clsx';
import { cavityKindOf, damageOf, isCavityKind, type FindingKind } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import { Button } from '../../ui/button.tsx';
import { Choices } from '../../ui/choices.tsx';
import { NumberField, Select } from '../../ui/field.tsx';
import { type FindingDraft } from './draft.ts';
import { endsOf } from './picked.ts';
import type { DraftForm } from './draftForm.ts';

interface CavityFieldsProps {
  readonly harness: Harness;
  readonly form: DraftForm;
  readonly many: boolean;
  readonly onChange: (part: Partial<FindingDraft>) => void;
}

/** What exactly is seen, where a kind has several sorts. */
export function SortPicker({
  kind,
  sort,
  onChange,
}: {
  readonly kind: FindingKind;
  readonly sort: string;
  readonly onChange: (sort: string) => void;
}) {
  const { sorts } = damageOf(kind);
  if (!sorts) return null;
  return (
    <Choices
      label="Which sort"
      picked={sort === '' ? undefined : sort}
      mayBeNone
      onPick={(one) => onChange(one ?? '')}
      className="flex flex-wrap gap-2"
      look={(isPicked) =>
        clsx(
          'inline-flex min-h-11 items-center rounded-sm border px-4 text-lg font-semibold',
          isPicked ? 'border-2 border-copper bg-wash' : 'border-ink bg-sheet hover:bg-wash',
        )
      }
      choices={Object.entries(sorts).map(([value, words]) => ({ value, shown: () => words }))}
    />
  );
}

/** At which connector, and for the housing every circuit in it at once. */
export function CavityFields({ harness, form, many, onChange }: CavityFieldsProps) {
  const { typed: draft } = form;
  const shared = endsOf(harness.circuits, draft.circuitIds);
  const ends = harness.nodes.filter((node) => node.kind === 'connector' || node.kind === 'end');
  const kind = isCavityKind(draft.kind) ? cavityKindOf(draft.kind) : undefined;
  const housing = kind?.ofHousing !== undefined;
  const inIt = harness.circuits.filter(
    (circuit) => circuit.from.nodeId === draft.atNodeId || circuit.to.nodeId === draft.atNodeId,
  );
  const cavities = inIt
    .filter((circuit) => draft.circuitIds.includes(circuit.id))
    .map((circuit) => (circuit.from.nodeId === draft.atNodeId ? circuit.from.cavity : circuit.to.cavity));
  return (
    <section className="grid gap-3 sm:grid-cols-2">
      <Select
        label="At which connector?"
        hint={cavities.length > 0 ? `Cavity ${cavities.join(', ')}` : undefined}
        {...form.field('atNodeId')}
      >
        <option value="">—</option>
        {ends.map((node) => (
          <option
            key={node.id}
            value={node.id}
            disabled={draft.circuitIds.length > 0 && !housing && !shared.has(node.id)}
          >
            {node.name}
          </option>
        ))}
      </Select>
      {housing && many && inIt.length > 0 ? (
        <Button className="self-end" onClick={() => onChange({ circuitIds: inIt.map((circuit) => circuit.id) })}>
          Every circuit in it ({inIt.length})
        </Button>
      ) : null}
      {kind?.losesBehind ? (
        <NumberField
          label="Wire lost behind it"
          hint="Until copper is bright and the jacket supple."
          unit="mm"
          {...form.field('cutBackLeftMm')}
        />
      ) : null}
      <NumberField label="Slack of this wire" hint="Not measured counts as 0." unit="mm" {...form.field('slackMm')} />
    </section>
  );
}
