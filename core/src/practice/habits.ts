/** Questions about the handiwork on which practitioners disagree; each has sides, and ours comes first. */
export const HABIT_IDS = ['strands', 'secondCrimp', 'alloy', 'solderCrimps', 'batch', 'grease', 'measuring'] as const;
export type HabitId = (typeof HABIT_IDS)[number];

/** A side in such a question, with its reason. */
export interface HabitSide {
  readonly id: string;
  readonly name: string;
  readonly because: string;
}

export interface Habit {
  readonly id: HabitId;
  readonly question: string;
  /** The first is ours. */
  readonly sides: readonly [HabitSide, HabitSide, ...HabitSide[]];
  readonly ourReason: string;
}

export const HABITS: readonly Habit[] = [
  {
    id: 'strands',
    question: 'Twist the strands before a crimp?',
    ourReason: 'Keep the lay; roll once in a glove or cloth if a strand is astray.',
    sides: [
      { id: 'keepLay', name: 'Keep the factory lay', because: 'Fingers leave oil, and the factory lay is right.' },
      { id: 'twist', name: 'Twist them once', because: 'It keeps the strands together on their way in.' },
    ],
  },
  {
    id: 'secondCrimp',
    question: 'A second crimp on one barrel?',
    ourReason: 'Only where the barrel has metal under the support.',
    sides: [
      {
        id: 'whenSupported',
        name: 'Where there is metal under the support',
        because: 'It holds the jacket too, and nothing bends at the copper.',
      },
      { id: 'never', name: 'Never', because: 'Narrow barrels have no room, and ratchet dies do both at once.' },
    ],
  },
  {
    id: 'alloy',
    question: 'Which solder?',
    ourReason: 'Either, recorded, since the look of a good joint differs. Acid core is refused in every practice.',
    sides: [
      { id: 'either', name: 'Either, as it lies there', because: 'Both make a good joint; the record says which.' },
      { id: 'tinLead', name: 'Tin-lead', because: 'It flows better, and is shiny when good.' },
      { id: 'leadFree', name: 'Lead-free', because: 'It is cleaner, and dull when good.' },
    ],
  },
  {
    id: 'solderCrimps',
    question: 'Solder a crimp as well?',
    ourReason:
      'No: heat and wicking weaken it. In a bench practice on stationary equipment at most, and marked as such.',
    sides: [
      { id: 'no', name: 'No', because: 'Heat and wicking weaken it, and it adds nothing to a good crimp.' },
      { id: 'stationary', name: 'On still, dry equipment', because: 'It makes sure.' },
    ],
  },
  {
    id: 'batch',
    question: 'Cut all wires, then join?',
    ourReason: 'Batch only wires that cannot be confused; otherwise one at a time.',
    sides: [
      {
        id: 'distinct',
        name: 'Only wires that cannot be confused',
        because: 'Faster with one die, and nothing gets crossed.',
      },
      { id: 'oneAtATime', name: 'One at a time, always', because: 'Wires get crossed.' },
    ],
  },
  {
    id: 'grease',
    question: 'Grease in connectors?',
    ourReason: 'Power and lamp connectors as the maker says; not in sealed data connectors unless told.',
    sides: [
      {
        id: 'asMaker',
        name: 'As the maker says',
        because: 'It keeps water out where it is meant to be, and is not on every seal.',
      },
      { id: 'never', name: 'Never', because: 'It attracts dirt.' },
    ],
  },
  {
    id: 'measuring',
    question: 'Measure every joint?',
    ourReason:
      'What carries current is measured; a signal is looked at, tugged and proved through. Never less than that.',
    sides: [
      {
        id: 'byCircuit',
        name: 'As the circuit asks',
        because: 'A bad joint in a feed burns; in a signal the beeper and the function show it.',
      },
      {
        id: 'every',
        name: 'Every joint',
        because: 'A figure for each is what a quality desk can compare later.',
      },
    ],
  },
];

export type Habits = Readonly<Record<HabitId, string>>;

/** Whether a practice has every joint measured, and not only those whose circuit asks for it. */
export const measuresEvery = ({ measuring }: Habits): boolean => measuring === 'every';

/** Ours in every question. */
export const OUR_HABITS: Habits = Object.fromEntries(HABITS.map((habit) => [habit.id, habit.sides[0].id])) as Habits;
