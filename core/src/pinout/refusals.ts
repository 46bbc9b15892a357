import type { List } from './lists.ts';
import type { ColumnMatch, PinoutProblem, Sheet } from './types.ts';

/** Most lines and columns that are read at once. */
export const PINOUT_MOST_LINES = 5000;
export const COLUMNS_MOST = 100;

/** Why a sheet is not read at all; nothing where it is. */
export function refused(
  sheet: Sheet,
  headerRow: number,
  lists: readonly List[],
  columns: readonly ColumnMatch[],
): Omit<PinoutProblem, 'line'> | undefined {
  if (sheet.rows.every((row) => row.every((cell) => cell.trim() === '')))
    return { value: '', why: 'The sheet is empty.', remedy: 'Choose a sheet with one line for each circuit.' };
  if (sheet.rows.length > PINOUT_MOST_LINES + 50)
    return {
      value: String(sheet.rows.length),
      why: `The sheet has ${sheet.rows.length} lines; ${PINOUT_MOST_LINES} are read at most.`,
      remedy: 'Import it in parts.',
    };
  if (columns.length > COLUMNS_MOST)
    return {
      value: String(columns.length),
      why: `The sheet has ${columns.length} columns; ${COLUMNS_MOST} are read at most.`,
      remedy: 'Leave out what does not belong to the pinout.',
    };
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
