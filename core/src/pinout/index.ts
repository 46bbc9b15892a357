export { LINE_OUTCOMES, PINOUT_FIELDS } from './types.ts';
export type {
  ColumnMatch,
  LineOutcome,
  NewConnector,
  PinoutChoices,
  PinoutField,
  PinoutHarness,
  PinoutLine,
  PinoutList,
  PinoutOption,
  PinoutProblem,
  PinoutQuestion,
  PinoutReading,
  PinoutRow,
  Sheet,
  SizeBasis,
} from './types.ts';
export { importable, likeliestSheet, readPinout } from './read.ts';
export { PINOUT_MOST_LINES } from './refusals.ts';
export { writeCavities, writePinout } from './write.ts';
export { columnLetter } from './columns.ts';
export { EXAMPLE_SHEET } from './example.ts';
export { NOT_KNOWN } from './ends.ts';
