import { useState } from 'react';
import { cavitiesOf } from '@mendum/core/connector';
import { CIRCUIT_KINDS, KIND_WORDS, REMARK_MOST, type Circuit, type Harness } from '@mendum/core/harness';
import { readColour, colourInWords, sizeInWords, type WireColour } from '@mendum/core/wire';
import { WireChip } from '../../shapes/WireLine.tsx';
import { JacketFields } from '../../form/JacketFields.tsx';
import { useThing, type Form } from '../../form/useThing.ts';
import { WireFields } from '../../ui/wireFields.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextArea, TextField, TickBox, WrongWords } from '../../ui/field.tsx';
import { circuitFormSchema, circuitMade, endsIn, newCircuit, takenBy } from './circuitEdit.ts';

interface CircuitFormProps {
  readonly harness: Harness;
  readonly circuit: Circuit | undefined;
  readonly onSave: (circuit: Circuit) => boolean;
  readonly onRemove: (() => void) | undefined;
  readonly onClose: () => void;
}

/**
 * A colour word as it is printed, read at once; a form that may mean several is asked with the colours to choose from.
 */
function ColourWord({ onRead }: { readonly onRead: (colour: WireColour) => void }) {
  const [word, setWord] = useState('');
  const reading = word.trim() === '' ? undefined : readColour(word);
  const typed = (text: string): void => {
    setWord(text);
    const read = readColour(text);
    if (read.kind === 'read') onRead(read.colour);
  };
  return (
    <div>
      <TextField
        label="Colour as it is printed"
        hint="RD/BK, BLK-YEL, sw/ge, red/black: read at once."
        value={word}
        maxLength={40}
        wrong={reading?.kind === 'unread' ? `“${word}”: ${reading.why}` : undefined}
        onChange={(event) => typed(event.target.value)}
      />
      {reading?.kind === 'ask' ? (
        <fieldset className="mt-2 border-l-4 border-rework pl-3">
          <legend className="font-semibold">“{word}” may mean several. Which is it?</legend>
          <div className="flex flex-wrap gap-2">
            {reading.mayBe.map((colour) => (
              <Button
                key={colourInWords(colour)}
                onClick={() => {
                  onRead(colour);
                  setWord(colourInWords(colour));
                }}
              >
                <WireChip width={40} colour={colour} title="" />
                {colourInWords(colour)}
              </Button>
            ))}
          </div>
        </fieldset>
      ) : null}
    </div>
  );
}

/** One end of a circuit: where it is, and the cavity that holds it. */
function End({
  label,
  harness,
  form,
  end,
}: {
  readonly label: string;
  readonly harness: Harness;
  readonly form: Form<Circuit>;
  readonly end: 'from' | 'to';
}) {
  const ends = endsIn(harness);
  const face = ends.find(({ id }) => id === form.typed[end].nodeId)?.face;
  const cavity = form.field(`${end}.cavity`);
  return (
    <div className="grid grid-cols-[2fr_1fr] gap-2">
      <Select label={label} {...form.field(`${end}.nodeId`)}>
        {ends.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Select>
      {face ? (
        <Select label="Cavity" {...cavity}>
          <option value="">—</option>
          {cavitiesOf(face).map((one) => (
            <option key={one.cavity} value={one.cavity}>
              {one.cavity}
            </option>
          ))}
        </Select>
      ) : (
        <TextField label="Cavity" maxLength={10} {...cavity} />
      )}
    </div>
  );
}

/** One circuit: number, function, kind, wire, both ends, fuse, load, and the other wire of its pair. */
export function CircuitForm({ harness, circuit, onSave, onRemove, onClose }: CircuitFormProps) {
  const form = useThing(circuitFormSchema, circuit ?? newCircuit(harness), takenBy(harness, circuit));
  const { wire, shield } = form.typed;
  return (
    <form
      noValidate
      className="grid gap-5"
      onSubmit={form.submit((filledIn) => {
        if (onSave(circuitMade(filledIn, circuit, harness))) onClose();
      })}
    >
      <div className="grid gap-3 sm:grid-cols-[1fr_2fr]">
        <TextField label="Number" maxLength={20} {...form.field('number')} />
        <TextField label="Function" maxLength={200} {...form.field('function')} />
      </div>
      <Select label="Kind" {...form.field('kind')}>
        {CIRCUIT_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {KIND_WORDS[kind]}
          </option>
        ))}
      </Select>
      <div className="grid gap-4 sm:grid-cols-2">
        <End label="From" harness={harness} form={form} end="from" />
        <End label="To" harness={harness} form={form} end="to" />
      </div>
      <section className="grid gap-3">
        <h3 className="flex items-center gap-3 text-lg font-semibold">
          Wire <WireChip colour={wire.colour} title={colourInWords(wire.colour)} />
          <span className="font-normal text-soft">
            {colourInWords(wire.colour)}, {sizeInWords(wire.size)}
          </span>
        </h3>
        <ColourWord onRead={(colour) => form.set('wire.colour', colour)} />
        <WireFields wire={wire} onChange={(changed) => form.set('wire', changed)} />
        <JacketFields form={form} wire={wire} at="wire" />
      </section>
      <div className="grid gap-3 sm:grid-cols-3">
        <NumberField label="Fuse" unit="A" {...form.field('fuseA')} />
        <NumberField label="Load" unit="A" {...form.field('loadA')} />
        <Select label="Twisted with" {...form.field('pairWith')}>
          <option value="">none</option>
          {harness.circuits
            .filter((one) => one.id !== circuit?.id)
            .map((one) => (
              <option key={one.id} value={one.id}>{`${one.number} ${one.function}`}</option>
            ))}
        </Select>
        <TickBox
          label="It lies in a shield"
          checked={shield !== undefined}
          onChange={(event) => form.set('shield', event.target.checked ? {} : undefined)}
        />
        {shield === undefined ? null : (
          <NumberField label="Its drain" hint="Empty: taken as 0.5." unit="mm²" {...form.field('shield.drainMm2')} />
        )}
      </div>
      <TextArea label="Remark" rows={2} maxLength={REMARK_MOST} {...form.field('remark')} />
      <WrongWords>{form.wrong('root')}</WrongWords>
      <div className="sticky -bottom-5 -mx-6 -mb-5 flex gap-3 border-t border-rule bg-sheet px-6 py-3 max-sm:-mx-4 max-sm:px-4">
        <Button type="submit" look="copper" className="flex-1">
          {circuit ? 'Save the circuit' : 'Add the circuit'}
        </Button>
        {onRemove ? (
          <Button look="scrap" onClick={onRemove}>
            Remove
          </Button>
        ) : null}
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </form>
  );
}
