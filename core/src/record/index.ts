export { functionsOf, notWatched } from './functions.ts';
export type { FunctionLine } from './functions.ts';
export { buildRecords, RecordRefused } from './build.ts';
export type { When } from './build.ts';
export { foundAgain } from './good.ts';
export type { Temporary } from './good.ts';
export { recordColumns, recordRow } from './rows.ts';
export type { JobSheet, RecordReading, SheetLine, SpliceRecord } from './types.ts';
export { jobSheet } from './sheet.ts';
