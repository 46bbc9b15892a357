import { readFileSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createHttpTerminator } from 'http-terminator';
import { createApp } from './app.ts';
import { readConfig, type Config } from './config.ts';
import { openDatabase } from './db/open.ts';
import { drawsOf } from './draws.ts';
import { forgetReceipts } from './http/receipts.ts';
import { answerBadRequests } from './http/badRequest.ts';
import { makeLog } from './log.ts';
import { seedDemo } from './demo/seed.ts';
import { plannerPool } from './planning/pool.ts';
import { sizeOf } from './planning/size.ts';
import { portWords, whyNoPort } from './port.ts';

const root = resolve(import.meta.dirname, '../..');
/** What is under way when the server stops gets this long: a template of 10 m takes some 5 s. */
const STOP_MOST_MS = 20_000;
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { readonly version: string };

function configOrExit(): Config {
  try {
    return readConfig(process.env, root);
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
}

const config = configOrExit();
const photosDir = join(config.dataDir, 'photos');
const log = makeLog(config.logLevel);

// The port comes first: a second start with --fresh must not take the database from under a server that is running.
const refused = await whyNoPort(config.host, config.port);
if (refused !== undefined) {
  console.error(refused);
  process.exit(1);
}
if (process.argv.includes('--fresh')) {
  for (const ending of ['', '-wal', '-shm']) rmSync(join(config.dataDir, `mendum.sqlite${ending}`), { force: true });
  rmSync(photosDir, { recursive: true, force: true });
}
const db = await openDatabase(config.dataDir);
if (process.argv.includes('--demo') && (await seedDemo(db, new Date())))
  console.log('The database is new: demo machines, jobs and records were put in.');

const planner = plannerPool(config.dataDir, config.planSeconds, sizeOf(db.read));
const webDir = join(root, 'web/dist');
const draws = await drawsOf(import.meta.dirname);
const app = createApp({ db, log, planner, photosDir, version, webDir, draws });
const server = app.listen(config.port, config.host, (error?: Error) => {
  if (error) {
    console.error(portWords(config.host, config.port, error));
    void leave(1);
    return;
  }
  console.log(`Mendum is at http://${config.host}:${config.port}`);
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

/** Ends the threads that plan, closes the database, and goes. */
async function leave(code: number): Promise<void> {
  await Promise.allSettled([planner.close(), db.close()]);
  process.exit(code);
}

/** Answers what is under way, closes the database, and goes. */
async function stop(): Promise<void> {
  await terminator.terminate();
  await leave(0);
}
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
