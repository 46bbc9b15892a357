import { useState } from 'react';
import type { Way } from '@mendum/core/connector';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { faceOf, isWay, waysOf } from './faceDraft.ts';
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
      ) : null}
      {draft.isNamed ? null : <Ways draft={draft} set={set} />}
    </>
  );
}

/** How the grid is numbered under each of the usual ways: the right one is seen, and tapped. */
function Ways({ draft, set }: FaceFields) {
  const [isAll, setAll] = useState(false);
  const { ways } = waysOf(draft);
  if (ways.length === 0) return null;
  const made = faceOf(draft);
  const chosen = made.ok ? made.face.numbering : draft.way;
  const first = ways.filter(({ numbering }, at) => at < SHOWN || isWay(chosen, numbering));
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
            isChosen={isWay(chosen, way.numbering)}
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

/** Drawn small: px from cavity to cavity. */
const STEP = 24;

function WayCard({
  way,
  rows,
  columns,
  isChosen,
  onPick,
}: {
  readonly way: Way;
  readonly rows: number;
  readonly columns: number;
  readonly isChosen: boolean;
  readonly onPick: () => void;
}) {
  return (
    <button
      type="button"
      role="radio"
      aria-checked={isChosen}
      className={`max-w-full overflow-hidden rounded-sm border-2 p-2 text-left ${isChosen ? 'border-copper bg-wash' : 'border-rule'}`}
      onClick={onPick}
    >
      <svg
        viewBox={`0 0 ${columns * STEP} ${rows * STEP}`}
        style={{ width: columns * STEP, maxWidth: '100%' }}
        aria-hidden="true"
      >
        {way.cavities.map(({ row = 0, column = 0, cavity }) => (
          <g key={cavity}>
            <rect
              x={column * STEP + 1}
              y={row * STEP + 1}
              width={STEP - 2}
              height={STEP - 2}
              rx={2}
              fill="var(--sheet)"
              stroke="var(--soft)"
            />
            <text
              x={(column + 0.5) * STEP}
              y={(row + 0.5) * STEP + 4}
              textAnchor="middle"
              fontSize={cavity.length > 2 ? 9 : 11}
              fontWeight={600}
              fill="var(--ink)"
            >
              {cavity}
            </text>
          </g>
        ))}
      </svg>
      <span className="mt-1 block max-w-52 text-sm">{way.words}</span>
    </button>
  );
}
