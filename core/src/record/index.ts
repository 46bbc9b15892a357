export { correctionWords, costWords, proofWords, recordText } from './words.ts';
export { functionsOf, notWatched } from './functions.ts';
export type { FunctionLine } from './functions.ts';
export { buildRecords, placeOn, RecordRefused } from './build.ts';
export { photosOf, TAKEN_WORDS, takenWhen, type WorkedAt } from './photos.ts';
export type { Signing, When } from './build.ts';
export { foundAgain } from './good.ts';
export type { Temporary } from './good.ts';
export { recordColumns, recordRow } from './rows.ts';
export type {
  Correction,
  JobSheet,
  PhotoTaken,
  RecordCost,
  RecordPhoto,
  RecordReading,
  SheetLine,
  SpliceRecord,
} from './types.ts';
export { jobSheet } from './sheet.ts';
export type { DrawnFace, DrawnRun } from './drawnTypes.ts';
export { facePictureWords, runPictureWords } from './drawnWords.ts';
export { faceShapes } from './faces.ts';
export { runHigh, runShapes, type Shape } from './runShapes.ts';
