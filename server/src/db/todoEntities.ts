import { EntitySchema } from 'typeorm';
import type { Finding } from '@mendum/core/damage';
import { json, key, ofHarness, optional, text } from './columns.ts';

/** What was seen on a harness and left. */
export interface TodoRow {
  id: string;
  /** The harness that goes on, never one kept for signed jobs. */
  harnessId: string;
  words: string;
  circuitId: string | null;
  finding: Finding | null;
  by: string;
  at: string;
  seenInJobId: string | null;
  /** The job that set out to do it, with the finding by which it does; free again where that is signed without it. */
  doneInJobId: string | null;
  doneFindingId: string | null;
  endedAt: string | null;
  endedBy: string | null;
  because: string | null;
}

export const TodoEntity = new EntitySchema<TodoRow>({
  name: 'todo',
  columns: {
    id: key,
    harnessId: text,
    words: text,
    circuitId: optional(text),
    finding: optional(json),
    by: text,
    at: text,
    seenInJobId: optional(text),
    doneInJobId: optional(text),
    doneFindingId: optional(text),
    endedAt: optional(text),
    endedBy: optional(text),
    because: optional(text),
  },
  indices: [
    { name: 'todo_by_harness', columns: ['harnessId', 'endedAt'] },
    { name: 'todo_by_job', columns: ['doneInJobId'] },
  ],
  foreignKeys: ofHarness,
});
