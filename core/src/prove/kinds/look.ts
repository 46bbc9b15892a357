import { readingKind, type CheckBase } from '../kind.ts';
import type { LookAnswer } from '../types.ts';

/** A look at a joint, which one of its answers ends. */
interface LookCheck extends CheckBase {
  readonly answers: readonly LookAnswer[];
}

export const look = readingKind({
  kind: 'look',
  fields: { answer: { type: 'word' } },
  rule: (check: LookCheck, { answer }) => {
    const found = check.answers.find((one) => one.value === answer);
    if (!found)
      throw new RangeError(
        `${check.title} has no answer "${answer}": use ${check.answers.map((one) => one.value).join(', ')}.`,
      );
    return { verdict: found.verdict, watch: found.watch, cause: found.cause, next: found.next };
  },
  words: ({ answer }, check) => check?.answers.find((one) => one.value === answer)?.words ?? answer,
});
