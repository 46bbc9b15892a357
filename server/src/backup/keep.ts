import { format } from 'date-fns';

/** So many backups are kept: the newest of each of the last days, weeks and months that have one. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

const NAME = /^mendum-daily-(\d{4})-(\d{2})-(\d{2})T(\d{2})-(\d{2})-(\d{2})\.tar\.gz$/;

/** What a backup is called until it is whole. */
export const PARTIAL = '.partial';

/** Daily backups that were stopped half-way: none is under way when another has just been made. */
export const halfDone = (names: readonly string[]): string[] =>
  names.filter((name) => name.endsWith(PARTIAL) && madeAt(name.slice(0, -PARTIAL.length)) !== undefined);

/** What a daily backup is called. @param at in local time */
export const dailyName = (at: Date): string => `mendum-daily-${format(at, "yyyy-MM-dd'T'HH-mm-ss")}.tar.gz`;

/** When a daily backup was made, by its name; nothing for any other file. */
export function madeAt(name: string): Date | undefined {
  const [, ...parts] = NAME.exec(name) ?? [];
  if (parts.length === 0) return undefined;
  const [year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0] = parts.map(Number);
  return new Date(year, month - 1, day, hour, minute, second);
}

/** The newest of each of the last so many spans that have one. */
function newestOf(spanOf: (at: Date) => string, count: number, names: readonly string[]): string[] {
  const kept = new Map<string, string>();
  for (const name of names) {
    const at = madeAt(name);
    if (at && !kept.has(spanOf(at))) kept.set(spanOf(at), name);
  }
  return [...kept.values()].slice(0, count);
}

/** Daily backups that may go: every other file in the folder stays. */
export function tooMany(names: readonly string[]): string[] {
  const daily = names
    .filter((name) => madeAt(name) !== undefined)
    .sort()
    .reverse();
  const kept = new Set([
    ...newestOf((at) => format(at, 'yyyy-MM-dd'), KEPT.days, daily),
    ...newestOf((at) => format(at, 'RRRR-II'), KEPT.weeks, daily),
    ...newestOf((at) => format(at, 'yyyy-MM'), KEPT.months, daily),
  ]);
  return daily.filter((name) => !kept.has(name));
}
