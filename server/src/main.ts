import { rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createApp } from './app.ts';
import { readConfig, type Config } from './config.ts';
import { openDatabase } from './db/open.ts';
import { forgetReceipts } from './http/receipts.ts';
import { answerBadRequests } from './http/badRequest.ts';
import { makeLog } from './log.ts';
import { seedDemo } from './demo/seed.ts';
import { plannerPool } from './planning/pool.ts';
import { portWords, whyNoPort } from './port.ts';

const root = resolve(import.meta.dirname, '../..');

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

const planner = plannerPool(config.dataDir, config.planSeconds);
const server = createApp({ db, log, planner, photosDir, webDir: join(root, 'web/dist') }).listen(
  config.port,
  config.host,
  (error?: Error) => {
    if (error) {
      console.error(portWords(config.host, config.port, error));
      void leave(1);
      return;
    }
    console.log(`Mendum is at http://${config.host}:${config.port}`);
  },
);

answerBadRequests(server);

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
function stop(): void {
  server.close(() => {
    void leave(0);
  });
  server.closeIdleConnections();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
