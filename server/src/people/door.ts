import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Role } from '@mendum/core/operations';
import { AccountEntity, SignInEntity } from '../db/peopleEntities.ts';
import type { Database } from '../db/open.ts';
import type { AccountRow, SignInRow } from '../db/rows.ts';
import { newToken, tokenHashOf } from './secret.ts';
import { makeTries } from './tries.ts';

const MINUTE_MS = 60_000;
/** How long a sign-in lasts in all, and without anything being asked: a shared tablet lies about. */
export const LASTS = {
  own: { inAllMs: 720 * MINUTE_MS, idleMs: 30 * MINUTE_MS },
  shared: { inAllMs: 240 * MINUTE_MS, idleMs: 10 * MINUTE_MS },
} as const;
/** So long a PIN that was given once more holds for its write, sent again as well. */
const CONFIRMED_MS = 10 * MINUTE_MS;
/** When a sign-in was last used is stored this often. */
const STORED_EVERY_MS = MINUTE_MS;

/** Somebody who is signed in, and with what. */
export interface Who {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly signInId: string;
  /** The PIN was set by somebody else. */
  readonly mustChange: boolean;
}

interface Kept {
  readonly accounts: Map<string, AccountRow>;
  /** By the hash of their token. */
  readonly signIns: Map<string, SignInRow>;
}

/**
 * Who may sign in and who is. One process owns the data, so that both are held in memory beside the database; what is
 * stored is stored first.
 */
export function makeDoor(db: Database, now: () => number = Date.now) {
  let loaded: Promise<Kept> | undefined;
  const confirmed = new Map<string, number>();
  const known = (): Promise<Kept> =>
    (loaded ??= db
      .read(async (manager) => ({
        accounts: new Map((await manager.find(AccountEntity)).map((row) => [row.id, row])),
        signIns: new Map((await manager.find(SignInEntity)).map((row) => [row.tokenHash, row])),
      }))
      .catch((error: unknown) => {
        loaded = undefined;
        throw error;
      }));
  const isOver = ({ shared, since, seen }: SignInRow): boolean => {
    const { inAllMs, idleMs } = shared ? LASTS.shared : LASTS.own;
    return now() - Date.parse(since) > inAllMs || now() - Date.parse(seen) > idleMs;
  };
  const storeSeen = (row: SignInRow): Promise<unknown> =>
    db.write((manager) => manager.update(SignInEntity, { id: row.id }, { seen: row.seen }));
  const holding = async (): Promise<readonly SignInRow[]> =>
    [...(await known()).signIns.values()].filter((row) => !isOver(row));

  /** Ends sign-ins, within a write. @returns what takes them out of memory, once that is stored */
  async function end(manager: EntityManager, which: (row: SignInRow) => boolean): Promise<() => void> {
    const { signIns } = await known();
    const ended = [...signIns.values()].filter(which);
    for (const { id } of ended) await manager.delete(SignInEntity, { id });
    return () => {
      for (const { tokenHash } of ended) signIns.delete(tokenHash);
    };
  }

  return {
    tries: makeTries(now),
    holding,
    /** Whether people sign in here: as soon as somebody may. */
    signsIn: async (): Promise<boolean> => (await known()).accounts.size > 0,
    accounts: async (): Promise<readonly AccountRow[]> => [...(await known()).accounts.values()],

    /** Whose sign-in a token is, if it holds; using it keeps it from ending. */
    async whose(token: string | undefined): Promise<Who | undefined> {
      const { accounts, signIns } = await known();
      const row = token === undefined ? undefined : signIns.get(tokenHashOf(token));
      const account = row && accounts.get(row.accountId);
      if (!row || !account?.active || isOver(row)) return undefined;
      const stored = Date.parse(row.seen);
      if (now() - stored > STORED_EVERY_MS) {
        row.seen = new Date(now()).toISOString();
        // Where it cannot be stored the sign-in ends a little sooner after a restart: nothing is lost by that.
        storeSeen(row).catch(() => undefined);
      }
      return {
        id: account.id,
        name: account.name,
        role: account.role,
        signInId: row.id,
        mustChange: account.mustChange,
      };
    },

    /** Keeps an account, new or changed, within a write; it holds once that is stored. */
    async keepAccount(manager: EntityManager, row: AccountRow): Promise<() => void> {
      const { accounts } = await known();
      await manager.save(AccountEntity, row);
      return () => void accounts.set(row.id, row);
    },

    /**
     * Begins a sign-in, and gives its token; it is not kept anywhere.
     * @param account as it was when the PIN was looked at: one that was changed meanwhile begins nothing
     * @param before the sign-in of this device, which ends
     */
    async begin(account: AccountRow, device: string, shared: boolean, before?: string): Promise<string | undefined> {
      const { accounts, signIns } = await known();
      const token = newToken();
      const at = new Date(now()).toISOString();
      const row: SignInRow = {
        id: randomUUID(),
        accountId: account.id,
        tokenHash: tokenHashOf(token),
        device,
        shared,
        since: at,
        seen: at,
      };
      const begun = await db.write(async (manager, after) => {
        if (accounts.get(account.id) !== account) return false;
        after(await end(manager, (one) => one.id === before || isOver(one)));
        await manager.insert(SignInEntity, row);
        after(() => void signIns.set(row.tokenHash, row));
        return true;
      });
      return begun ? token : undefined;
    },

    end,

    /** Ends one sign-in. */
    async endOne(signInId: string): Promise<void> {
      await db.write(async (manager, after) => after(await end(manager, ({ id }) => id === signInId)));
    },

    /** Keeps that the PIN was given once more for a write. */
    confirm(signInId: string, writeId: string): void {
      for (const [key, until] of confirmed) if (until < now()) confirmed.delete(key);
      confirmed.set(`${signInId} ${writeId}`, now() + CONFIRMED_MS);
    },
    isConfirmed: (signInId: string, writeId: string): boolean =>
      (confirmed.get(`${signInId} ${writeId}`) ?? 0) >= now(),
  };
}

export type Door = ReturnType<typeof makeDoor>;
