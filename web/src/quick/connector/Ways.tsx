import { useState } from 'react';
import { Minus, Plus } from 'lucide-react';
import { RELEASE_GUIDES } from '@mendum/core/connector';
import { Which, WhichLock } from '../../recognise/Which.tsx';
import { Button } from '../../ui/button.tsx';
import { Choices, pickLook } from '../../ui/choices.tsx';
import { WayCard } from '../../connector/WayCard.tsx';
import { isWayOf, LIMITS, waysOf, type ConnectorDraft } from './draft.ts';

/** A small whole number, one more or one less by a tap. */
function Stepper({
  label,
  value,
  limits: [least, most],
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly limits: readonly [number, number];
  readonly onChange: (value: number) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex items-center gap-2">
      <span className="min-w-16 text-lg">{label}</span>
      <Button aria-label={`${label}: one less`} disabled={value <= least} onClick={() => onChange(value - 1)}>
        <Minus aria-hidden className="size-5" />
      </Button>
      <span className="figure w-8 text-center text-xl">{value}</span>
      <Button aria-label={`${label}: one more`} disabled={value >= most} onClick={() => onChange(value + 1)}>
        <Plus aria-hidden className="size-5" />
      </Button>
    </div>
  );
}

interface WaysProps {
  readonly draft: ConnectorDraft;
  readonly onChange: (draft: ConnectorDraft) => void;
}

/** So many ways of numbering are shown at once. */
const SHOWN = 4;

/** How the rows are numbered: the number that is moulded, tiny, tells. */
function Numbers({ draft, onChange }: WaysProps) {
  const [isAll, setAll] = useState(false);
  const ways = waysOf(draft);
  const shown = isAll ? ways : ways.filter((way, at) => at < SHOWN || isWayOf(draft, way));
  return (
    <fieldset>
      <legend className="mb-1 text-lg">
        How is it numbered? <span className="text-soft">It is moulded there, tiny.</span>
      </legend>
      <div role="radiogroup" className="flex flex-wrap gap-2">
        {shown.map((way) => (
          <WayCard
            key={way.words}
            way={way}
            rows={draft.rows}
            columns={draft.columns}
            isChosen={isWayOf(draft, way)}
            isSmall={!isAll}
            onPick={() => onChange({ ...draft, way: way.numbering })}
          />
        ))}
      </div>
      {ways.length > SHOWN ? (
        <Button look="quiet" onClick={() => setAll(!isAll)}>
          {isAll ? 'Fewer ways' : `${ways.length - shown.length} more ways`}
        </Button>
      ) : null}
    </fieldset>
  );
}

/** How many cavities a connector has and where, seen from the side that the wires enter. */
export function Ways({ draft, onChange }: WaysProps) {
  const set = (part: Partial<ConnectorDraft>): void => onChange({ ...draft, ...part });
  return (
    <section aria-label="The connector" className="grid gap-3">
      <h2 className="text-xl font-semibold">
        The connector <span className="text-base font-normal text-soft">latch up, wires towards you</span>
      </h2>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        <Choices
          label="Its cavities lie"
          picked={draft.shape}
          onPick={(shape) => shape && set({ shape })}
          className="flex gap-1.5"
          look={pickLook}
          choices={[
            { value: 'rows' as const, shown: () => 'In rows' },
            { value: 'ring' as const, shown: () => 'In a ring' },
          ]}
        />
        {draft.shape === 'rows' ? (
          <>
            <Stepper label="Rows" value={draft.rows} limits={LIMITS.rows} onChange={(rows) => set({ rows })} />
            <Stepper
              label="In a row"
              value={draft.columns}
              limits={LIMITS.columns}
              onChange={(columns) => set({ columns })}
            />
          </>
        ) : (
          <Stepper label="Ways" value={draft.ring} limits={LIMITS.ring} onChange={(ring) => set({ ring })} />
        )}
      </div>
      {draft.shape === 'rows' ? <Numbers draft={draft} onChange={onChange} /> : null}
      <div className="flex flex-wrap items-center gap-x-2">
        <span className="text-lg">
          Its terminals are held by:{' '}
          <b className="font-semibold">{draft.lock ? RELEASE_GUIDES[draft.lock].name : 'not known'}</b>
        </span>
        <Which words="Which one is it?">
          {(close) => (
            <WhichLock
              onClose={close}
              onPick={(lock) => {
                set({ lock });
                close();
              }}
            />
          )}
        </Which>
        {draft.lock ? (
          <Button look="quiet" onClick={() => set({ lock: undefined })}>
            Not known after all
          </Button>
        ) : (
          <span className="text-soft">Known, they may move into a new housing: no splices.</span>
        )}
      </div>
    </section>
  );
}
