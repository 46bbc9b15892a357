/** One thing wrong in a file: where (JSON pointer), what, and the remedy. */
export interface FileProblem {
  readonly code: string;
  readonly pointer: string;
  readonly message: string;
  readonly hint: string;
}

/** So many problems are told; whoever has mended those sees the rest. */
const TOLD = 200;

/** The first of many problems, and how many more there are. */
function told(problems: readonly FileProblem[]): readonly FileProblem[] {
  if (problems.length <= TOLD) return problems;
  const more = (problems.length - TOLD).toLocaleString('en');
  const rest = { code: 'MORE', pointer: '', message: `${more} more places are wrong.`, hint: 'Correct these first.' };
  return [...problems.slice(0, TOLD), rest];
}

/** A file that is not read, with everything that is wrong in it. Nothing of it is kept. */
export class JobFileRefused extends Error {
  readonly problems: readonly FileProblem[];

  constructor(problems: readonly FileProblem[]) {
    super(problems[0]?.message ?? 'The file cannot be read.');
    this.name = 'JobFileRefused';
    this.problems = told(problems);
  }
}
