import compression from 'compression';
import express, { Router, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { whyNotPlain } from '@mendum/core/interchange';
import type { Database } from './db/open.ts';
import { AppError } from './errors.ts';
import type { Backups } from '@mendum/core/operations';
import { docsRoutes } from './docs/routes.ts';
import { notKept, ownName, ownPages } from './http/origin.ts';
import { read } from './http/serve.ts';
import { servePages, type Answers, type Draws } from './http/pages.ts';
import { requestLog } from './http/requestLog.ts';
import { answerError, noSuchAddress } from './http/handle.ts';
import { harnessRoutes } from './harnesses/routes.ts';
import { functionRoutes } from './jobs/functions.ts';
import { jobAnswers } from './jobs/page.ts';
import { mappingRoutes } from './jobs/mapping.ts';
import { jobRoutes } from './jobs/routes.ts';
import { surveyRoutes } from './jobs/survey.ts';
import { templateRoutes } from './template/routes.ts';
import { layoutRoutes } from './jobs/layout.ts';
import { workRoutes } from './jobs/work.ts';
import { choiceRoutes } from './jobs/choices.ts';
import { labelRoutes } from './labels/routes.ts';
import type { PrinterAddress } from './labels/printer.ts';
import { facePhotoRoutes } from './photos/faceRoutes.ts';
import { photoRoutes } from './photos/routes.ts';
import { mayRead, sessionGiven, whoAsks } from './people/asking.ts';
import { makeDoor } from './people/door.ts';
import { accountRoutes, signInRoutes } from './people/routes.ts';
import { plannerHere, type Planner } from './planning/planner.ts';
import { placeRoutes } from './places/routes.ts';
import { practiceRoutes } from './practices/routes.ts';
import { firstAnswers } from './places/firstPage.ts';
import { calendarRoutes } from './record/calendar.ts';
import { goodRoutes } from './record/good.ts';
import { recordRoutes } from './record/routes.ts';
import { broughtRoutes } from './parcel/broughtRoutes.ts';
import { exportRoutes } from './parcel/routes.ts';
import { shareRoutes } from './record/shares.ts';
import { searchRoutes } from './record/searches.ts';
import { todoRoutes } from './todo/routes.ts';
import { shopRoutes } from './shop/routes.ts';
import { shelfRoutes } from './shelf/routes.ts';

export interface AppOptions {
  readonly db: Database;
  readonly log: Logger;
  /** Where plans are made; on the same thread unless said otherwise. */
  readonly planner?: Planner | undefined;
  /** Folder in which photos are kept. */
  readonly photosDir: string;
  /** Folder of the built interface; without it only the API is served. */
  readonly webDir?: string | undefined;
  /** Draws pages before they are sent; without it they draw themselves. */
  readonly draws?: Draws | undefined;
  /** Version of the application, as it is described to others. */
  readonly version?: string | undefined;
  /** Sees every request first. */
  readonly before?: RequestHandler | undefined;
  /** Names that the server goes by, beside the machine's own. */
  readonly hosts?: readonly string[] | undefined;
  /** It speaks TLS, or a proxy does for it: browsers are told never to ask otherwise. */
  readonly secure?: boolean | undefined;
  /** How many proxies stand before it, whose word on who asks is taken. */
  readonly proxies?: number | undefined;
  /** What time it is, for what ends by itself; ms. */
  readonly now?: (() => number) | undefined;
  /** Where labels are printed; without it there is no such printer. */
  readonly labelPrinter?: PrinterAddress | undefined;
  /** How the daily backups stand; without it there are none. */
  readonly backups?: (() => Backups) | undefined;
  /** Today as an ISO date. */
  readonly today?: (() => string) | undefined;
}

/** Largest body that is read; a job of 400 circuits is well under 1 MB. */
const BODY_LIMIT = '6mb';
/** Of somebody who has not signed in yet. */
const STRANGER_LIMIT = '16kb';

/** What no thing here could be is refused before anything looks into it. */
const plainBody: RequestHandler = (req, _res, next) => {
  const why = whyNotPlain(req.body);
  if (why !== undefined) throw new AppError('BAD_INPUT', why);
  next();
};

/** What is read is made small on its way; what a write is answered with is small as it is. */
const compress = compression();
const compressed: RequestHandler = (req, res, next) => {
  if (req.method === 'GET') compress(req, res, next);
  else next();
};

/** Reads bodies; of somebody who has not signed in no more than it takes to do so. */
function bodyOf(limit: string, strangerLimit: string): RequestHandler {
  const known: RequestHandler = express.json({ limit });
  const stranger: RequestHandler = express.json({ limit: strangerLimit });
  return (req, res, next) => (mayRead(req) ? known : stranger)(req, res, next);
}

/** The application without a port, so that tests can send requests to it. */
export function createApp({
  db,
  log,
  planner = plannerHere(db.read),
  photosDir,
  labelPrinter,
  webDir,
  draws,
  version = '0',
  before,
  hosts = [],
  secure = false,
  proxies = 0,
  now = Date.now,
  backups = () => ({ folder: '', kept: [], stale: false }),
  today = () => new Date().toISOString().slice(0, 10),
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('env', 'production');
  // Nobody keeps an answer, so nobody asks whether it is still the same.
  app.disable('etag');
  app.set('trust proxy', proxies);
  app.use(requestLog(log));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'worker-src': ["'self'", 'blob:'],
          'font-src': ["'self'", 'data:'],
          'img-src': ["'self'", 'data:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: secure && { maxAge: 31_536_000, includeSubDomains: false },
    }),
  );
  app.use(ownName(hosts));
  app.use(compressed);
  const door = makeDoor(db, now);
  app.use(whoAsks(door));
  if (before) app.use(before);

  const api = Router();
  read(api, 'health', () => ({ ok: true as const }));
  read(api, 'backups', backups);
  docsRoutes(api, version);
  signInRoutes(api, db, door);
  accountRoutes(api, db, door);
  placeRoutes(api, db);
  shelfRoutes(api, db);
  practiceRoutes(api, db, planner);
  harnessRoutes(api, db, planner);
  jobRoutes(api, db, planner);
  surveyRoutes(api, db);
  mappingRoutes(api, db);
  functionRoutes(api, db);
  photoRoutes(api, db, photosDir);
  facePhotoRoutes(api, db, photosDir);
  layoutRoutes(api, db, planner);
  templateRoutes(api, planner);
  choiceRoutes(api, db, planner);
  workRoutes(api, db, planner);
  recordRoutes(api, db, planner, photosDir, today);
  labelRoutes(api, db, planner, labelPrinter);
  goodRoutes(api, db, today);
  shopRoutes(api, db, planner, today);
  shareRoutes(api, db, today);
  broughtRoutes(api, db, planner);
  todoRoutes(api, db);
  searchRoutes(api, db);
  exportRoutes(api, db, planner, photosDir);
  calendarRoutes(api, db, today);
  api.use(noSuchAddress);
  app.use('/api', notKept, ownPages, bodyOf(BODY_LIMIT, STRANGER_LIMIT), plainBody, api);

  if (webDir !== undefined) {
    const answers: Answers = {
      jobs: async (req) => ({ ...sessionGiven(req), ...(await firstAnswers(db, today())) }),
      job: async (req, id) => ({ ...sessionGiven(req), ...(await jobAnswers(db, planner, id)) }),
    };
    servePages(app, webDir, answers, draws, log);
  }
  app.use(noSuchAddress);
  app.use(answerError);
  return app;
}
