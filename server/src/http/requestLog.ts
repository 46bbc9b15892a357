import { randomUUID } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

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

/**
 * One line a request: its id, method and route, status, milliseconds. The id goes out as well, so that a report can
 * name it.
 */
export const requestLog = (logger: Logger): RequestHandler =>
  pinoHttp<Request>({
    logger,
    quietReqLogger: true,
    genReqId: (_req, res) => {
      const id = randomUUID();
      res.setHeader('X-Request-Id', id);
      return id;
    },
    customLogLevel: (_req, res, error) => (error !== undefined || res.statusCode >= 500 ? 'error' : 'info'),
    customSuccessMessage: () => 'request',
    customErrorMessage: () => 'request failed',
    customAttributeKeys: { responseTime: 'ms', reqId: 'id' },
    serializers: { req: () => undefined, res: () => undefined },
    customProps: (req, res) => ({ method: req.method, route: routeOf(req), status: res.statusCode }),
  });
