import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as passed } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import { Piscina } from 'piscina';
import type { Logger } from 'pino';
import type { Draws, JobDrawn } from './http/pages.ts';

/** So long a page waits for its stage to be drawn, ms: then it comes without. */
const DRAWN_MOST_MS = 600;
/** Pages that wait to be drawn; one more comes without its stage. */
const WAITING_MOST = 4;

type Built = Pick<Draws, 'drawFirstPage' | 'drawOpening'>;

/** What draws pages, and how it is ended. */
export interface Drawing extends Draws {
  readonly close: () => Promise<void>;
}

/**
 * What draws pages, where it was built beside the server; not while both reload as files are saved. Jobs are drawn in
 * a thread of their own: a large one would hold up everybody's answers.
 */
export async function drawsOf(builtDir: string, log: Logger): Promise<Drawing | undefined> {
  const file = join(builtDir, 'firstPage.js');
  if (!existsSync(file)) return undefined;
  const filename = pathToFileURL(file).href;
  const { drawFirstPage, drawOpening } = (await import(filename)) as Built;
  const pool = new Piscina<JobDrawn | undefined, string | undefined>({
    filename,
    minThreads: 1,
    maxThreads: 1,
    maxQueue: WAITING_MOST,
  });
  // The first page that it draws is to wait for nothing that is loaded.
  pool
    .run(undefined, { name: 'drawOpening' })
    .catch((error: unknown) => log.error({ err: error }, 'stages cannot be drawn'));
  const drawJob = (page: JobDrawn): Promise<string | undefined> => {
    const drawn = pool.run(page, { name: 'drawJob' }).catch((error: unknown) => {
      log.warn({ err: error, address: page.address }, 'a stage was not drawn');
      return undefined;
    });
    return Promise.race([drawn, passed(DRAWN_MOST_MS, undefined, { ref: false })]);
  };
  return { drawFirstPage, drawOpening, drawJob, close: () => pool.destroy() };
}
