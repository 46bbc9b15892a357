import clsx from 'clsx';
import { HABITS, SCHOOLS, READY_PRACTICES, type Practice, type SigningRules } from '@mendum/core/practice';
import { useSession } from '../../app/session.ts';
import { figuresSchema } from '@mendum/core/schemas';
import { useKept } from '../../form/useKept.ts';
import { Choices } from '../../ui/choices.tsx';
import { NumberField, TextField, TickBox } from '../../ui/field.tsx';
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
    <Choices
      label="How wires are joined"
      picked={practice.school}
      disabled={!onChange}
      onPick={(school) => {
        const ready = READY_PRACTICES.find((one) => one.school === school);
        if (school && ready) onChange?.({ ...practice, school, because: ready.because, otherSide: ready.otherSide });
      }}
      className="grid gap-3 md:grid-cols-3"
      look={(isPicked) => chosenLook(isPicked, !onChange)}
      choices={SCHOOLS.map((value) => {
        const ready = READY_PRACTICES.find((one) => one.school === value);
        return {
          value,
          shown: (isPicked) => (
            <>
              <b className="text-lg">
                {isPicked ? '✓ ' : ''}
                {ready?.name}
              </b>
              <span>{ready?.because}</span>
              <span className="mt-1 text-soft">
                <b>The other side:</b> {ready?.otherSide}
              </span>
            </>
          ),
        };
      })}
    />
  );
}

/** A side that can be taken: its name, and why. */
function sideShown({ name, because }: { readonly name: string; readonly because: string }) {
  return function Side(isPicked: boolean) {
    return (
      <>
        <b>
          {isPicked ? '✓ ' : ''}
          {name}
        </b>
        <span>{because}</span>
      </>
    );
  };
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
          <Choices
            label={habit.question}
            picked={practice.habits[habit.id]}
            disabled={!onChange}
            onPick={(side) => side && onChange?.({ ...practice, habits: { ...practice.habits, [habit.id]: side } })}
            className="mt-2 grid gap-3 md:grid-cols-3"
            look={(isPicked) => chosenLook(isPicked, !onChange)}
            choices={habit.sides.map(({ id, ...words }) => ({ value: id, shown: sideShown(words) }))}
          />
        </li>
      ))}
    </ul>
  );
}

/** The figures, each kept as it is left; one out of its limits is said under it and changes nothing. */
function FigureGrid({ practice, onChange }: PracticeEditorProps) {
  const take = (figures: Practice['figures']): boolean => {
    onChange?.({ ...practice, figures });
    return true;
  };
  const { field } = useKept(figuresSchema, practice.figures, take, { asTyped: true });
  return (
    <div className="grid items-start gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
      {FIGURES.map(({ path, ...words }) => (
        <NumberField key={path} {...words} disabled={!onChange} {...field(path)} />
      ))}
    </div>
  );
}

const LAYOUTS = [
  { value: 'proposed', name: 'As proposed', because: 'Wide; Even where Wide opens far more than must be.' },
  { value: 'wide', name: 'Wide', because: 'As far apart as makers print.' },
  { value: 'even', name: 'Even', because: 'One over a place, 10 mm apart: least time at the bench.' },
  { value: 'short', name: 'Short', because: 'Opens the least; two may lie together where the conduit has room.' },
] as const;

/** Which layout is taken on a run unless somebody takes another one. */
function PreferredLayout({ practice, onChange }: PracticeEditorProps) {
  const { layout, ...others } = practice;
  return (
    <Choices
      label="Layout along a run"
      picked={layout ?? 'proposed'}
      disabled={!onChange}
      onPick={(picked) => picked && onChange?.(picked === 'proposed' ? others : { ...others, layout: picked })}
      className="grid gap-3 md:grid-cols-4"
      look={(isPicked) => chosenLook(isPicked, !onChange)}
      choices={LAYOUTS.map(({ value, ...words }) => ({ value, shown: sideShown(words) }))}
    />
  );
}

const SIGNING: readonly { readonly rule: keyof SigningRules; readonly words: string }[] = [
  { rule: 'another', words: 'Somebody else signs than who made it' },
  { rule: 'lead', words: 'A lead signs airbag, high voltage and choices against the ranking' },
];

/** Who signs: it can be held to only where people sign in. */
function Signing({ practice, onChange }: PracticeEditorProps) {
  const { signsIn } = useSession();
  return (
    <div>
      {SIGNING.map(({ rule, words }) => (
        <TickBox
          key={rule}
          label={words}
          checked={practice.signing?.[rule] ?? false}
          disabled={!onChange}
          onChange={(event) =>
            onChange?.({ ...practice, signing: { ...practice.signing, [rule]: event.target.checked } })
          }
        />
      ))}
      {signsIn ? null : <p className="text-rework">Nobody signs in here, so that nobody is held to it yet.</p>}
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
      <Heading about="All three are shown on every run; this one is taken unless somebody takes another.">
        Layout along a run
      </Heading>
      <PreferredLayout practice={practice} onChange={onChange} />
      <Heading about="What the practice that new jobs begin with asks holds in every job.">Who signs</Heading>
      <Signing practice={practice} onChange={onChange} />
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
