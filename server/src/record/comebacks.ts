import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { EntityManager } from 'typeorm';
import { factOf, ratesOf, type CameBack, type Repair, type RepairFact } from '@mendum/core/comeback';
import type { EarlierSeen, Failure } from '@mendum/core/damage';
import type { Comebacks, ComebacksAsked } from '@mendum/core/operations';
import type { SpliceRecord } from '@mendum/core/record';

/** So many records are read at once, so that others are answered in between. */
const AT_ONCE = 500;
/** So many lines are given; those that matter go first. */
const LINES_MOST = 100;

/** What counts of every record that was ever read: records never change, so that only new ones are read. */
export interface Facts {
  /** By job and splice. */
  readonly known: Map<string, RepairFact>;
  /** Which job and splice a record is of, by its id. */
  readonly keys: Map<string, string>;
  lastRow: number;
}
export const noFacts = (): Facts => ({ known: new Map(), keys: new Map(), lastRow: 0 });

type Read = <T>(work: (manager: EntityManager) => Promise<T>) => Promise<T>;

interface Line {
  readonly id: string;
  readonly jobId: string;
  readonly spliceId: string;
  readonly chainRow: number;
  readonly body: string;
}

/** Who corrects a record has not made the repair: day and person stay those of the first signature. */
const asFirstSigned = (fact: RepairFact, first: RepairFact): RepairFact => ({
  ...fact,
  day: first.day,
  under: { ...fact.under, person: first.under.person },
});

/** Reads what was signed since; a correction counts in place of what it corrects, from the day of the first. */
async function bringUp(facts: Facts, read: Read): Promise<void> {
  for (;;) {
    const rows = await read((manager) =>
      manager.query<Line[]>(
        'SELECT "id", "jobId", "spliceId", "chainRow", "body" FROM "record" WHERE "chainRow" > ? ORDER BY "chainRow" LIMIT ?',
        [facts.lastRow, AT_ONCE],
      ),
    );
    for (const { id, jobId, spliceId, chainRow, body } of rows) {
      const key = `${jobId} ${spliceId}`;
      const before = facts.known.get(key);
      const fact = factOf(JSON.parse(body) as SpliceRecord);
      facts.known.set(key, before ? asFirstSigned(fact, before) : fact);
      facts.keys.set(id, key);
      facts.lastRow = chainRow;
    }
    if (rows.length < AT_ONCE) return;
  }
}

/** That a repair failed, as it was said on the day that a job was opened. */
interface Said {
  readonly day: string;
  readonly why?: Failure | undefined;
}

const cameBack = ({ day, why }: Said, fact: RepairFact): CameBack => ({
  afterDays: differenceInCalendarDays(parseISO(day), parseISO(fact.day)),
  why,
});

/** Which repairs are said to have failed, by job and splice; of several that say so the first. */
async function saidToHaveFailed(facts: Facts, read: Read): Promise<Map<string, Said>> {
  const rows = await read((manager) =>
    manager.query<{ seen: string; day: string }[]>(
      `SELECT json_extract(finding."body", '$.earlierSeen') AS "seen", job."openedOn" AS "day"
        FROM finding JOIN job ON job.id = finding."jobId"
        WHERE instr(finding."body", '"earlierSeen"') > 0 ORDER BY job."openedOn"`,
    ),
  );
  const back = new Map<string, Said>();
  for (const { seen, day } of rows) {
    for (const { repairId, failed, why } of JSON.parse(seen) as EarlierSeen[]) {
      const key = facts.keys.get(repairId);
      if (failed && key !== undefined && !back.has(key)) back.set(key, { day, why });
    }
  }
  return back;
}

/** How often repairs came back, by what they have in common; of those that were signed between two days. */
export async function comebacksOf(facts: Facts, read: Read, { by, from, to }: ComebacksAsked): Promise<Comebacks> {
  await bringUp(facts, read);
  const back = await saidToHaveFailed(facts, read);
  const repairs: Repair[] = [];
  for (const [key, fact] of facts.known) {
    if (fact.day < (from ?? '') || (to !== undefined && fact.day > to)) continue;
    const said = back.get(key);
    repairs.push({ fact, back: said && cameBack(said, fact) });
  }
  const { lines, ...rates } = ratesOf(repairs, by);
  return { by, ...rates, lines: lines.slice(0, LINES_MOST), more: Math.max(0, lines.length - LINES_MOST) };
}
