import { X } from 'lucide-react';
import type { Tool } from '@mendum/core/catalogue';
import { NEST_BARRELS, NEST_STROKES, PART_COLOURS, type Nest } from '@mendum/core/stock';
import type { Form } from '../../form/useThing.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextField } from '../../ui/field.tsx';

const STROKE_WORDS: Record<Nest['stroke'], string> = {
  conductor: 'the conductor',
  jacket: 'the jacket',
  both: 'both in one stroke',
};

/** A nest of which nothing is known yet but what most close on. */
const NEW_NEST = { name: '', range: {}, stroke: 'conductor' } as unknown as Nest;

/** The openings of a tool: what each closes on, and the dot beside it. */
export function Nests({
  form,
  nests,
  onChange,
}: {
  readonly form: Form<Tool>;
  readonly nests: readonly Nest[];
  readonly onChange: (nests: readonly Nest[]) => void;
}) {
  return (
    <fieldset className="grid gap-3">
      <legend className="font-medium">Nests</legend>
      <p className="text-sm text-soft">
        Each opening, and what it closes on: the step names it. None listed: the tool alone is named.
      </p>
      {nests.map(({ name }, at) => (
        <div key={at} className="grid grid-cols-2 items-start gap-2 border-t border-rule pt-2 sm:grid-cols-3">
          <TextField label="Name or number" maxLength={60} {...form.field(`nests.${at}.name`)} />
          <NumberField label="From" unit="mm²" {...form.field(`nests.${at}.range.minMm2`)} />
          <NumberField label="To" unit="mm²" {...form.field(`nests.${at}.range.maxMm2`)} />
          <Select label="Closes on" {...form.field(`nests.${at}.stroke`)}>
            {NEST_STROKES.map((stroke) => (
              <option key={stroke} value={stroke}>
                {STROKE_WORDS[stroke]}
              </option>
            ))}
          </Select>
          <Select label="Barrel" {...form.field(`nests.${at}.barrel`)}>
            <option value="">either</option>
            {NEST_BARRELS.map((barrel) => (
              <option key={barrel}>{barrel}</option>
            ))}
          </Select>
          <div className="flex items-end gap-2">
            <div className="flex-1">
              <Select label="Dot" {...form.field(`nests.${at}.dot`)}>
                <option value="">none</option>
                {PART_COLOURS.map((dot) => (
                  <option key={dot}>{dot}</option>
                ))}
              </Select>
            </div>
            <Button
              look="quiet"
              aria-label={`Remove nest ${name === '' ? at + 1 : name}`}
              onClick={() => onChange(nests.filter((_, index) => index !== at))}
            >
              <X aria-hidden />
            </Button>
          </div>
        </div>
      ))}
      <Button className="justify-self-start" onClick={() => onChange([...nests, NEW_NEST])}>
        Add a nest
      </Button>
    </fieldset>
  );
}
