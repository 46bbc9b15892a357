import { firstOf } from './told.ts';

/** One thing wrong in a file: where (JSON pointer), what, and the remedy. */
export interface FileProblem {
  readonly code: string;
  readonly pointer: string;
  readonly message: string;
  readonly hint: string;
}

/** A file that is not read, with everything that is wrong in it. Nothing of it is kept. */
export class JobFileRefused extends Error {
  /** The first of them, where there are many. */
  readonly problems: readonly FileProblem[];
  /** How many there are. */
  readonly count: number;

  constructor(problems: readonly FileProblem[]) {
    super(problems[0]?.message ?? 'The file cannot be read.');
    this.name = 'JobFileRefused';
    this.count = problems.length;
    this.problems = firstOf(problems, (message) => ({
      code: 'MORE',
      pointer: '',
      message,
      hint: 'Correct these first.',
    }));
  }
}
