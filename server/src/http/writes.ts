import { hash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { keepAudit } from '../chain/append.ts';
import { ReceiptEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { rowsBy } from '../db/prepared.ts';
import type { After } from '../db/together.ts';
import { AppError } from '../errors.ts';

/** What every write carries: its own id, made by the client, and who does it. */
export interface WriteHead {
  readonly writeId: string;
  readonly by: string;
}

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** What a write does inside its transaction. `audit` adds a line to the log. */
export interface WriteWork {
  readonly manager: EntityManager;
  readonly now: string;
  readonly audit: (what: string, jobId: string | null, detail: unknown) => Promise<void>;
  /** What is done once all of it is stored, before anybody else reads or writes; never where it is not stored. */
  readonly after: After;
}

const digestOf = (what: string, content: unknown): string => hash('sha256', `${what} ${JSON.stringify(content)}`);

/** The answer that a write was given before. @throws AppError WRITE_ID_REUSED when its id was used for another one */
function receiptOf(manager: EntityManager, head: WriteHead, digest: string): Answer | undefined {
  const receipt = rowsBy(manager).one(ReceiptEntity, { writeId: head.writeId });
  if (!receipt) return undefined;
  if (receipt.digest !== digest)
    throw new AppError('WRITE_ID_REUSED', `The write id ${head.writeId} was used for another write.`, {
      field: '/writeId',
    });
  return { status: receipt.status, body: receipt.body };
}

/**
 * The answer to a write that was done already: asked before anything is worked out for it again, and given only as any
 * write is answered, once it is certain that it can be read again.
 */
export const answeredBefore = (
  db: Database,
  head: WriteHead,
  what: string,
  content: unknown,
): Promise<Answer | undefined> =>
  db.write((manager) => Promise.resolve(receiptOf(manager, head, digestOf(what, content))));

/**
 * Does a write once: the same write id with the same content gives the stored answer again without doing anything; with
 * other content it is refused. Receipt, audit line and change are one transaction.
 */
export function writeOnce(
  db: Database,
  head: WriteHead,
  what: string,
  content: unknown,
  work: (work: WriteWork) => Promise<Answer>,
  now = new Date().toISOString(),
): Promise<Answer> {
  const digest = digestOf(what, content);
  return db.write(async (manager, after) => {
    const before = receiptOf(manager, head, digest);
    if (before) return before;
    const answer = await work({
      manager,
      now,
      audit: async (done, jobId, detail) => {
        await keepAudit(manager, { at: now, by: head.by, what: done, jobId, detail });
      },
      after,
    });
    rowsBy(manager).insert(ReceiptEntity, {
      writeId: head.writeId,
      at: now,
      digest,
      status: answer.status,
      body: answer.body,
    });
    return answer;
  });
}
