import { createInterface } from 'node:readline/promises';
import password from '@inquirer/password';
import { DataFault } from '../data/fault.ts';
import { claimFolder } from '../data/claim.ts';
import { openDatabase } from '../db/open.ts';
import { keepAdmin } from '../people/admin.ts';
import { command, foldersOf } from './command.ts';

/** The passphrase: asked for without showing it, or the first line of what is piped in. */
async function passphrase(): Promise<string> {
  if (process.stdin.isTTY) return password({ message: 'Passphrase', mask: true });
  for await (const line of createInterface({ input: process.stdin })) return line;
  return '';
}

// npm run admin -- NAME: makes an admin, or gives one a new passphrase; the server is stopped meanwhile.
await command(async () => {
  const name = process.argv.slice(2).join(' ').trim();
  if (name === '') throw new DataFault('Name somebody: npm run admin -- NAME');
  const db = await openDatabase(claimFolder(foldersOf().dataDir, { what: 'npm run admin' }));
  try {
    console.log(await keepAdmin(db, name, await passphrase(), new Date().toISOString()));
  } finally {
    await db.close();
  }
});
