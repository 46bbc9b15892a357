import { ownFieldsOf } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import type { WireSpec } from '@mendum/core/wire';
import { Button } from '../../ui/button.tsx';
import { Select, TextField, TickBox, WrongWords } from '../../ui/field.tsx';
import { WireFields } from '../../ui/wireFields.tsx';
import type { FindingDraft } from './draft.ts';
import type { DraftForm } from './draftForm.ts';

/** Most wires that may be joined to one at a place. */
const MOST = 8;

interface BranchFieldsProps {
  readonly form: DraftForm;
  /** The circuit's own wire, as the start of one that is added. */
  readonly own: WireSpec | undefined;
  readonly harness: Harness;
  readonly onChange: (part: Partial<FindingDraft>) => void;
}

/**
 * The wires that join the circuit's own here, and whether that may be cut; or the free cavity that takes the new one.
 */
export function BranchFields({ form, own, harness, onChange }: BranchFieldsProps) {
  const { typed: draft } = form;
  const adding = ownFieldsOf(draft.kind).branchWires?.required === true;
  const wires = draft.branchWires;
  const put = (index: number, wire: WireSpec): void =>
    onChange({ branchWires: wires.map((one, at) => (at === index ? wire : one)) });
  return (
    <section className="grid gap-3">
      <h3 className="font-medium">{adding ? 'What is added' : 'Wires that the earlier repair joined on as well'}</h3>
      {wires.map((wire, index) => (
        <div key={index} className="border-l-2 border-rule pl-3">
          <WireFields wire={wire} onChange={(next) => put(index, next)} />
          {wires.length > (adding ? 1 : 0) ? (
            <Button look="quiet" onClick={() => onChange({ branchWires: wires.filter((_, at) => at !== index) })}>
              Without this wire
            </Button>
          ) : null}
        </div>
      ))}
      {wires.length < MOST && own ? (
        <Button className="justify-self-start" onClick={() => onChange({ branchWires: [...wires, own] })}>
          {wires.length === 0 ? 'Add a wire' : 'Add another wire'}
        </Button>
      ) : null}
      {adding ? (
        <>
          <WrongWords>{form.wrong('branchWires')}</WrongWords>
          <TickBox label="The main wire must stay whole" {...form.field('mainUncut')} />
          <div className="grid gap-3 sm:grid-cols-2">
            <Select label="Or into a free cavity of" {...form.field('freeNodeId')}>
              <option value="">none: join it here</option>
              {harness.nodes
                .filter((node) => node.kind === 'connector')
                .map((node) => (
                  <option key={node.id} value={node.id}>
                    {node.name}
                  </option>
                ))}
            </Select>
            {draft.freeNodeId === '' ? null : (
              <TextField label="Which cavity" maxLength={10} {...form.field('freeCavity')} />
            )}
          </div>
          <div className="grid items-start gap-3 sm:grid-cols-2">
            <Select
              label="Its other end is at"
              hint="Terminal, route and length follow from it."
              {...form.field('otherEnd')}
            >
              <option value="">not known yet</option>
              {harness.nodes
                .filter(({ kind }) => kind === 'connector' || kind === 'end')
                .map((node) => (
                  <option key={node.id} value={node.id}>
                    {node.name}
                  </option>
                ))}
            </Select>
            {draft.otherEnd === '' ? null : (
              <TextField label="Cavity or place there" maxLength={10} {...form.field('otherPlace')} />
            )}
          </div>
        </>
      ) : null}
    </section>
  );
}
