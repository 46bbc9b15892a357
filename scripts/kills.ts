import { appendFileSync, cpSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import Sqlite from 'better-sqlite3';
import { checkData } from '../server/src/backup/check.ts';
import { photoFilesIn } from '../server/src/backup/photos.ts';
import { walkFile } from '../server/src/chain/file.ts';
import { databaseFile, photosFolder } from '../server/src/data/folder.ts';
import { answering, ended, freePort, run } from '../server/src/test/process.ts';
import { clientOf } from './load/client.ts';
import { countedIn, notWhole, writesUntilGone, type Acknowledged, type Before } from './load/writes.ts';

// `npm run kills -- 300`: a server is killed again and again while eight people write, at moments that nobody chooses,
// at its start and while it folds its log in as well. In between it is stopped in the middle of whatever it does and its
// folder copied, with half a frame more in the log: what a power cut leaves. After each, nothing that was acknowledged
// may be missing, nothing half done, and all of it must be whole.
const KILLS = Number(process.argv[2] ?? 20);
const PEOPLE = 8;
const COPY_EVERY = 3;

const folder = mkdtempSync(join(tmpdir(), 'mendum-kills-'));
const dataDir = join(folder, 'data');
const kept: Acknowledged[] = [];
let copies = 0;
let counted: Before | undefined;

/** Photos of a database whose files are not there, or empty. */
const withoutFiles = (db: Sqlite.Database, dir: string): string[] =>
  photoFilesIn(db)
    .filter((name) => (statSync(join(photosFolder(dir), name), { throwIfNoEntry: false })?.size ?? 0) === 0)
    .map((name) => `the photo file ${name} is not there, or empty`);

async function mustBeWhole(where: string, dir: string, acknowledged: readonly Acknowledged[]): Promise<void> {
  const db = new Sqlite(databaseFile(dir));
  const damaged = db.pragma('integrity_check', { simple: true });
  const { broken } = await walkFile(db);
  const problems = [
    ...(counted ? notWhole(db, counted, acknowledged) : []),
    ...withoutFiles(db, dir),
    ...(damaged === 'ok' ? [] : [String(damaged)]),
    ...(broken ? [`the chain does not hold at row ${broken.row}`] : []),
  ];
  db.close();
  if (problems.length > 0) throw new Error(`${where}: ${problems.slice(0, 10).join('; ')}. It lies in ${dir}.`);
}

try {
  for (let kill = 1; kill <= KILLS; kill += 1) {
    const port = await freePort();
    const { child, said } = run('server/dist/main.js', ['--demo'], {
      PORT: String(port),
      MENDUM_DATA: dataDir,
      MENDUM_BACKUPS: join(folder, 'backups'),
      NODE_ENV: 'production',
    });
    const gone = ended(child);
    // Every tenth is killed while it starts.
    if (kill % 10 !== 0 || kill === 10) {
      await Promise.race([answering(port), gone]);
      if (child.exitCode !== null) throw new Error(`It did not start after kill ${kill - 1}: ${said()}`);
    } else await wait(Math.random() * 1500);
    if (!counted) {
      const db = new Sqlite(databaseFile(dataDir), { readonly: true });
      counted = countedIn(db);
      db.close();
    }
    const people = Array.from({ length: PEOPLE }, (_, n) => {
      const client = clientOf(port, 'Ines');
      return writesUntilGone(client, `${kill}-${n}`, kept).finally(() => client.close());
    });
    await wait(50 + Math.random() * 1200);
    if (kill % COPY_EVERY === 0) {
      child.kill('SIGSTOP');
      // Whatever is on its way to us by now was acknowledged before the copy: it is counted.
      await wait(60);
      const acknowledged = [...kept];
      const copy = join(folder, 'copy');
      cpSync(dataDir, copy, { recursive: true });
      child.kill('SIGCONT');
      appendFileSync(`${databaseFile(copy)}-wal`, randomBytes(1 + Math.floor(Math.random() * 6000)));
      await mustBeWhole(`copy ${copies + 1}, kill ${kill}`, copy, acknowledged);
      rmSync(copy, { recursive: true });
      copies += 1;
      await wait(Math.random() * 200);
    }
    child.kill('SIGKILL');
    await gone;
    await Promise.all(people);
    await mustBeWhole(`kill ${kill}`, dataDir, kept);
    if (kill % 10 === 0)
      console.log(`${kill} kills, ${copies} copies: ${kept.length} writes acknowledged, none missing`);
  }
  const { problems } = await checkData(dataDir);
  if (problems.length > 0) throw new Error(problems.slice(0, 10).join('; '));
  if (kept.length < KILLS) throw new Error(`Only ${kept.length} writes were acknowledged: nothing was tried.`);
  console.log(
    `${KILLS} kills, ${copies} copies: ${kept.length} writes acknowledged, none missing, nothing half done, all whole.`,
  );
  rmSync(folder, { recursive: true });
} catch (error) {
  console.error(error, `The data lies in ${dataDir}.`);
  process.exitCode = 1;
}
