import type { SpliceRecord } from './types.ts';

/** Columns of the record table, in order; units are in the names. */
export const recordColumns = [
  'job', 'machine', 'harness', 'circuit', 'function', 'wire', 'run', 'at_mm', 'from', 'finding', 'approach', 'method', 'materials', 'tools',
  'readings', 'redos', 'temporary_until', 'override', 'practice', 'signed_by', 'signed_at', 'note',
] as const;

/** A record as one row of the table, in the order of `recordColumns`. */
export const recordRow = (record: SpliceRecord): (string | number)[] => [
  record.jobNumber, record.machine, record.harness, record.circuitNumber, record.circuitFunction, record.wire, record.run, Math.round(record.atMm * 10) / 10,
  record.fromName, record.finding, record.approach, record.method, record.materials.join('; '), record.tools.join('; '),
  record.readings.map((reading) => `${reading.title}: ${reading.words} (${reading.ruling.verdict})`).join('; '), record.redos, record.temporaryUntil ?? '',
  record.override ?? '', `${record.practice.name} v${record.practice.version}`, record.signedBy, record.signedAt, record.note,
];
