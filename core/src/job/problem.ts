/** Something in a job that cannot be: what, where (JSON pointer into the job), and what to do. */
export interface JobProblem {
  readonly code: string;
  readonly pointer: string;
  readonly message: string;
  readonly hint: string;
}
