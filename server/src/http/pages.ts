import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseCookie } from 'cookie';
import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import packedStatic, { type ExpressStaticGzipOptions } from 'express-static-gzip';
import type { Logger } from 'pino';
import { requestOf } from '@mendum/core/operations';
import { AppError } from '../errors.ts';
import { mayRead } from '../people/asking.ts';
import { readableAddress } from './handle.ts';
import { jobScripts, manifestOf } from './scripts.ts';

/** Answers of the server, by the address that they are the answer to. */
export type Given = Readonly<Record<string, unknown>>;

/** What draws pages, made with the interface: what stands in the root of each. */
export interface Draws {
  /** The list of jobs, from the answers that it would ask for. */
  readonly drawFirstPage: (given: Given) => Promise<string>;
  /** The page of a job before its scripts are there: the rail, and that it is being opened. */
  readonly drawOpening: () => Promise<string>;
  /** A stage of a job, if that is drawn in time. */
  readonly drawJob: (page: JobDrawn) => Promise<string | undefined>;
}

/** What a page of a job is drawn from. */
export interface JobDrawn {
  readonly given: Given;
  readonly jobId: string;
  /** Its own address, with what is picked on it. */
  readonly address: string;
  /** The units that the device shows lengths in. */
  readonly units: 'mm' | 'inch';
}

/** What the list of jobs, and the page of a job, would ask for. */
export interface Answers {
  readonly jobs: (req: Request) => Promise<Given>;
  readonly job: (req: Request, jobId: string) => Promise<Given>;
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

/** What is the same for everybody is drawn once. */
function once(draw: () => Promise<string>): () => Promise<string> {
  let drawn: Promise<string> | undefined;
  return () => (drawn ??= draw());
}

/** A page whose head is sent before its root is known: what the head asks for comes meanwhile. */
function sent(res: Response, head: string, foot: string, root: Promise<string>, log: Logger): Promise<unknown> {
  res.set('cache-control', 'no-store').type('html').write(head);
  res.flush();
  return root
    .catch((error: unknown) => {
      // What is not there is said by the application, which asks for it.
      if (!(error instanceof AppError)) log.error({ err: error }, 'a page came without what it would ask for');
      return ROOT;
    })
    .then((filled) => res.end(filled + foot));
}
const rootOf = (drawn: string): string => `<div id="root">${drawn}</div>`;
const givenIn = (given: Given): string => `<script type="application/json" id="given">${dataOf(given)}</script>`;

/** Sends the list of jobs drawn, with the answers that it was drawn from. Where that fails, the application draws it. */
function firstPage(page: string, read: Answers['jobs'], draw: Draws['drawFirstPage'], log: Logger): RequestHandler {
  const [head = '', foot = ''] = page.split(ROOT);
  const drawn = async (req: Request): Promise<string> => {
    const given = await read(req);
    return `${rootOf(await draw(given))}${givenIn(given)}`;
  };
  return (req, res, next) => (mayRead(req) ? sent(res, head, foot, drawn(req), log) : next());
}

const unitsOf = ({ headers }: Request): JobDrawn['units'] =>
  parseCookie(headers.cookie ?? '').units === 'inch' ? 'inch' : 'mm';

/**
 * Sends the page of a job with its scripts named, its stage drawn and its answers in it; the rail alone where its plan
 * did not come in time. What cannot be read is asked for again by the application.
 */
function jobPage(page: string, webDir: string, read: Answers['job'], draws: Draws, log: Logger) {
  const manifest = manifestOf(webDir);
  const [head = '', foot = ''] = page.split(ROOT);
  const opening = once(draws.drawOpening);
  const handler: RequestHandler<{ jobId: string; stage?: string }> = (req, res, next) => {
    // Somebody who is not signed in gets the page alone: it has them sign in.
    if (!mayRead(req)) return next();
    const { jobId, stage } = req.params;
    const ahead = head.replace('</head>', `${jobScripts(manifest, stage)}</head>`);
    const drawn = async (): Promise<string> => {
      const given = await read(req, jobId);
      const whole = requestOf('plan', { jobId }).url in given && stage !== undefined;
      const stageDrawn = whole
        ? await draws.drawJob({ given, jobId, address: req.originalUrl, units: unitsOf(req) })
        : undefined;
      return `${rootOf(stageDrawn ?? (await opening()))}${givenIn(given)}`;
    };
    return sent(res, ahead, foot, drawn(), log);
  };
  return handler;
}

/** The built interface: its files, and its page at every address that is not one of them. */
export function servePages(
  app: Express,
  webDir: string,
  answers: Answers,
  draws: Draws | undefined,
  log: Logger,
): void {
  if (!existsSync(webDir)) return;
  const made = { immutable: true, maxAge: '1y', fallthrough: true } as const;
  app.use('/assets', readableAddress, packedStatic(join(webDir, 'assets'), { ...PACKED, serveStatic: made }));
  app.use(express.static(webDir, { index: false }));
  const index = join(webDir, 'index.html');
  if (draws && existsSync(index)) {
    const page = paintedFirst(readFileSync(index, 'utf8'));
    app.get(['/', '/jobs'], firstPage(page, answers.jobs, draws.drawFirstPage, log));
    app.get('/jobs/:jobId{/:stage}', jobPage(page, webDir, answers.job, draws, log));
  }
  app.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/assets/')) next();
    else res.sendFile('index.html', { root: webDir });
  });
}
