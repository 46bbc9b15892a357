export { readJobFile, writeJobFile, jobOf, type JobFile, type JobFileInput } from './jobFile.ts';
export { JobFileRefused, type FileProblem } from './refusal.ts';
export { catalogueSchema, partSchema, toolSchema, wireStockSchema } from './catalogueSchemas.ts';
export { practiceSchema } from './practiceSchema.ts';
export {
  choiceSchema,
  findingSchema,
  gateEntrySchemas,
  jobSchema,
  layoutSchema,
  readingValueSchema,
} from './schemas.ts';
export { harnessSchema, machineSchema, wireSchema } from './harnessSchemas.ts';
export { harnessEditSchema } from './editSchemas.ts';
export { continuityFields, mappingSchema } from './mappingSchemas.ts';
export { problemsOf } from './problems.ts';
export type {
  DueBack,
  ErrorBody,
  HarnessView,
  JobEffect,
  JobSummary,
  JobView,
  KeptRecord,
  PhotoView,
  PracticeView,
  StageName,
  Tick,
} from './api.ts';
export { shelfEditSchema } from './catalogueSchemas.ts';
export { readShelfTable } from './shelfTable.ts';
export { writeShelfTable } from './shelfTableOut.ts';
export type { TableProblem, TableReading } from './shelfTable.ts';
