import { existsSync } from 'node:fs';
import { checkData } from '../backup/check.ts';
import { DataFault } from '../data/fault.ts';
import { databaseFile } from '../data/folder.ts';
import { faultOf } from '../data/sound.ts';
import { command, foldersOf, holds } from './command.ts';

// npm run check-data: looks at everything in the data folder; ends with 1 where something does not hold.
await command(async () => {
  const { dataDir } = foldersOf();
  const file = databaseFile(dataDir);
  if (!existsSync(file)) throw new DataFault(`There is no database in ${dataDir}.`);
  const { tables, photoFiles, problems } = await checkData(dataDir).catch((error: unknown) => {
    throw faultOf(error, file) ?? error;
  });
  console.log(`${dataDir}: ${holds(tables, photoFiles)}.`);
  for (const problem of problems) console.log(problem);
  if (problems.length > 0) throw new DataFault(`${problems.length} things do not hold.`);
  console.log('All is whole.');
});
