import type { SpliceRecord } from '../record/index.ts';

/** What stands on the label of a repair. */
export interface LabelWords {
  readonly circuit: string;
  readonly work: string;
  /** "426 mm from X31". */
  readonly place: string;
  readonly run: string;
  readonly method: string;
  readonly job: string;
  /** The day of the signature, ISO. */
  readonly day: string;
  /** The day by which a temporary repair is made good. */
  readonly until?: string | undefined;
}

/** Where to put the finger, in whole mm. */
const placeOnLabel = ({ atMm, fromName }: Pick<SpliceRecord, 'atMm' | 'fromName'>): string =>
  `${Math.round(atMm)} mm from ${fromName}`;

/** The words of a record's label. */
export const labelWords = (record: SpliceRecord): LabelWords => ({
  circuit: record.circuitNumber,
  work: record.circuitFunction,
  place: placeOnLabel(record),
  run: record.run,
  method: record.method,
  job: record.jobNumber,
  day: record.signedAt.slice(0, 10),
  ...(record.temporaryUntil === undefined ? {} : { until: record.temporaryUntil }),
});

/** So many letters of each part go into the code: it stays large enough to be read. */
const PART_MOST = 24;

/** Words as they can be read in an address: "Sealed butt" is "Sealed-butt". */
const readable = (words: string): string =>
  encodeURIComponent(
    Array.from(words.replace(/\s+/g, '-'))
      .slice(0, PART_MOST)
      .join('')
      .replace(/\p{Cs}/gu, ''),
  );

/**
 * What the square code says: the address at which the repair is opened, and after it, for whoever has no server, what
 * it is.
 * @param origin of the server: "http://10.0.0.5:4600"
 */
export const codeOf = (origin: string, recordId: string, words: LabelWords): string =>
  `${origin}/r/${encodeURIComponent(recordId)}#${[
    `job-${words.job}`,
    `circuit-${words.circuit}`,
    words.place,
    words.method,
    words.day,
    ...(words.until === undefined ? [] : [`temporary-${words.until}`]),
  ]
    .map(readable)
    .join('_')}`;
