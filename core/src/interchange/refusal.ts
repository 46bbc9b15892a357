/** One thing wrong in a file: where (JSON pointer), what, and the remedy. */
export interface FileProblem {
  readonly code: string;
  readonly pointer: string;
  readonly message: string;
  readonly hint: string;
}

/** A file that is not read, with everything that is wrong in it. Nothing of it is kept. */
export class JobFileRefused extends Error {
  constructor(readonly problems: readonly FileProblem[]) {
    super(problems[0]?.message ?? 'The file cannot be read.');
    this.name = 'JobFileRefused';
  }
}
