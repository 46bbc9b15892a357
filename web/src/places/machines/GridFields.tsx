import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { WayCard } from '../../connector/WayCard.tsx';
import { faceOf, isNumberedSo, waysOf } from './faceDraft.ts';
import { placesInWords, placesOf } from './missingPlaces.ts';
import type { FaceFields } from './faceFields.ts';

/** So many of the ways are shown at first: the usual ones. */
const SHOWN = 8;

/** A grid: its rows and columns, the places that are not there, and how its maker numbers it. */
export function GridFields({ draft, set }: FaceFields) {
  const [rows, columns] = [Number(draft.rows), Number(draft.columns)];
  const toggle = (place: string): void =>
    set({
      missing: draft.missing.includes(place) ? draft.missing.filter((one) => one !== place) : [...draft.missing, place],
    });
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-3">
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
        {draft.isNamed ? null : (
          <TextField
            label="Printed at the left of each row"
            hint="If it is, from the top: 1, 9, 17. Letters too."
            value={draft.starts}
            onChange={(event) => set({ starts: event.target.value, renamed: {} })}
          />
        )}
      </div>
      {rows * columns > 0 && rows <= 8 && columns <= 20 ? (
        <fieldset>
          <legend className="mb-1 font-medium">Places without a cavity: tap them</legend>
          <div className="overflow-x-auto pb-1">
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
          </div>
        </fieldset>
      ) : rows * columns > 0 ? (
        <MissingField draft={draft} set={set} />
      ) : null}
      {draft.isNamed ? null : <Ways draft={draft} set={set} />}
    </>
  );
}

/** Places that are not there of a grid that is too large to be tapped. */
function MissingField({ draft, set }: FaceFields) {
  const [text, setText] = useState(placesInWords(draft.missing));
  const places = placesOf(text, Number(draft.rows), Number(draft.columns));
  return (
    <TextField
      label="Places without a cavity"
      hint="Row and column, such as 1.3, or a stretch of a row: 2.5-2.9."
      value={text}
      wrong={places.ok ? undefined : places.why}
      onChange={(event) => {
        const now = placesOf(event.target.value, Number(draft.rows), Number(draft.columns));
        setText(event.target.value);
        if (now.ok) set({ missing: now.places });
      }}
    />
  );
}

/** How the grid is numbered under each of the usual ways: the right one is seen, and tapped. */
function Ways({ draft, set }: FaceFields) {
  const [isAll, setAll] = useState(false);
  const { ways } = waysOf(draft);
  if (ways.length === 0) return null;
  const made = faceOf(draft);
  const chosen = made.ok ? made.face.numbering : draft.way;
  const first = ways.filter(({ numbering }, at) => at < SHOWN || isNumberedSo(draft, chosen, numbering));
  const columns = Number(draft.columns);
  return (
    <fieldset>
      <legend className="mb-1 font-medium">
        {ways.length === 1 ? 'How it is numbered' : 'How is it numbered? Tap the right one'}
      </legend>
      <div role="radiogroup" className="flex flex-wrap gap-3">
        {(isAll ? ways : first).map((way) => (
          <WayCard
            key={way.words}
            way={way}
            rows={Number(draft.rows)}
            columns={columns}
            isChosen={isNumberedSo(draft, chosen, way.numbering)}
            onPick={() => set({ way: way.numbering, renamed: {} })}
          />
        ))}
      </div>
      {first.length < ways.length ? (
        <Button look="quiet" onClick={() => setAll(!isAll)}>
          {isAll ? 'Fewer ways' : `${ways.length - first.length} more ways`}
        </Button>
      ) : null}
    </fieldset>
  );
}
