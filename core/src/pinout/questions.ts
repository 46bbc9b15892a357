import type { GridRow } from './grid.ts';
import type { PinoutChoices, PinoutField, PinoutQuestion } from './types.ts';

export function questionsOf(
  rows: readonly GridRow[],
  fields: ReadonlySet<PinoutField | null>,
  asked: { readonly colours: string | undefined; readonly bare: boolean },
  choices: PinoutChoices,
): PinoutQuestion[] {
  const questions: PinoutQuestion[] = [];
  if (asked.colours !== undefined) questions.push({ kind: 'colours', because: asked.colours });
  if (!fields.has('colour') && choices.withoutColours === undefined)
    questions.push({
      kind: 'noColours',
      because: 'No column holds colours. Set the column above that does, or say that there are none.',
    });
  if (asked.bare)
    questions.push({
      kind: 'bareSizes',
      because:
        'Sizes such as “16” stand without a unit: they may be mm², AWG copper or a trade label, and the column does not tell.',
    });
  const nameless = rows.some(
    (row) =>
      row.cells.from === undefined &&
      row.cells.fromConnector === undefined &&
      row.under === undefined &&
      row.cells.fromCavity !== undefined,
  );
  if (nameless && choices.fromConnector === undefined)
    questions.push({
      kind: 'fromConnector',
      because: 'Lines name a cavity and no connector. Which connector are they of?',
    });
  if (fields.has('toCavity') && !fields.has('toConnector') && !fields.has('to') && choices.toConnector === undefined)
    questions.push({
      kind: 'toConnector',
      because: 'The far cavities are of no named connector. Which connector are they of?',
    });
  return questions;
}

/** Whether a sheet lists one end of every wire only: no column of far ends, and no number that stands twice. */
export function isOneEnded(rows: readonly GridRow[], fields: ReadonlySet<PinoutField | null>): boolean {
  if (fields.has('to') || fields.has('toConnector') || fields.has('toCavity')) return false;
  const numbers = rows.flatMap((row) => row.cells.number ?? []);
  return new Set(numbers).size === numbers.length;
}
