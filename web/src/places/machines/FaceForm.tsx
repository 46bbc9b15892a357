import { useState } from 'react';
import { seenCavities, type ConnectorFace, type FaceSide, type Numbering } from '@mendum/core/connector';
import { FaceDrawing } from '../../connector/FaceDrawing.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextArea, TextField } from '../../ui/field.tsx';
import { faceDraftOf, faceOf, type FaceDraft } from './faceDraft.ts';

/**
 * Where the cavities of a connector lie and how they are numbered, drawn as it is typed, latch up on the side it is
 * described from.
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
  const shown = made.ok ? seenCavities(made.face, { side: draft.describedFrom, latch: 'up' }) : [];
  const [rows, columns] = [Number(draft.rows), Number(draft.columns)];
  const toggle = (place: string): void =>
    set({
      missing: draft.missing.includes(place) ? draft.missing.filter((one) => one !== place) : [...draft.missing, place],
    });
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
      <p className="text-lg">Hold {name} with its latch up and look at the side that you describe.</p>
      <div className="grid gap-3 sm:grid-cols-3">
        <Select
          label="You look at its"
          value={draft.describedFrom}
          onChange={(event) => set({ describedFrom: event.target.value as FaceSide })}
        >
          <option value="mating">mating side</option>
          <option value="wire">wire side</option>
        </Select>
        <Select
          label="Cavities lie"
          value={draft.layout}
          onChange={(event) => set({ layout: event.target.value as FaceDraft['layout'] })}
        >
          <option value="rows">in rows and columns</option>
          <option value="round">in rings</option>
          <option value="free">freely</option>
        </Select>
        <Select
          label="Numbers run"
          value={draft.numbering}
          onChange={(event) => set({ numbering: event.target.value as Numbering['kind'] })}
        >
          <option value="rowWise">row by row</option>
          <option value="columnWise">column by column</option>
          <option value="snake">to and fro</option>
          <option value="rowFirsts">from the first number of each row</option>
          <option value="letters">in letters</option>
        </Select>
        {draft.layout === 'rows' ? (
          <>
            <NumberField
              label="Rows"
              unit="rows"
              value={draft.rows}
              onChange={(event) => set({ rows: event.target.value })}
            />
            <NumberField
              label="Columns"
              unit="cols"
              value={draft.columns}
              onChange={(event) => set({ columns: event.target.value })}
            />
          </>
        ) : null}
        {draft.layout === 'round' ? (
          <TextField
            label="Cavities in each ring"
            hint="From the outside in, such as 6, 1."
            value={draft.rings}
            onChange={(event) => set({ rings: event.target.value })}
          />
        ) : null}
        {draft.layout === 'free' ? (
          <TextArea
            label="Places, one a line"
            hint="How far right and down from the middle."
            value={draft.places}
            onChange={(event) => set({ places: event.target.value })}
          />
        ) : null}
        {draft.numbering === 'rowFirsts' ? (
          <TextField
            label="First number of each row"
            hint="As moulded, from the top: 1, 8."
            value={draft.firsts}
            onChange={(event) => set({ firsts: event.target.value })}
          />
        ) : null}
        {draft.numbering === 'rowWise' || draft.numbering === 'columnWise' || draft.numbering === 'snake' ? (
          <NumberField
            label="First number"
            unit="no."
            value={draft.first}
            onChange={(event) => set({ first: event.target.value })}
          />
        ) : null}
        <label className="flex min-h-11 items-center gap-3 text-lg">
          <input
            type="checkbox"
            className="size-6 accent-(--copper)"
            checked={draft.fromRight}
            onChange={(event) => set({ fromRight: event.target.checked })}
          />
          They begin at the right
        </label>
      </div>
      {draft.layout === 'rows' && rows * columns > 0 && rows <= 6 && columns <= 20 ? (
        <fieldset>
          <legend className="mb-1 font-medium">Places without a cavity: tap them</legend>
          <div className="inline-grid gap-1" style={{ gridTemplateColumns: `repeat(${columns}, 44px)` }}>
            {Array.from(
              { length: rows * columns },
              (_, index) => `${Math.floor(index / columns) + 1}.${(index % columns) + 1}`,
            ).map((place) => (
              <button
                key={place}
                type="button"
                aria-pressed={draft.missing.includes(place)}
                aria-label={`Row and column ${place}: ${draft.missing.includes(place) ? 'no cavity' : 'a cavity'}`}
                className={`size-11 rounded-sm border ${draft.missing.includes(place) ? 'border-dashed border-soft text-soft' : 'border-ink bg-wash'}`}
                onClick={() => toggle(place)}
              >
                {draft.missing.includes(place) ? '–' : '■'}
              </button>
            ))}
          </div>
        </fieldset>
      ) : null}
      {made.ok ? (
        <div className="grid items-start gap-5 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          <FaceDrawing
            title={`${name}, ${made.ways} ${made.ways === 1 ? 'cavity' : 'cavities'}`}
            seen={shown}
            view={{ side: draft.describedFrom, latch: 'up' }}
            circuitIn={() => undefined}
            own
            picked={picked}
            onPick={setPicked}
          />
          {picked !== undefined && patternName !== undefined ? (
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
            <p className="text-soft">Tap a cavity whose number differs from the pattern.</p>
          )}
        </div>
      ) : (
        <p className="border-l-4 border-rework pl-3 text-lg">{made.why}</p>
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
