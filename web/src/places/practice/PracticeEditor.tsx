import { useState } from 'react';
import clsx from 'clsx';
import { fieldText, HABITS, SCHOOLS, READY_PRACTICES, withField, type Practice } from '@mendum/core';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { FIGURES } from './figures.ts';
import { RuleList } from './RuleList.tsx';

interface PracticeEditorProps {
  readonly practice: Practice;
  /** Absent for a ready practice, which stays as it is. */
  readonly onChange?: ((practice: Practice) => void) | undefined;
}

const chosenLook = (chosen: boolean, locked: boolean): string =>
  clsx(
    'flex min-h-11 w-full flex-col items-start rounded-sm border px-3 py-2 text-left',
    chosen ? 'border-2 border-copper bg-wash' : 'border-soft',
    locked ? '' : 'hover:bg-wash',
  );

/** Joining: one school for the whole shop, each with both sides of the argument. */
function School({ practice, onChange }: PracticeEditorProps) {
  return (
    <div role="radiogroup" aria-label="How wires are joined" className="grid gap-3 md:grid-cols-3">
      {SCHOOLS.map((school) => {
        const ready = READY_PRACTICES.find((one) => one.school === school);
        return (
          <button
            key={school}
            type="button"
            role="radio"
            aria-checked={practice.school === school}
            disabled={!onChange}
            className={chosenLook(practice.school === school, !onChange)}
            onClick={() =>
              ready && onChange?.({ ...practice, school, because: ready.because, otherSide: ready.otherSide })
            }
          >
            <b className="text-lg">
              {practice.school === school ? '✓ ' : ''}
              {ready?.name}
            </b>
            <span>{ready?.because}</span>
            <span className="mt-1 text-soft">
              <b>The other side:</b> {ready?.otherSide}
            </span>
          </button>
        );
      })}
    </div>
  );
}

/** Questions of the hand on which good technicians disagree. */
function HabitList({ practice, onChange }: PracticeEditorProps) {
  return (
    <ul>
      {HABITS.map((habit) => (
        <li key={habit.id} className="border-b border-rule py-3">
          <p className="text-lg font-semibold">{habit.question}</p>
          <p className="text-soft">
            <b>Ours:</b> {habit.ourReason}
          </p>
          <div role="radiogroup" aria-label={habit.question} className="mt-2 grid gap-3 md:grid-cols-3">
            {habit.sides.map((side) => {
              const chosen = practice.habits[habit.id] === side.id;
              return (
                <button
                  key={side.id}
                  type="button"
                  role="radio"
                  aria-checked={chosen}
                  disabled={!onChange}
                  className={chosenLook(chosen, !onChange)}
                  onClick={() => onChange?.({ ...practice, habits: { ...practice.habits, [habit.id]: side.id } })}
                >
                  <b>
                    {chosen ? '✓ ' : ''}
                    {side.name}
                  </b>
                  <span>{side.because}</span>
                </button>
              );
            })}
          </div>
        </li>
      ))}
    </ul>
  );
}

function FigureGrid({ practice, onChange }: PracticeEditorProps) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
      {FIGURES.map(({ path, label, unit, hint }) => {
        const text = typed[path] ?? fieldText(practice.figures, path);
        const value = numberOf(text);
        return (
          <NumberField
            key={path}
            label={label}
            unit={unit}
            hint={hint}
            disabled={!onChange}
            value={text}
            wrong={value >= 0 ? undefined : 'Enter a number, 0 or more.'}
            onChange={(event) => {
              setTyped({ ...typed, [path]: event.target.value });
              const next = numberOf(event.target.value);
              if (next >= 0) onChange?.({ ...practice, figures: withField(practice.figures, path, next) });
            }}
          />
        );
      })}
    </div>
  );
}

const Heading = ({ children, about }: { readonly children: string; readonly about: string }) => (
  <>
    <h2 className="mt-9 text-2xl font-semibold">{children}</h2>
    <p className="mb-2 text-soft">{about}</p>
  </>
);

/** A practice whole: how wires are joined, habits of the hand, figures, and every rule with its switch. */
export function PracticeEditor({ practice, onChange }: PracticeEditorProps) {
  return (
    <div>
      {onChange ? (
        <div className="max-w-md">
          <TextField
            label="Name"
            value={practice.name}
            maxLength={200}
            onChange={(event) => onChange({ ...practice, name: event.target.value })}
          />
        </div>
      ) : null}
      <Heading about="Crimp or solder: one answer for the shop. What every practice refuses stays refused.">
        How wires are joined
      </Heading>
      <School practice={practice} onChange={onChange} />
      <Heading about="They show in the steps at the bench.">How we work</Heading>
      <HabitList practice={practice} onChange={onChange} />
      <Heading about="Defaults that a shop may set; what a part's maker prints wins.">Figures</Heading>
      <FigureGrid practice={practice} onChange={onChange} />
      <Heading about="Refusals first, then warnings and what is required, then the order of preference: the first on which two methods differ decides.">
        Rules
      </Heading>
      <RuleList
        off={practice.off}
        onToggle={
          onChange &&
          ((id) =>
            onChange({
              ...practice,
              off: practice.off.includes(id) ? practice.off.filter((one) => one !== id) : [...practice.off, id],
            }))
        }
      />
    </div>
  );
}
