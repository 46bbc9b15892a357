export { readJobFile, writeJobFile, jobOf, type JobFile, type JobFileInput } from './jobFile.ts';
export { JobFileRefused, type FileProblem } from './refusal.ts';
export { catalogueSchema, partSchema, toolSchema, wireStockSchema } from './catalogueSchemas.ts';
export { choiceSchema, findingSchema, gateEntrySchemas, jobSchema, readingValueSchema } from './schemas.ts';
export { harnessSchema, machineSchema, wireSchema } from './harnessSchemas.ts';
export { harnessEditSchema } from './editSchemas.ts';
export { continuityFields, mappingSchema } from './mappingSchemas.ts';
export { problemsOf } from './problems.ts';
export type { DueBack, ErrorBody, HarnessView, JobSummary, JobView, KeptRecord, PhotoView, StageName, Tick } from './api.ts';
