import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** What is hashed where nobody has the name that was given: it takes as long as if somebody had. */
let nobody: Promise<string> | undefined;

/** A PIN or a passphrase as it is kept: argon2id with a salt of its own (19 MiB, two passes). */
export const hashOf = (secret: string): Promise<string> => hash(secret.normalize('NFKC'));

/** Whether a PIN or a passphrase is the kept one. @param kept nothing where nobody has that name: never right */
export async function isSecret(kept: string | undefined, secret: string): Promise<boolean> {
  const held = kept ?? (await (nobody ??= hashOf(randomBytes(16).toString('hex'))));
  return (await verify(held, secret.normalize('NFKC'))) && kept !== undefined;
}

/** What a browser holds while somebody is signed in: 256 random bits. */
export const newToken = (): string => randomBytes(32).toString('base64url');
/** What the database holds of it: whoever reads the database cannot sign in with that. */
export const tokenHashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
