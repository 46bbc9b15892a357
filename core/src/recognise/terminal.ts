import { STUDS, TERMINAL_FAMILIES, terminalForm, type Stud, type TerminalFamily } from '../harness/index.ts';
import { narrow, type Answered, type KeyQuestion, type Narrowed } from './key.ts';

/** What a terminal looks like, before its size is known. */
export const TERMINAL_SHAPES = ['flat', 'pin', 'ring', 'fork', 'blade', 'bullet', 'ferrule', 'lug'] as const;
export type TerminalShape = (typeof TERMINAL_SHAPES)[number];

/** What tells the shapes from each other. */
export const TERMINAL_KEY: readonly KeyQuestion<TerminalShape>[] = [
  {
    id: 'where',
    words: 'Where does it sit?',
    answers: [
      { id: 'housing', words: 'In a cavity of a connector', of: ['flat', 'pin'] },
      { id: 'loose', words: 'On its own', of: ['ring', 'fork', 'blade', 'bullet', 'ferrule', 'lug'] },
    ],
  },
  {
    id: 'contact',
    words: 'What does the male half look like?',
    hint: 'A socket is told by the tab or pin that goes into it.',
    answers: [
      { id: 'flat', words: 'A flat tab', of: ['flat'] },
      { id: 'round', words: 'A round pin', of: ['pin'] },
    ],
  },
  {
    id: 'end',
    words: 'What does its end look like?',
    answers: [
      { id: 'closed', words: 'A closed ring under a screw or on a stud', of: ['ring', 'lug'] },
      { id: 'open', words: 'A fork, open at the front', of: ['fork'] },
      { id: 'folded', words: 'A flat sleeve, pushed onto a tab', of: ['blade'] },
      { id: 'roundEnd', words: 'A round end, pushed into a round sleeve', of: ['bullet'] },
      { id: 'tube', words: 'A thin tube over the strands, in a clamp', of: ['ferrule'] },
    ],
  },
  {
    id: 'barrel',
    words: 'How thick is its barrel?',
    answers: [
      { id: 'thin', words: 'Thin, often with a coloured collar: wire up to 6 mm²', of: ['ring'] },
      { id: 'thick', words: 'A thick tube of copper, pressed: wire from 8 mm²', of: ['lug'] },
    ],
  },
];

/** Which shapes it may be, and what to look at next. */
export const whichShape = (answered: Answered): Narrowed<TerminalShape> =>
  narrow(TERMINAL_KEY, TERMINAL_SHAPES, answered);

/** What of a shape is held against a gauge. */
export type Measured = 'width' | 'diameter' | 'stud' | 'length';

/** A family with the size that it is known by, mm. */
export interface GaugeSize {
  readonly family: TerminalFamily;
  readonly mm: number;
}

/** Diameters of round pins by their size, mm: usual for contacts of these sizes. */
const PIN_MM = { pin20: 1, pin16: 1.6, pin12: 2.4 } as const;
const studMm = (stud: Stud): number => Number(stud.slice(1));

const shapeOf = (family: TerminalFamily): TerminalShape => {
  const form = terminalForm(family);
  return form !== 'housing' ? form : family in PIN_MM ? 'pin' : 'flat';
};

function sizeMm(family: TerminalFamily): number {
  const shape = shapeOf(family);
  if (shape === 'flat') return Number(family);
  if (shape === 'pin') return PIN_MM[family as keyof typeof PIN_MM];
  const size = family.slice(shape.length);
  const stud = STUDS.find((one) => one === size);
  return stud === undefined ? Number(size) : studMm(stud);
}

const MEASURED: Readonly<Record<TerminalShape, Measured>> = {
  flat: 'width',
  pin: 'diameter',
  ring: 'stud',
  fork: 'stud',
  blade: 'width',
  bullet: 'diameter',
  ferrule: 'length',
  lug: 'stud',
};

/** The families of a shape by size, the least first, and what of them is measured. */
export const gaugeOf = (
  shape: TerminalShape,
): { readonly measured: Measured; readonly sizes: readonly GaugeSize[] } => ({
  measured: MEASURED[shape],
  sizes: TERMINAL_FAMILIES.filter((family) => shapeOf(family) === shape)
    .map((family) => ({ family, mm: sizeMm(family) }))
    .sort((one, other) => one.mm - other.mm),
});

/** A tab, pin or sleeve is its size within a tenth. */
const TOLERANCE = 0.1;
/** A hole is wider than its stud by this much, mm (0.2 to 0.5, and 0.1 for the calliper). */
const HOLE_MM = { least: 0.1, most: 0.6 } as const;
const GRACE_MM = 1e-9;

/** What a measure says: the family, or those between which it lies. */
export type Sized =
  | { readonly is: TerminalFamily }
  | { readonly below: TerminalFamily | undefined; readonly above: TerminalFamily | undefined };

/**
 * The family of a shape by what a calliper says: of a ring, fork or lug its hole, of anything else its width, diameter
 * or length.
 * @param mm above 0
 */
export function familyAt(shape: TerminalShape, mm: number): Sized {
  const { measured, sizes } = gaugeOf(shape);
  const range = (size: number): readonly [number, number] =>
    measured === 'stud'
      ? [size + HOLE_MM.least, size + HOLE_MM.most]
      : [size * (1 - TOLERANCE), size * (1 + TOLERANCE)];
  const isIn = ({ mm: size }: GaugeSize): boolean => {
    const [least, most] = range(size);
    return mm >= least - GRACE_MM && mm <= most + GRACE_MM;
  };
  const found = sizes.find(isIn);
  if (found) return { is: found.family };
  return {
    below: sizes.findLast(({ mm: size }) => range(size)[1] < mm)?.family,
    above: sizes.find(({ mm: size }) => range(size)[0] > mm)?.family,
  };
}
