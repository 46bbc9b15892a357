import { resolve } from 'node:path';
import { agreeing } from '../data/agree.ts';
import { heldIn } from '../data/aside.ts';
import { claimFolder } from '../data/claim.ts';
import { DataFault } from '../data/fault.ts';
import { restore } from '../backup/restore.ts';
import { command, foldersOf, holds } from './command.ts';

// npm run restore -- FILE [--yes]: brings a backup back; what there is now is put aside.
await command(async () => {
  const words = process.argv.slice(2).filter((one) => one !== '--yes');
  const [file] = words;
  if (file === undefined || words.length > 1) throw new DataFault('Name one backup: npm run restore -- FILE [--yes]');
  const { dataDir } = foldersOf();
  const claim = claimFolder(dataDir, { what: 'a restore' });
  try {
    const held = heldIn(dataDir);
    const yes = process.argv.includes('--yes');
    const question = `Put ${held ?? 'nothing'} of ${dataDir} aside, and bring ${file} back?`;
    if (held !== undefined && !(await agreeing(question, yes))) throw new DataFault('Nothing was changed.');
    const { manifest, aside } = await restore(claim, resolve(file), new Date());
    console.log(
      `Brought back into ${dataDir}: ${holds(manifest.tables, manifest.files.length - 1)}, as of ${manifest.made}.`,
    );
    if (aside !== undefined) console.log(`What there was lies in ${aside}.`);
  } finally {
    claim.release();
  }
});
