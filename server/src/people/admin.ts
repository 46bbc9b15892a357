import { randomUUID } from 'node:crypto';
import { nameKey, whyNoSecret } from '@mendum/core/operations';
import { keepAudit } from '../chain/append.ts';
import { DataFault } from '../data/fault.ts';
import type { Database } from '../db/open.ts';
import { makeDoor } from './door.ts';
import { hashOf } from './secret.ts';

/**
 * Makes an admin without one being signed in, or gives one a new passphrase: whoever may write the data folder may.
 * @returns what was done, in a sentence
 * @throws DataFault where the passphrase will not do
 */
export async function keepAdmin(db: Database, name: string, secret: string, at: string): Promise<string> {
  const why = whyNoSecret(secret, 'admin', name);
  if (why !== undefined) throw new DataFault(`${why} Nothing was changed.`);
  const door = makeDoor(db);
  const known = (await door.accounts()).find((row) => row.nameKey === nameKey(name));
  const hashed = await hashOf(secret);
  const id = known?.id ?? randomUUID();
  await db.write(async (manager) => {
    await door.keepAccount(manager, {
      ...(known ?? { id, name, nameKey: nameKey(name), since: at }),
      role: 'admin',
      active: true,
      secret: hashed,
      mustChange: false,
    });
    await door.end(manager, ({ accountId }) => accountId === id);
    await keepAudit(manager, { at, by: name, what: 'admin made at the server', jobId: null, detail: { id } });
  });
  return known ? `${known.name} is an admin with that passphrase now.` : `${name} may sign in now, as an admin.`;
}
