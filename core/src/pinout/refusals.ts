import type { List } from './lists.ts';
import type { PinoutProblem, Sheet } from './types.ts';

/** Most lines and columns that are read at once. */
export const PINOUT_MOST_LINES = 5000;
const COLUMNS_MOST = 100;

type Refused = Omit<PinoutProblem, 'line'> | undefined;

/** Why a sheet is not even looked at: it is empty, or too much. */
export function tooMuch({ rows }: Sheet): Refused {
  if (rows.every((row) => row.every((cell) => cell.trim() === '')))
    return { value: '', why: 'The sheet is empty.', remedy: 'Choose a sheet with one line for each circuit.' };
  if (rows.length > PINOUT_MOST_LINES + 50)
    return {
      value: String(rows.length),
      why: `The sheet has ${rows.length} lines; ${PINOUT_MOST_LINES} are read at most.`,
      remedy: 'Import it in parts.',
    };
  const width = Math.max(...rows.map((row) => row.length));
  return width > COLUMNS_MOST
    ? {
        value: String(width),
        why: `The sheet has ${width} columns; ${COLUMNS_MOST} are read at most.`,
        remedy: 'Leave out what does not belong to the pinout.',
      }
    : undefined;
}

/** Why nothing can be read of a sheet: none of its columns is known for what a line needs. */
export function refused(headerRow: number, lists: readonly List[]): Refused {
  const holds = lists.some(({ fields }) =>
    [...fields.values()].some((field) => field === 'fromCavity' || field === 'from' || field === 'number'),
  );
  return holds
    ? undefined
    : {
        value: '',
        why:
          headerRow < 0
            ? 'No line of headers was found: none has two columns that are known.'
            : 'No column holds circuit numbers or cavities.',
        remedy: 'Say below what each column holds.',
      };
}
