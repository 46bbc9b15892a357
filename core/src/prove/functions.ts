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
  readonly by: string;
  readonly at: string;
}

const ANSWER_WORDS: Readonly<Record<FunctionAnswer, string>> = {
  works: 'works',
  fails: 'does not work',
  notTried: 'not tried',
};

/** "works, 12.4 V" */
export const functionInWords = ({ answer, value }: Pick<FunctionSeen, 'answer' | 'value'>): string =>
  value === undefined ? ANSWER_WORDS[answer] : `${ANSWER_WORDS[answer]}, ${value}`;
