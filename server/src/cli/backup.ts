import { join, resolve } from 'node:path';
import { fileSize } from '@mendum/core/units';
import { makeBackup } from '../backup/make.ts';
import { momentIn } from '../data/folder.ts';
import { command, foldersOf, holds } from './command.ts';

// npm run backup -- [FILE]: database and photos into one file, while the server may be at work.
await command(async () => {
  process.umask(0o077);
  const now = new Date();
  const { dataDir, backupsDir } = foldersOf();
  const [named] = process.argv.slice(2);
  const file = named === undefined ? join(backupsDir, `mendum-${momentIn(now)}.tar.gz`) : resolve(named);
  const { bytes, manifest } = await makeBackup(dataDir, file, now);
  const { tables, files, missingPhotos } = manifest;
  console.log(`${file}, ${fileSize(bytes)}: ${holds(tables, files.length - 1)}.`);
  if (missingPhotos.length > 0)
    console.log(`Not in it, because they are not there: ${missingPhotos.join(', ')}. npm run check-data says more.`);
});
