import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import packedStatic, { type ExpressStaticGzipOptions } from 'express-static-gzip';
import type { Logger } from 'pino';
import { readableAddress } from './handle.ts';

/** Answers of the server, by the address that they are the answer to. */
export type Given = Readonly<Record<string, unknown>>;

/** The first page: what it is drawn from, and what draws it. */
export interface FirstPage {
  readonly read: () => Promise<Given>;
  /** Made with the interface. @returns what stands in the root of the page */
  readonly draw: (given: Given) => Promise<string>;
}

/** Files of the interface lie there compressed as well. */
const PACKED: ExpressStaticGzipOptions = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false };
/** A script of a built page. */
const MODULE = /<script type="module" crossorigin src="([^"]+)"><\/script>/g;
const ROOT = '<div id="root"></div>';

/** As data within a page: nothing in it can end the element that it stands in. */
const dataOf = (given: Given): string => JSON.stringify(given).replaceAll('<', '\\u003c');

/**
 * The scripts of a built page come while what is drawn on it is painted, and run after that.
 * @param page with its scripts of one kind; one that has none stays as it is
 */
export function paintedFirst(page: string): string {
  const app = [...page.matchAll(MODULE)].at(-1)?.[1];
  if (app === undefined) return page;
  return page
    .replaceAll(MODULE, '<link rel="modulepreload" crossorigin href="$1">')
    .replace('</body>', `<script src="/start.js" data-app="${app}"></script></body>`);
}

/**
 * Sends the list of jobs drawn, with the answers that it was drawn from. What the page's head asks for comes meanwhile.
 * Where that fails, the application draws it.
 */
function firstPage(webDir: string, { read, draw }: FirstPage, log: Logger): RequestHandler {
  const [head = '', foot = ''] = paintedFirst(readFileSync(join(webDir, 'index.html'), 'utf8')).split(ROOT);
  const drawn = async (): Promise<string> => {
    const given = await read();
    const root = await draw(given);
    return `<div id="root">${root}</div><script type="application/json" id="given">${dataOf(given)}</script>`;
  };
  return async (_req, res) => {
    res.set('cache-control', 'no-store').type('html').write(head);
    res.flush();
    const root = await drawn().catch((error: unknown) => {
      log.error({ err: error }, 'the first page was not drawn');
      return ROOT;
    });
    res.end(root + foot);
  };
}

/** The built interface: its files, and its page at every address that is not one of them. */
export function servePages(app: Express, webDir: string, first: FirstPage | undefined, log: Logger): void {
  if (!existsSync(webDir)) return;
  const made = { immutable: true, maxAge: '1y', fallthrough: true } as const;
  app.use('/assets', readableAddress, packedStatic(join(webDir, 'assets'), { ...PACKED, serveStatic: made }));
  app.use(express.static(webDir, { index: false }));
  if (first) app.get(['/', '/jobs'], firstPage(webDir, first, log));
  app.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/assets/')) next();
    else res.sendFile('index.html', { root: webDir });
  });
}
