export { readJobFile, writeJobFile, jobOf, type JobFile, type JobFileInput } from './jobFile.ts';
export { JobFileRefused, type FileProblem } from './refusal.ts';
export { catalogueSchema, choiceSchema, findingSchema, gateEntrySchemas, harnessSchema, jobSchema, machineSchema, readingValueSchema, wireSchema } from './schemas.ts';
export { problemsOf } from './problems.ts';
export type { DueBack, ErrorBody, HarnessView, JobSummary, JobView, KeptRecord, StageName, Tick } from './api.ts';
