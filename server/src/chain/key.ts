import { createPrivateKey, type KeyObject } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { DataFault } from '../data/fault.ts';

/** The key that rows are signed with. @throws DataFault where the file is not one */
export function privateKeyFrom(file: string): KeyObject {
  const remedy = 'Make one with "npm run signing-key -- FILE", or unset MENDUM_SIGNING_KEY.';
  let key: KeyObject;
  try {
    key = createPrivateKey(readFileSync(file));
  } catch {
    throw new DataFault(`${file} cannot be read as a private key. ${remedy}`);
  }
  if (key.asymmetricKeyType !== 'ed25519')
    throw new DataFault(
      `${file} is a key of another kind (${key.asymmetricKeyType ?? 'secret'}): Ed25519 is used. ${remedy}`,
    );
  return key;
}
