import type { WriteName } from '@mendum/core/operations';
import { keep, recall } from './kept.ts';

/** What is sent as data; photos are files, and go by themselves. */
export type SaveName = Exclude<WriteName, 'addPhoto' | 'addFacePhoto' | 'readParcel'>;

/** A write that has no answer yet. */
export interface Unsent<N extends SaveName = SaveName> {
  readonly writeId: string;
  readonly name: N;
  /** As it was sent, where it was: the server knows it again by its id and its content. */
  readonly args: object;
  readonly by: string;
  /** When it was made, ms since 1970. */
  readonly at: number;
  readonly wasSent: boolean;
}

const KEY = 'mendum.unsent';
/** The server knows a write again for 30 days: what is older could be done twice, and is not sent again. */
const KNOWN_MS = 29 * 86_400_000;
/** Writes of this page that are given up on without an answer, the first made first. */
let givenUp: readonly Unsent[] = [];
/** All that this page has to do with itself. */
const OWN = new Set<string>();

const isUnsent = (one: unknown): one is Unsent =>
  typeof (one as Partial<Unsent> | null)?.writeId === 'string' && typeof (one as Partial<Unsent>).name === 'string';

/** What this device has kept of all pages, the first made first. */
function all(): readonly Unsent[] {
  const kept = recall(KEY);
  return Array.isArray(kept) ? kept.filter(isUnsent) : [];
}
const keepAll = (entries: readonly Unsent[]): void => keep(KEY, entries.length > 0 ? entries : undefined);

/** What was pressed, whatever version of it was seen. */
function likeness({ name, args, by }: Pick<Unsent, 'name' | 'args' | 'by'>): string {
  const { version: _version, jobVersion: _jobVersion, ...rest } = args as Record<string, unknown>;
  return JSON.stringify([name, by, rest]);
}

/**
 * A PIN is kept nowhere: who gives one gives it again; nor is the secret of a link. A label that nobody waits for any
 * more is not printed.
 */
const isKept = ({ name, args }: Unsent): boolean =>
  name !== 'printLabel' && name !== 'shareRecord' && !('secret' in args);

/** Keeps a write on the device until it is answered: a page that is closed or loaded anew meanwhile sends it again. */
export function keepUnsent(entry: Unsent): void {
  OWN.add(entry.writeId);
  if (!isKept(entry)) return;
  const kept = all();
  const isThere = kept.some(({ writeId }) => writeId === entry.writeId);
  keepAll(isThere ? kept.map((one) => (one.writeId === entry.writeId ? entry : one)) : [...kept, entry]);
}

/** What must keep its order: all that is written to one job, and all else. */
const lineOf = ({ args }: Pick<Unsent, 'args'>): unknown => (args as { readonly jobId?: unknown }).jobId;

/** There was no answer: it goes before whatever is written there next. */
export function leaveUnanswered(entry: Unsent): void {
  givenUp = [...givenUp.filter(({ writeId }) => writeId !== entry.writeId), entry].sort((a, b) => a.at - b.at);
}

/** It was answered, or whoever made it let it be. */
export function forgetUnsent(entry: Unsent): void {
  givenUp = givenUp.filter(({ writeId }) => writeId !== entry.writeId);
  const rest = all().filter(({ writeId }) => writeId !== entry.writeId);
  if (rest.length < all().length) keepAll(rest);
}

/** What the same person wrote there before, and was never answered, the first made first. */
export const unansweredBefore = (made: Pick<Unsent, 'args' | 'by'>): readonly Unsent[] =>
  givenUp.filter((one) => one.by === made.by && lineOf(one) === lineOf(made));

/** Whether the same was pressed twice. */
export const isAlike = (one: Unsent, other: Unsent): boolean => likeness(one) === likeness(other);

/** What an earlier page was closed over, of one person or of all; what is too old is told apart, and forgotten. */
export function unsentBefore(by: string | undefined, now: number): { left: readonly Unsent[]; old: number } {
  const theirs = all().filter((entry) => !OWN.has(entry.writeId) && (by === undefined || entry.by === by));
  const [left, old] = [[] as Unsent[], [] as Unsent[]];
  for (const entry of theirs) (now - entry.at > KNOWN_MS ? old : left).push(entry);
  for (const entry of old) forgetUnsent(entry);
  return { left, old: old.length };
}
