import { randomUUID } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import type { Logger } from 'pino';

/** What a request is known by in the log. */
interface Known {
  readonly id: string;
  readonly logger: Logger;
}
const KNOWN = new WeakMap<Request, Known>();

/**
 * The route that answered, as it is registered: no names and ids of a shop in the log; what no route answered is told
 * by its path.
 */
const routeOf = (req: Request): string => {
  const route: unknown = req.route;
  const path = typeof route === 'object' && route !== null && 'path' in route ? String(route.path) : undefined;
  const [url = ''] = req.originalUrl.split('?');
  return path === undefined ? url : `${url.startsWith('/api/') ? '/api' : ''}${path}`;
};

/** Writes lines that belong to a request, with its id. @param req one that the log of requests has seen */
export function logOf(req: Request): Pick<Logger, 'info' | 'warn' | 'error'> {
  const known = KNOWN.get(req);
  if (!known) throw new Error('This request was not seen by the log.');
  return known.logger.child({ id: known.id });
}

/**
 * One line a request, once it is over: its id, method and route, status, milliseconds. The id goes out as well, so that
 * a report can name it.
 */
export const requestLog =
  (logger: Logger): RequestHandler =>
  (req, res, next) => {
    const [id, begun] = [randomUUID(), performance.now()];
    KNOWN.set(req, { id, logger });
    res.setHeader('X-Request-Id', id);
    res.once('close', () => {
      const { method } = req;
      const { statusCode: status, writableFinished } = res;
      const line = { id, method, route: routeOf(req), status, ms: Math.round(performance.now() - begun) };
      if (status >= 500) logger.error(line, 'request failed');
      else logger.info(writableFinished ? line : { ...line, aborted: true }, 'request');
    });
    next();
  };
