import { useState } from 'react';
import { seenCavities, type ConnectorFace, type FaceSide } from '@mendum/core/connector';
import { FaceDrawing } from '../../connector/FaceDrawing.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextArea, TextField, TickBox } from '../../ui/field.tsx';
import { faceDraftOf, faceOf, type FaceDraft } from './faceDraft.ts';
import type { FaceFields } from './faceFields.ts';
import { GridFields } from './GridFields.tsx';
import { RingFields } from './RingFields.tsx';

/** How a connector is held while it is described: which side, and where its latch points. */
const HeldFields = ({ draft, set }: FaceFields) => (
  <>
    <Select
      label="You look at its"
      value={draft.describedFrom}
      onChange={(event) => set({ describedFrom: event.target.value as FaceSide })}
    >
      <option value="mating">mating side</option>
      <option value="wire">wire side</option>
    </Select>
    <Select
      label="Its latch, key or rib points"
      value={draft.latch}
      onChange={(event) => set({ latch: event.target.value as FaceDraft['latch'] })}
    >
      <option value="up">up</option>
      <option value="right">to the right</option>
      <option value="down">down</option>
      <option value="left">to the left</option>
      <option value="angle">at an angle</option>
    </Select>
    {draft.latch === 'angle' ? (
      <NumberField
        label="Angle of the latch"
        hint="Clockwise from the top."
        unit="°"
        value={draft.latchDeg}
        onChange={(event) => set({ latchDeg: event.target.value })}
      />
    ) : null}
    <Select
      label="Cavities lie"
      value={draft.layout}
      onChange={(event) => set({ layout: event.target.value as FaceDraft['layout'], renamed: {} })}
    >
      <option value="rows">in rows and columns</option>
      <option value="round">in rings</option>
      <option value="free">freely</option>
    </Select>
  </>
);

/**
 * Where the cavities of a connector lie and how they are numbered, drawn as it is typed, on the side it is described
 * from and as it is held there.
 */
export function FaceForm({
  name,
  face,
  onDone,
  onClose,
}: {
  readonly name: string;
  readonly face: ConnectorFace | undefined;
  readonly onDone: (face: ConnectorFace, ways: number) => void;
  readonly onClose: () => void;
}) {
  const [draft, setDraft] = useState<FaceDraft>(() => faceDraftOf(face));
  const [picked, setPicked] = useState<string>();
  const made = faceOf(draft);
  const set = (part: Partial<FaceDraft>): void => setDraft((now) => ({ ...now, ...part }));
  // As it is described: with the latch where it was said to point, a key at an angle turned to the top.
  const view = { side: draft.describedFrom, latch: draft.latch === 'angle' ? 'up' : draft.latch } as const;
  const shown = made.ok ? seenCavities(made.face, view) : [];
  const fields: FaceFields = { draft, set };
  const patternName =
    picked === undefined ? undefined : (Object.entries(draft.renamed).find(([, now]) => now === picked)?.[0] ?? picked);
  return (
    <form
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        if (made.ok) onDone(made.face, made.ways);
      }}
    >
      <p className="text-lg">Hold {name} as is handy, and say which side you look at and where its latch points.</p>
      <div className="grid gap-3 sm:grid-cols-3">
        <HeldFields {...fields} />
      </div>
      <TickBox
        label="Each cavity has a name of its own"
        checked={draft.isNamed}
        onChange={(event) => set({ isNamed: event.target.checked, renamed: {} })}
      />
      {draft.isNamed ? (
        <TextField
          label="Names, in the order of reading"
          hint="From the top left, row by row: 1-5, A, B. Rings from the outside in, clockwise."
          value={draft.names}
          onChange={(event) => set({ names: event.target.value })}
        />
      ) : null}
      {draft.layout === 'rows' ? <GridFields {...fields} /> : null}
      {draft.layout === 'free' ? (
        <TextArea
          label="Places, one a line"
          hint="How far right and down from the middle."
          value={draft.places}
          onChange={(event) => set({ places: event.target.value })}
        />
      ) : null}
      {draft.layout === 'rows' ? null : <RingFields {...fields} />}
      {made.ok ? (
        <div className="grid items-start gap-5 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          <FaceDrawing
            title={`${name}, ${made.ways} ${made.ways === 1 ? 'cavity' : 'cavities'}`}
            seen={shown}
            view={view}
            circuitIn={() => undefined}
            own
            picked={picked}
            onPick={setPicked}
          />
          {picked !== undefined && patternName !== undefined && !draft.isNamed ? (
            <TextField
              label={`Cavity ${picked} is marked`}
              hint="Where one number differs from the pattern."
              maxLength={10}
              value={draft.renamed[patternName] ?? picked}
              onChange={(event) => {
                const now = event.target.value.trim();
                const others = Object.fromEntries(
                  Object.entries(draft.renamed).filter(([pattern]) => pattern !== patternName),
                );
                set({ renamed: now === '' || now === patternName ? others : { ...others, [patternName]: now } });
                setPicked(now === '' ? patternName : now);
              }}
            />
          ) : (
            <p className="text-soft">
              {draft.isNamed ? '' : 'Tap a cavity whose number differs from the pattern.'}
              {draft.latch === 'angle' ? ' Drawn with its latch up.' : ''}
            </p>
          )}
        </div>
      ) : (
        <p role="status" className="border-l-4 border-rework pl-3 text-lg">
          {made.why}
        </p>
      )}
      <div className="flex gap-3">
        <Button type="submit" look="copper" disabled={!made.ok}>
          This is {name}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </form>
  );
}
