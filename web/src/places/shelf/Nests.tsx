import { X } from 'lucide-react';
import { NEST_BARRELS, NEST_STROKES, PART_COLOURS, type Nest } from '@mendum/core';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

/** A nest as it is typed: figures are text until they are kept. */
export interface NestDraft {
  readonly nest: Nest;
  readonly from: string;
  readonly to: string;
}

const STROKE_WORDS: Record<Nest['stroke'], string> = {
  conductor: 'the conductor',
  jacket: 'the jacket',
  both: 'both in one stroke',
};

export const nestDraftOf = (nest: Nest): NestDraft => ({
  nest,
  from: String(nest.range.minMm2),
  to: String(nest.range.maxMm2),
});
const NEW_NEST: NestDraft = {
  nest: { name: '', range: { minMm2: 0, maxMm2: 0 }, stroke: 'conductor' },
  from: '',
  to: '',
};

/** The nests as they are kept, or what is wrong with the first that is not right. */
export function nestsOf(
  drafts: readonly NestDraft[],
): { readonly nests: readonly Nest[] } | { readonly wrong: string } {
  const nests: Nest[] = [];
  for (const { nest, from, to } of drafts) {
    const [minMm2, maxMm2] = [numberOf(from), numberOf(to)];
    if (nest.name.trim() === '') return { wrong: 'Give each nest the name or number that stands beside it.' };
    if (/[|;]/.test(nest.name))
      return { wrong: `Name nest ${nest.name} without “|” and “;”: they part the cells of a table.` };
    if (!(minMm2 >= 0 && maxMm2 > minMm2))
      return { wrong: `Nest ${nest.name} goes from a smaller to a larger copper area in mm².` };
    nests.push({ ...nest, name: nest.name.trim(), range: { minMm2, maxMm2 } });
  }
  return { nests };
}

/** The openings of a tool: what each closes on, and the dot beside it. */
export function Nests({
  drafts,
  onChange,
}: {
  readonly drafts: readonly NestDraft[];
  readonly onChange: (drafts: readonly NestDraft[]) => void;
}) {
  const set = (at: number, part: Partial<NestDraft>): void =>
    onChange(drafts.map((one, index) => (index === at ? { ...one, ...part } : one)));
  const setNest = (at: number, part: Partial<Nest>): void =>
    onChange(drafts.map((one, index) => (index === at ? { ...one, nest: { ...one.nest, ...part } } : one)));
  return (
    <fieldset className="grid gap-3">
      <legend className="font-medium">Nests</legend>
      <p className="text-sm text-soft">
        Each opening, and what it closes on: the step names it. None listed: the tool alone is named.
      </p>
      {drafts.map(({ nest, from, to }, at) => (
        <div key={at} className="grid grid-cols-2 items-end gap-2 border-t border-rule pt-2 sm:grid-cols-3">
          <TextField
            label="Name or number"
            value={nest.name}
            maxLength={60}
            onChange={(event) => setNest(at, { name: event.target.value })}
          />
          <NumberField
            label="From"
            unit="mm²"
            value={from}
            onChange={(event) => set(at, { from: event.target.value })}
          />
          <NumberField label="To" unit="mm²" value={to} onChange={(event) => set(at, { to: event.target.value })} />
          <Select
            label="Closes on"
            value={nest.stroke}
            onChange={(event) => setNest(at, { stroke: event.target.value as Nest['stroke'] })}
          >
            {NEST_STROKES.map((stroke) => (
              <option key={stroke} value={stroke}>
                {STROKE_WORDS[stroke]}
              </option>
            ))}
          </Select>
          <Select
            label="Barrel"
            value={nest.barrel ?? ''}
            onChange={(event) => setNest(at, { barrel: NEST_BARRELS.find((barrel) => barrel === event.target.value) })}
          >
            <option value="">either</option>
            {NEST_BARRELS.map((barrel) => (
              <option key={barrel}>{barrel}</option>
            ))}
          </Select>
          <div className="flex items-end gap-2">
            <div className="flex-1">
              <Select
                label="Dot"
                value={nest.dot ?? ''}
                onChange={(event) => setNest(at, { dot: PART_COLOURS.find((dot) => dot === event.target.value) })}
              >
                <option value="">none</option>
                {PART_COLOURS.map((dot) => (
                  <option key={dot}>{dot}</option>
                ))}
              </Select>
            </div>
            <Button
              look="quiet"
              aria-label={`Remove nest ${nest.name === '' ? at + 1 : nest.name}`}
              onClick={() => onChange(drafts.filter((_, index) => index !== at))}
            >
              <X aria-hidden />
            </Button>
          </div>
        </div>
      ))}
      <Button className="justify-self-start" onClick={() => onChange([...drafts, NEW_NEST])}>
        Add a nest
      </Button>
    </fieldset>
  );
}
