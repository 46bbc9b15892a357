import type { LineOutcome, PinoutLine, PinoutProblem, PinoutQuestion } from './types.ts';

/** A line of one of the lists of a sheet. */
export interface At {
  readonly line: number;
  /** Which of the lists side by side, from 0. */
  readonly list: number;
}

/** Answers that may be typed, by what they are of. */
export type IsAnswer = (value: string) => boolean;

interface Asked {
  readonly question: PinoutQuestion;
  readonly lines: Set<number>;
  readonly at: Set<string>;
}

const keyOf = ({ line, list }: At): string => `${list} ${line}`;

/** What is found while a sheet is read: what is wrong, what has to be asked, and what becomes of each line. */
export class Findings {
  readonly problems: PinoutProblem[] = [];
  private readonly asked = new Map<string, Asked>();
  private readonly wrongAt = new Set<string>();
  private readonly told = new Map<string, PinoutLine>();

  constructor(private readonly answers: Readonly<Record<string, string>>) {}

  /** Something is wrong with a line, or with the sheet where no line is given. */
  wrong(at: At | undefined, problem: Omit<PinoutProblem, 'line'>): undefined {
    this.problems.push({ line: at?.line ?? 0, ...problem });
    if (at) this.wrongAt.add(keyOf(at));
    return undefined;
  }

  /** Whether something is wrong with a line. */
  isWrong(at: At): boolean {
    return this.wrongAt.has(keyOf(at));
  }

  /** An answer that was given, whatever it is worth. */
  answer(key: string): string | undefined {
    return this.answers[key];
  }

  /**
   * Asks about lines, once for all that ask the same. Gives the answer, if there is one that is an option or may be
   * typed; else what is guessed, which may be set otherwise.
   */
  ask(
    {
      guess,
      ...question
    }: Omit<PinoutQuestion, 'lines' | 'answer' | 'guessed'> & { readonly guess?: string | undefined },
    about: At | readonly At[] = [],
    isAnswer: IsAnswer = () => question.typed !== undefined,
  ): string | undefined {
    const given = this.answers[question.key];
    const isGiven = given !== undefined && (question.options.some(({ value }) => value === given) || isAnswer(given));
    const answer = isGiven ? given : guess;
    const asked = this.asked.get(question.key) ?? {
      question: {
        ...question,
        lines: [],
        ...(answer === undefined ? {} : { answer }),
        ...(answer === undefined || isGiven ? {} : { guessed: true as const }),
      },
      lines: new Set<number>(),
      at: new Set<string>(),
    };
    this.asked.set(question.key, asked);
    for (const at of Array.isArray(about) ? (about as readonly At[]) : [about as At]) {
      asked.lines.add(at.line);
      asked.at.add(keyOf(at));
    }
    return answer;
  }

  /** A question that is open whose key begins so; the line is one of those that it is about. */
  openAs(start: string, at: At): boolean {
    const asked = [...this.asked.values()].find(
      ({ question }) => question.key.startsWith(start) && question.answer === undefined,
    );
    asked?.lines.add(at.line);
    asked?.at.add(keyOf(at));
    return asked !== undefined;
  }

  /** Whether something is asked of a line that nobody has answered. */
  isOpen(key: string, at: At): boolean {
    const asked = this.asked.get(key);
    return asked !== undefined && asked.question.answer === undefined && asked.at.has(keyOf(at));
  }

  /** What a line is, as far as nothing is wrong with it and nothing about it is open. */
  tell(at: At, outcome: LineOutcome, text: string, why?: string): void {
    this.told.set(keyOf(at), { ...at, outcome, text, ...(why === undefined ? {} : { why }) });
  }

  /** Nothing is dropped in silence: a line that was to be a circuit, and is none, is wrong unless it is asked about. */
  mustBe(circuits: readonly At[]): void {
    const made = new Set(circuits.map(keyOf));
    for (const line of this.lines)
      if (line.outcome === 'circuit' && !made.has(keyOf(line)))
        this.wrong(line, {
          value: line.text,
          why: 'No circuit could be made of this line.',
          remedy: 'Compare it with the lines above it, and write what it says in full.',
        });
  }

  get questions(): PinoutQuestion[] {
    return this.every.filter(({ answer }) => answer === undefined);
  }
  get answered(): PinoutQuestion[] {
    return this.every.filter(({ answer }) => answer !== undefined);
  }
  private get every(): PinoutQuestion[] {
    return [...this.asked.values()].map(({ question, lines }) => ({
      ...question,
      lines: [...lines].sort((a, b) => a - b),
    }));
  }

  /** Every line with what became of it, in the order of the sheet. */
  get lines(): PinoutLine[] {
    const open = new Set(
      [...this.asked.values()].flatMap(({ question, at }) => (question.answer === undefined ? [...at] : [])),
    );
    return [...this.told.values()]
      .map((line): PinoutLine => {
        const key = keyOf(line);
        if (this.wrongAt.has(key)) return { ...line, outcome: 'error' };
        return open.has(key) ? { ...line, outcome: 'question' } : line;
      })
      .sort((a, b) => a.line - b.line || a.list - b.list);
  }
}
