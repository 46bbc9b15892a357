export { jobFileJsonSchema, readJobFile, writeJobFile, jobOf, type JobFile, type JobFileInput } from './jobFile.ts';
export { JobFileRefused, type FileProblem } from './refusal.ts';
export { problemsOf } from './problems.ts';
export { readShelfTable } from './shelfTable.ts';
export { writeShelfTable } from './shelfTableOut.ts';
export type { TableProblem, TableReading } from './shelfTable.ts';
export { openApi, sentSchema } from './openApi.ts';
export { ANSWERS, errorSchema } from './answerSchemas.ts';
