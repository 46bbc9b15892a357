import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { join, resolve } from 'node:path';
import { createHttpTerminator } from 'http-terminator';
import { createApp } from './app.ts';
import { dailyBackups, makeBeside } from './backup/daily.ts';
import { signRows } from './chain/append.ts';
import { privateKeyFrom } from './chain/key.ts';
import { readConfig } from './config.ts';
import { agreeing } from './data/agree.ts';
import { beginAnew } from './data/aside.ts';
import { claimFolder } from './data/claim.ts';
import { DataFault } from './data/fault.ts';
import { photosFolder } from './data/folder.ts';
import { markedAt } from './data/sound.ts';
import { openDatabase, type Database } from './db/open.ts';
import { drawsOf } from './draws.ts';
import { forgetReceipts } from './http/receipts.ts';
import { answerBadRequests } from './http/badRequest.ts';
import { makeLog } from './log.ts';
import { tlsOf } from './tls.ts';
import { seedDemo } from './demo/seed.ts';
import { mustHaveAdmin } from './people/opened.ts';
import { plannerPool } from './planning/pool.ts';
import { sizeOf } from './planning/size.ts';
import { portWords, whyNoPort } from './port.ts';

const root = resolve(import.meta.dirname, '../..');
/** What is under way when the server stops gets this long: a template of 10 m takes some 5 s. */
const STOP_MOST_MS = 8000;
const FOLD_MS = 180_000;
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { readonly version: string };

/** What can only be put right before the server starts again is said, and it ends. */
function orExit<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
}

const config = orExit(() => readConfig(process.env, root));
const tls = orExit(() => tlsOf(config));
const photosDir = photosFolder(config.dataDir);
const log = makeLog(config.logLevel);

// The port comes first: a taken one is said as that.
const refused = await whyNoPort(config.host, config.port);
if (refused !== undefined) {
  console.error(refused);
  process.exit(1);
}

/** The data folder, claimed, begun anew where that was asked for, and its database. */
async function openData(): Promise<Database> {
  const claim = claimFolder(config.dataDir, { what: `Mendum at http://${config.host}:${config.port}` });
  if (process.argv.includes('--fresh')) {
    const yes = process.argv.includes('--yes');
    const aside = await beginAnew(claim, (question) => agreeing(question, yes), new Date());
    if (aside !== undefined) console.log(`What there was lies in ${aside}.`);
  }
  const db = await openDatabase(claim);
  await mustHaveAdmin(db, config).catch(async (error: unknown) => {
    await db.close();
    throw error;
  });
  if (config.signingKey !== undefined) signRows(db.source, privateKeyFrom(config.signingKey));
  return db;
}
const db = await openData().catch((error: unknown) => {
  if (!(error instanceof DataFault)) throw error;
  console.error(error.message);
  process.exit(1);
});
if (process.argv.includes('--demo') && (await seedDemo(db, new Date(), process.argv.includes('--history'))))
  console.log('The database is new: demo machines, jobs and records were put in.');

const planner = plannerPool(config.dataDir, config.planSeconds, sizeOf(db.read));
const webDir = join(root, 'web/dist');
const draws = await drawsOf(import.meta.dirname, log);
/** Run from its source under tsx, else bundled beside this file. */
const backupScript = import.meta.url.endsWith('.ts')
  ? ['--import', 'tsx', join(import.meta.dirname, 'cli/backup.ts')]
  : [join(import.meta.dirname, 'backup.js')];
const daily = dailyBackups({
  folder: config.backupsDir,
  since: markedAt(config.dataDir) ?? new Date(),
  make: makeBeside(backupScript, config.dataDir),
});
daily.begin();
const backups = () => daily.state(new Date());
const app = createApp({
  db,
  log,
  planner,
  photosDir,
  version,
  webDir,
  draws,
  backups,
  hosts: [config.host, ...config.hosts],
  secure: config.tls !== undefined || config.proxies > 0,
  proxies: config.proxies,
  labelPrinter: config.labelPrinter,
});
const server = tls ? createTlsServer(tls, app) : createServer(app);
server.once('error', (error) => {
  console.error(portWords(config.host, config.port, error));
  void leave(1);
});
server.listen(config.port, config.host, () => {
  console.log(`Mendum is at ${tls ? 'https' : 'http'}://${config.host}:${config.port}`);
});

answerBadRequests(server);
// Before the first connection: it ends those that are only kept open.
const terminator = createHttpTerminator({ server, gracefulTerminationTimeout: STOP_MOST_MS });

// Circuits are made ready to be found, so that nobody waits for it later.
planner.ask('find', { words: '' }).catch((error: unknown) => log.error({ err: error }, 'nothing can be found yet'));

/** Answers to writes are kept for a while, not for ever. */
const forget = (): void => {
  forgetReceipts(db, new Date()).catch((error: unknown) =>
    log.error({ err: error }, 'old receipts were not forgotten'),
  );
};
forget();
setInterval(forget, 86_400_000).unref();

/** A folder that is copied by hand has nearly everything in the database's own file. */
setInterval(() => {
  db.foldIn().catch((error: unknown) => log.error({ err: error }, 'the log of the database was not folded in'));
}, FOLD_MS).unref();

/** Ends the threads that plan and draw, closes the database, and goes. */
async function leave(code: number): Promise<void> {
  // Threads that read would keep the log of the database from being folded in.
  await Promise.allSettled([planner.close(), draws?.close()]);
  await db.close().catch((error: unknown) => log.error({ err: error }, 'the database was not closed'));
  process.exit(code);
}

/** Answers what is under way, closes the database, and goes. */
async function stop(): Promise<void> {
  await terminator.terminate();
  await leave(0);
}
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
