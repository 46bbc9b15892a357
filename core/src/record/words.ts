import { failureInWords } from '../damage/index.ts';
import type { Correction, RecordCost, SpliceRecord } from './types.ts';

/** "Ines Valdur, 2026-10-04: The tool was number 4." */
export const correctionWords = ({ by, at, text }: Correction): string => `${by}, ${at.slice(0, 10)}: ${text}`;

/** What was read of a repair, in words: "Tug: held 62 N". Of the last make only. */
export const proofWords = ({ readings, redos }: Pick<SpliceRecord, 'readings' | 'redos'>): string[] =>
  readings.filter(({ make }) => make === redos + 1).map(({ title, words }) => `${title}: ${words}`);

/** "6.5 min at the bench as planned; parts 3.20, without tape": what it cost, as far as it is known. */
export function costWords({ minutes, parts, unpriced = [] }: RecordCost): string {
  const bench = `${minutes} min at the bench, as planned`;
  if (parts === undefined) return bench;
  return `${bench}; parts ${parts.toFixed(2)}${unpriced.length === 0 ? '' : `, without ${unpriced.join(', ')}`}`;
}

/** All that a record is found by: every word that it says, and what was noted when it was found. */
export const recordText = (record: SpliceRecord, more: readonly (string | undefined)[] = []): string =>
  [
    record.jobNumber,
    record.machine,
    record.harness,
    `${record.circuitNumber} ${record.circuitFunction}`,
    record.wire,
    record.run,
    record.fromName,
    record.finding,
    record.approach,
    record.method,
    ...record.materials,
    ...record.tools,
    ...record.readings.flatMap(({ title, words, by }) => [title, words, by]),
    record.cause,
    ...(record.closedBy ?? []),
    ...(record.failedBefore ?? []).map(({ words, why }) => `came back: ${words}, ${failureInWords(why)}`),
    record.override,
    record.temporaryUntil === undefined ? undefined : `temporary until ${record.temporaryUntil}`,
    record.redos > 0 ? 'made again' : undefined,
    record.notMeasured === true ? 'looked at, not measured' : undefined,
    record.functionSeen,
    record.practice.name,
    record.isolation,
    record.procedure,
    record.checkedBy,
    record.signedBy,
    record.signedAt.slice(0, 10),
    record.note,
    ...(record.corrections ?? []).map(correctionWords),
    ...more,
  ]
    .filter((words) => words !== undefined && words !== '')
    .join('\n');
