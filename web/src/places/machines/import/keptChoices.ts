import { PINOUT_FIELDS, type PinoutChoices, type PinoutField } from '@mendum/core/pinout';
import { keep, recall } from '../../../app/kept.ts';

/** Where this device keeps how sheets were read, by a digest of their content: a second look keeps the answers. */
const KEY = 'mendum.sheets';
/** Sheets of which that is kept, the newest. */
const MOST = 20;

const record = (value: unknown): Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
const isField = (value: unknown): value is PinoutField | null =>
  value === null || (PINOUT_FIELDS as readonly unknown[]).includes(value);

/** How a sheet was read on this device; what is damaged counts as nothing. */
export function recallChoices(digest: string | undefined): PinoutChoices {
  if (digest === undefined) return {};
  const { headerRow, columns, answers } = record(record(recall(KEY))[digest]);
  const kept = Object.entries(record(columns)).filter((entry): entry is [string, PinoutField | null] =>
    isField(entry[1]),
  );
  const said = Object.entries(record(answers)).filter(
    (entry): entry is [string, string] => typeof entry[1] === 'string',
  );
  return {
    ...(Number.isInteger(headerRow) ? { headerRow: headerRow as number } : {}),
    ...(kept.length > 0 ? { columns: Object.fromEntries(kept) } : {}),
    ...(said.length > 0 ? { answers: Object.fromEntries(said) } : {}),
  };
}

/** Keeps how a sheet is read. */
export function keepChoices(digest: string | undefined, choices: PinoutChoices): void {
  if (digest === undefined) return;
  const others = Object.entries(record(recall(KEY))).filter(([of]) => of !== digest);
  keep(KEY, { ...Object.fromEntries(others.slice(1 - MOST)), [digest]: choices });
}
