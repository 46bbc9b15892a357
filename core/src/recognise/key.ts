/** One answer to a question, and the things of which it is true. */
export interface KeyAnswer<T extends string> {
  readonly id: string;
  readonly words: string;
  readonly of: readonly T[];
}

/** A question that tells some things from others by looking. */
export interface KeyQuestion<T extends string> {
  readonly id: string;
  readonly words: string;
  /** How to look. */
  readonly hint?: string;
  readonly answers: readonly KeyAnswer<T>[];
}

/** The answer of somebody who cannot tell: it rules nothing out, and is not asked again. */
export const CANNOT_TELL = 'cannotTell';

/** What was answered, by question. */
export type Answered = Readonly<Record<string, string>>;

/** What is left once some questions were answered. */
export interface Narrowed<T extends string> {
  /** The things of which all answers are true, in the order of the list; none where answers contradict each other. */
  readonly left: readonly T[];
  /** What to ask next, with the answers that may still be true; nothing where no question tells more. */
  readonly next?: KeyQuestion<T> | undefined;
}

/** How many things the least useful answer would leave. */
const mostLeft = (question: KeyQuestion<string>): number => Math.max(0, ...question.answers.map(({ of }) => of.length));

/**
 * Goes through a key: keeps what all answers hold of, and asks next what leaves the fewest in the worst case; of equal
 * questions the earlier. What tells nothing more is not asked, nor what has no true answer for some of what is left.
 */
export function narrow<T extends string>(
  questions: readonly KeyQuestion<T>[],
  all: readonly T[],
  answered: Answered,
): Narrowed<T> {
  const ofAnswer = ({ id, answers }: KeyQuestion<T>): readonly T[] =>
    answers.find((answer) => answer.id === answered[id])?.of ?? all;
  const left = all.filter((one) => questions.every((question) => ofAnswer(question).includes(one)));
  const open = questions
    .filter(({ id }) => answered[id] === undefined)
    .map((question) => ({
      ...question,
      answers: question.answers
        .map((answer) => ({ ...answer, of: answer.of.filter((one) => left.includes(one)) }))
        .filter(({ of }) => of.length > 0),
    }))
    .filter((question) => left.every((one) => question.answers.some(({ of }) => of.includes(one))))
    .filter((question) => mostLeft(question) < left.length);
  const [next] = open.sort((one, other) => mostLeft(one) - mostLeft(other));
  return { left, next };
}
