import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { findingInWords, isAtCavity, type Finding } from '@mendum/core/damage';
import type { Harness } from '@mendum/core/harness';
import { checkFinding, checkLimits, checkOverlap, NOTHING_YET, type Job } from '@mendum/core/job';
import { alongWith, renamedIn, type HarnessEdit, type JoinedIds } from '@mendum/core/survey';
import { FindingEntity, JobEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import { TodoEntity, type TodoRow } from '../db/todoEntities.ts';
import { AppError } from '../errors.ts';

/** What is written down of something that was seen and left. */
export interface Noted extends Pick<TodoRow, 'harnessId' | 'words' | 'by' | 'at'> {
  readonly circuitId?: string | undefined;
  readonly finding?: Finding | undefined;
  readonly seenInJobId?: string | undefined;
}

/** Puts something on the list of a harness. */
export function noteTodo(manager: EntityManager, { circuitId, finding, seenInJobId, ...noted }: Noted): string {
  const id = randomUUID();
  rowsBy(manager).insert(TodoEntity, {
    ...noted,
    id,
    circuitId: circuitId ?? finding?.circuitId ?? null,
    finding: finding ?? null,
    seenInJobId: seenInJobId ?? null,
  });
  return id;
}

/** @throws AppError NOT_FOUND */
export function todoRow(manager: EntityManager, id: string): TodoRow {
  const row = rowsBy(manager).one(TodoEntity, { id });
  if (!row) throw new AppError('NOT_FOUND', 'This is not on the list any more.');
  return row;
}

/** The open job that does it: not one from which its finding was taken out again. */
export function doingOf(manager: EntityManager, { doneInJobId, doneFindingId }: TodoRow) {
  if (doneInJobId === null) return undefined;
  const rows = rowsBy(manager);
  const job = rows.one(JobEntity, { id: doneInJobId, status: 'open' });
  const isThere = doneFindingId === null || rows.has(FindingEntity, { jobId: doneInJobId, id: doneFindingId });
  return job && isThere ? { id: job.id, number: job.number } : undefined;
}

/** What is to be done here goes with the harness when that is edited; what has lost its wire stays as it was written. */
export function todosAlong(
  manager: EntityManager,
  harnessId: string,
  harness: Harness,
  edits: readonly HarnessEdit[],
): void {
  const rows = rowsBy(manager);
  for (const { id, finding } of rows.find(TodoEntity, { harnessId, endedAt: null })) {
    if (!finding || isAtCavity(finding)) continue;
    const { circuitId, runId, fromMm, toMm } = finding;
    const now = alongWith(harness, edits, { circuitId, runId, fromMm, toMm });
    if (now) rows.update(TodoEntity, { id }, { finding: { ...finding, ...now } });
  }
}

/** What is to be done on a harness goes to the one that it is joined to. */
export function todosJoined(manager: EntityManager, fromId: string, toId: string, ids: JoinedIds): void {
  const rows = rowsBy(manager);
  for (const { id, finding, circuitId } of rows.find(TodoEntity, { harnessId: fromId })) {
    const renamed = renamedIn({ finding, circuitId }, ids);
    rows.update(TodoEntity, { id }, { harnessId: toId, ...renamed });
  }
}

/** Its finding as it can be marked in a job, or why it cannot. */
function markedIn(finding: Finding, job: Job): { readonly finding: Finding } | { readonly lost: string } {
  const taken = job.findings.some(({ id }) => id === finding.id);
  const fresh = taken ? { ...finding, id: randomUUID() } : finding;
  const [problem] = [
    ...checkLimits({ ...job, findings: [...job.findings, fresh] }),
    ...checkFinding(fresh, job, '/finding'),
    ...checkOverlap(fresh, job.findings, job.harness, '/finding'),
  ];
  return problem ? { lost: problem.message } : { finding: fresh };
}

/**
 * A job sets out to do what is on the list.
 * @throws AppError NOT_FOUND; TODO_TAKEN where it is closed, another job does it, or it is of another harness
 */
export function takeTodo(
  manager: EntityManager,
  id: string,
  job: { readonly id: string; readonly number: string; readonly harnessId: string },
  findingId: string | null,
): void {
  const row = mustBeFree(manager, id);
  if (row.harnessId !== job.harnessId)
    throw new AppError('TODO_TAKEN', `Job ${job.number} is on another harness than this.`, {
      hint: 'Open a job of its own.',
    });
  rowsBy(manager).update(TodoEntity, { id }, { doneInJobId: job.id, doneFindingId: findingId });
}

/** @throws AppError NOT_FOUND, TODO_TAKEN */
export function mustBeFree(manager: EntityManager, id: string): TodoRow {
  const row = todoRow(manager, id);
  if (row.endedAt !== null)
    throw new AppError('TODO_TAKEN', `It was closed on ${row.endedAt.slice(0, 10)} by ${row.endedBy}.`, {
      hint: 'Open it again first.',
    });
  const doing = doingOf(manager, row);
  if (doing)
    throw new AppError('TODO_TAKEN', `Job ${doing.number} does it already.`, {
      hint: 'Go on there.',
      details: { jobId: doing.id },
    });
  return row;
}

/** A finding that is left for later: what it came from is free again, with what is known by now. */
export function leaveTodo(
  manager: EntityManager,
  job: { readonly id: string; readonly harnessId: string },
  finding: Finding,
  said: { readonly by: string; readonly at: string },
): string {
  const rows = rowsBy(manager);
  const [before] = rows.find(TodoEntity, { doneInJobId: job.id, doneFindingId: finding.id, endedAt: null });
  if (before) {
    rows.update(TodoEntity, { id: before.id }, { finding, doneInJobId: null, doneFindingId: null });
    return before.id;
  }
  const { harnessId, id: seenInJobId } = job;
  return noteTodo(manager, { harnessId, words: foundWords(finding), finding, seenInJobId, ...said });
}

/** What a job begins with that does what was noted on a harness. */
export function jobFor(
  row: TodoRow,
  job: Pick<Job, 'number' | 'asOf' | 'machine' | 'harness'>,
): Job & { lost?: string } {
  const title = row.words.length > 120 ? `${row.words.slice(0, 119)}…` : row.words;
  const begun: Job = { ...NOTHING_YET, id: '', title, ...job };
  if (!row.finding) return begun;
  const marked = markedIn(row.finding, begun);
  return 'finding' in marked ? { ...begun, findings: [marked.finding] } : { ...begun, lost: marked.lost };
}

/** A finding of which nothing is made, and what somebody is asked about it. */
export interface Left {
  readonly findingId: string;
  readonly because: string;
}

/** What was found, as a sentence begins. */
function foundWords(finding: Finding): string {
  const words = findingInWords(finding);
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

/** In words, as it goes on the list: what was found, and why it was left. */
const leftWords = (finding: Finding, because: string): string => {
  const words = `${foundWords(finding)}. Left: ${because}`;
  return words.length > 500 ? `${words.slice(0, 499)}…` : words;
};

/**
 * When a job is signed: what it did is done; what it set out to do and did not is free again; what was found and left
 * goes on the list.
 */
export function settleTodos(
  manager: EntityManager,
  job: { readonly id: string; readonly harnessId: string; readonly findings: readonly Finding[] },
  left: readonly Left[],
  said: { readonly by: string; readonly at: string },
): void {
  const rows = rowsBy(manager);
  const isMade = (findingId: string): boolean =>
    job.findings.some(({ id }) => id === findingId) && !left.some((one) => one.findingId === findingId);
  const set = rows.find(TodoEntity, { doneInJobId: job.id, endedAt: null });
  for (const { id, doneFindingId } of set)
    rows.update(
      TodoEntity,
      { id },
      doneFindingId === null || isMade(doneFindingId)
        ? { endedAt: said.at, endedBy: said.by }
        : { doneInJobId: null, doneFindingId: null },
    );
  const known = new Set(set.map(({ doneFindingId }) => doneFindingId));
  for (const { findingId, because } of left) {
    const finding = job.findings.find(({ id }) => id === findingId);
    if (!finding || known.has(findingId)) continue;
    noteTodo(manager, {
      harnessId: job.harnessId,
      words: leftWords(finding, because),
      finding,
      seenInJobId: job.id,
      ...said,
    });
  }
}
