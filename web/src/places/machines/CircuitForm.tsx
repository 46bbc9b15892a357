import { useState } from 'react';
import {
  cavitiesOf,
  CIRCUIT_KINDS,
  KIND_WORDS,
  readColour,
  colourInWords,
  sizeInWords,
  type Circuit,
  type CircuitKind,
  type Harness,
} from '@mendum/core';
import { WireChip } from '../../shapes/WireLine.tsx';
import { JacketFields, WireFields } from '../../ui/wireFields.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { circuitDraftOf, circuitOf, type CircuitDraft, type CircuitWrongs } from './circuitDraft.ts';

interface CircuitFormProps {
  readonly harness: Harness;
  readonly circuit: Circuit | undefined;
  readonly onSave: (circuit: Circuit) => boolean;
  readonly onRemove: (() => void) | undefined;
  readonly onClose: () => void;
}

/** A colour word as it is printed, read at once; a form that may mean several is asked with the colours to choose from. */
function ColourWord({ onRead }: { readonly onRead: (colour: CircuitDraft['wire']['colour']) => void }) {
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

function End({
  label,
  harness,
  node,
  cavity,
  wrong,
  onChange,
}: {
  readonly label: string;
  readonly harness: Harness;
  readonly node: string;
  readonly cavity: string;
  readonly wrong: string | undefined;
  readonly onChange: (node: string, cavity: string) => void;
}) {
  const ends = harness.nodes.filter((one) => one.kind === 'connector' || one.kind === 'end' || one.kind === 'splice');
  const face = ends.find((one) => one.id === node)?.face;
  return (
    <div className="grid grid-cols-[2fr_1fr] gap-2">
      <Select label={label} value={node} onChange={(event) => onChange(event.target.value, cavity)}>
        {ends.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Select>
      {face ? (
        <Select label="Cavity" value={cavity} wrong={wrong} onChange={(event) => onChange(node, event.target.value)}>
          <option value="">—</option>
          {cavitiesOf(face).map((one) => (
            <option key={one.cavity} value={one.cavity}>
              {one.cavity}
            </option>
          ))}
        </Select>
      ) : (
        <TextField
          label="Cavity"
          value={cavity}
          wrong={wrong}
          maxLength={10}
          onChange={(event) => onChange(node, event.target.value)}
        />
      )}
    </div>
  );
}

/** One circuit: number, function, kind, wire, both ends, fuse, load, and the other wire of its pair. */
export function CircuitForm({ harness, circuit, onSave, onRemove, onClose }: CircuitFormProps) {
  const [draft, setDraft] = useState<CircuitDraft>(() => circuitDraftOf(circuit, harness));
  const [wrong, setWrong] = useState<CircuitWrongs>({});
  const set = (part: Partial<CircuitDraft>): void => setDraft((now) => ({ ...now, ...part }));
  const save = (): void => {
    const made = circuitOf(draft, circuit, harness);
    setWrong(made.ok ? {} : made.wrong);
    if (made.ok && onSave(made.circuit)) onClose();
  };
  return (
    <form
      noValidate
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-[1fr_2fr]">
        <TextField
          label="Number"
          value={draft.number}
          wrong={wrong.number}
          maxLength={20}
          onChange={(event) => set({ number: event.target.value })}
        />
        <TextField
          label="Function"
          value={draft.function}
          maxLength={200}
          onChange={(event) => set({ function: event.target.value })}
        />
      </div>
      <Select label="Kind" value={draft.kind} onChange={(event) => set({ kind: event.target.value as CircuitKind })}>
        {CIRCUIT_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {KIND_WORDS[kind]}
          </option>
        ))}
      </Select>
      <div className="grid gap-4 sm:grid-cols-2">
        <End
          label="From"
          harness={harness}
          node={draft.fromNode}
          cavity={draft.fromCavity}
          wrong={wrong.fromCavity}
          onChange={(fromNode, fromCavity) => set({ fromNode, fromCavity })}
        />
        <End
          label="To"
          harness={harness}
          node={draft.toNode}
          cavity={draft.toCavity}
          wrong={wrong.toCavity}
          onChange={(toNode, toCavity) => set({ toNode, toCavity })}
        />
      </div>
      <section className="grid gap-3">
        <h3 className="flex items-center gap-3 text-lg font-semibold">
          Wire <WireChip colour={draft.wire.colour} title={colourInWords(draft.wire.colour)} />
          <span className="font-normal text-soft">
            {colourInWords(draft.wire.colour)}, {sizeInWords(draft.wire.size)}
          </span>
        </h3>
        <ColourWord onRead={(colour) => setDraft((now) => ({ ...now, wire: { ...now.wire, colour } }))} />
        <WireFields wire={draft.wire} onChange={(wire) => set({ wire })} />
        <JacketFields wire={draft.wire} onChange={(wire) => set({ wire })} />
      </section>
      <div className="grid gap-3 sm:grid-cols-3">
        <NumberField
          label="Fuse"
          name="fuseA"
          unit="A"
          value={draft.fuse}
          wrong={wrong.fuse}
          onChange={(event) => set({ fuse: event.target.value })}
        />
        <NumberField
          label="Load"
          name="loadA"
          unit="A"
          value={draft.load}
          wrong={wrong.load}
          onChange={(event) => set({ load: event.target.value })}
        />
        <Select label="Twisted with" value={draft.pairWith} onChange={(event) => set({ pairWith: event.target.value })}>
          <option value="">none</option>
          {harness.circuits
            .filter((one) => one.id !== circuit?.id)
            .map((one) => (
              <option key={one.id} value={one.id}>{`${one.number} ${one.function}`}</option>
            ))}
        </Select>
        <label className="flex min-h-11 items-center gap-3 self-end text-lg">
          <input
            type="checkbox"
            className="size-6 accent-(--copper)"
            checked={draft.isShielded}
            onChange={(event) => set({ isShielded: event.target.checked })}
          />
          It lies in a shield
        </label>
        {draft.isShielded ? (
          <NumberField
            label="Its drain"
            hint="Empty: taken as 0.5."
            unit="mm²"
            value={draft.drain}
            wrong={wrong.drain}
            onChange={(event) => set({ drain: event.target.value })}
          />
        ) : null}
      </div>
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
