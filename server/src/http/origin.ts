import { isIP } from 'node:net';
import { hostname } from 'node:os';
import type { RequestHandler } from 'express';
import { AppError } from '../errors.ts';

/** The name in a Host header, without its port and in small letters; nothing where it cannot be one. */
function nameOf(host: string | undefined): string | undefined {
  const [, name] = /^(\[[0-9a-f:.]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.exec(host ?? '') ?? [];
  return name?.replace(/^\[|\]$/g, '').toLowerCase();
}

/** Names under which a server is asked for by those who may: what it calls itself, and what it was told. */
function ownNames(told: readonly string[]): ReadonlySet<string> {
  const own = hostname().toLowerCase();
  return new Set(['localhost', own, `${own}.local`, ...told.map((name) => name.toLowerCase())]);
}

/**
 * Refuses requests that were made for another name than one of the server's own. A page of a stranger's can have its own
 * name lead here (DNS rebinding), and would be read as if it were ours; an address in figures cannot be borrowed so.
 * @param told names beside the machine's own
 */
export function ownName(told: readonly string[]): RequestHandler {
  const names = ownNames(told);
  return (req, _res, next) => {
    const name = nameOf(req.headers.host);
    if (name !== undefined && (names.has(name) || isIP(name) > 0)) {
      next();
      return;
    }
    throw new AppError('HOST_REFUSED', `This server does not go by the name "${req.headers.host ?? ''}".`);
  };
}

/** What only reads. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Whether a browser says that a request comes from a page of this server; a program that is none says nothing. */
function isOwnPage(host: string | undefined, origin: string | undefined, site: string | undefined): boolean {
  if (origin !== undefined) {
    try {
      // A proxy that speaks TLS for the server changes the scheme, and nothing else.
      return new URL(origin).host === host?.toLowerCase();
    } catch {
      return false;
    }
  }
  return site === undefined || site === 'same-origin' || site === 'none';
}

/** Refuses writes that a page of another site sends with the reader's browser. */
export const ownPages: RequestHandler = (req, _res, next) => {
  const { host, origin } = req.headers;
  const site = req.get('sec-fetch-site');
  if (READS.has(req.method) || isOwnPage(host, origin, site)) {
    next();
    return;
  }
  throw new AppError(
    'ORIGIN_REFUSED',
    `A page of ${origin === undefined || origin === 'null' ? 'another site' : origin} may not change anything here.`,
  );
};

/** Answers are for whoever asked, at the moment: nobody on the way keeps them, nor the browser. */
export const notKept: RequestHandler = (_req, res, next) => {
  res.set('Cache-Control', 'no-store');
  next();
};
