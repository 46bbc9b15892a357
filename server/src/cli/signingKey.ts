import { generateKeyPairSync } from 'node:crypto';
import { existsSync, writeFileSync } from 'node:fs';
import { DataFault } from '../data/fault.ts';
import { command } from './command.ts';

// npm run signing-key -- FILE: makes a key to sign records with, and beside it the public one to verify them with.
await command(() => {
  const [file] = process.argv.slice(2);
  if (file === undefined) throw new DataFault('Name a file: npm run signing-key -- FILE');
  const publicFile = `${file}.pub`;
  for (const one of [file, publicFile])
    if (existsSync(one)) throw new DataFault(`${one} is there already: it was left as it is.`);
  const { privateKey, publicKey } = generateKeyPairSync('ed25519');
  writeFileSync(file, privateKey.export({ type: 'pkcs8', format: 'pem' }), { mode: 0o600, flag: 'wx' });
  writeFileSync(publicFile, publicKey.export({ type: 'spki', format: 'pem' }), { flag: 'wx' });
  console.log(
    `${file} signs (MENDUM_SIGNING_KEY); keep a copy of ${publicFile} away from this machine to verify with.`,
  );
  return Promise.resolve();
});
