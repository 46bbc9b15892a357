export { PINOUT_FIELDS } from './types.ts';
export type {
  BareSize,
  ColumnMatch,
  NewConnector,
  PinoutChoices,
  PinoutField,
  PinoutHarness,
  PinoutProblem,
  PinoutQuestion,
  PinoutReading,
  PinoutRow,
  Sheet,
} from './types.ts';
export { importable, likeliestSheet, PINOUT_MOST_LINES, readPinout } from './read.ts';
export { PINOUT_COLUMNS, writeConnector, writePinout } from './write.ts';
export { columnLetter } from './grid.ts';
