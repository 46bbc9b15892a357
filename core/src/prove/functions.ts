/** What a function did when it was switched and watched; `notTried` goes with the reason why not. */
export const FUNCTION_ANSWERS = ['works', 'fails', 'notTried'] as const;
export type FunctionAnswer = (typeof FUNCTION_ANSWERS)[number];

/** A function is watched before the machine is made safe, and after its repair. */
export const FUNCTION_MOMENTS = ['before', 'after'] as const;
export type FunctionMoment = (typeof FUNCTION_MOMENTS)[number];

/** What was seen of the function of a circuit; the last of its moment counts. */
export interface FunctionSeen {
  readonly circuitId: string;
  readonly moment: FunctionMoment;
  readonly answer: FunctionAnswer;
  /** Its value where it has one, "12.4 V"; of one that was not tried, why. */
  readonly value?: string | undefined;
  /** One of several that were confirmed together. */
  readonly inOneGo?: boolean | undefined;
  readonly by: string;
  readonly at: string;
}

const ANSWER_WORDS: Readonly<Record<FunctionAnswer, string>> = {
  works: 'works',
  fails: 'does not work',
  notTried: 'not tried',
};

/** "works, 12.4 V", "works, watched in one go" */
export const functionInWords = ({
  answer,
  value,
  inOneGo,
}: Pick<FunctionSeen, 'answer' | 'value' | 'inOneGo'>): string =>
  [
    ANSWER_WORDS[answer],
    ...(value === undefined ? [] : [value]),
    ...(inOneGo === true ? ['watched in one go'] : []),
  ].join(', ');
