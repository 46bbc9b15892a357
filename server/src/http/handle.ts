import type { ErrorRequestHandler, Request, RequestHandler } from 'express';
import type Joi from 'joi';
import { andMore, checkedBy, JobFileRefused, problemsOf } from '@mendum/core/interchange';
import { AppError, type ErrorCode } from '../errors.ts';
import { logOf } from './requestLog.ts';

/** The body of a request, checked. @throws AppError BAD_INPUT naming the field, or EMPTY_BODY */
export function checked<T>(schema: Joi.ObjectSchema, req: Request): T {
  const body: unknown = req.body;
  if (body === undefined || body === null || (typeof body === 'object' && Object.keys(body).length === 0)) {
    throw new AppError('EMPTY_BODY', 'The request has no body, or not one of type application/json.');
  }
  const result = checkedBy(schema, body);
  if (result.error) {
    const problems = problemsOf(result.error, schema);
    const [first] = problems;
    throw new AppError('BAD_INPUT', first?.message ?? 'The input is not valid.', {
      field: first?.pointer,
      hint: first?.hint,
      details: problems,
    });
  }
  return result.value as T;
}

/** The query of a request, checked; what is wrong is named by its word. @throws AppError BAD_INPUT */
export function checkedQuery<T>(schema: Joi.ObjectSchema, req: Request): T {
  const result = schema.validate(req.query, { abortEarly: true, errors: { label: 'key' } });
  if (result.error) {
    const [first] = problemsOf(result.error, schema);
    throw new AppError('BAD_INPUT', first?.message ?? 'The address is not valid.', {
      field: first?.pointer,
      hint: first?.hint,
    });
  }
  return result.value as T;
}

/** A path parameter; Express only routes here with one. */
export const param = (req: Request, name: string): string => {
  const value = req.params[name];
  if (typeof value !== 'string') throw new AppError('NOT_FOUND', `There is no ${name} in the address.`);
  return value;
};

/** An address with a percent sign that stands for nothing is refused before a file is looked for by it. */
export const readableAddress: RequestHandler = (req, _res, next) => {
  try {
    decodeURIComponent(req.path);
  } catch {
    throw new AppError('BAD_REQUEST', PLATFORM[400]?.words ?? '');
  }
  next();
};

/** Every address under /api that is not there. */
export const noSuchAddress: RequestHandler = (req) => {
  throw new AppError('NOT_FOUND', `There is nothing at ${req.method} ${req.path}.`);
};

/**
 * What express and its parsers refuse by themselves, by the status they give it; everything of it is the sender's to
 * put right.
 */
const PLATFORM: Readonly<Record<number, { readonly code: ErrorCode; readonly words: string }>> = {
  400: {
    code: 'BAD_REQUEST',
    words: 'The request cannot be read: its address, its length or its compression is not right.',
  },
  404: { code: 'NOT_FOUND', words: 'There is nothing at this address.' },
  412: { code: 'PRECONDITION', words: 'What is there is not what the request expects.' },
  413: { code: 'BODY_TOO_LARGE', words: 'The body is over the limit.' },
  415: { code: 'NOT_UNDERSTOOD', words: 'The body is in a character set or a compression that is not known here.' },
  416: { code: 'RANGE_REFUSED', words: 'The part that was asked for is not there.' },
};

interface ParserError {
  readonly status?: number;
  readonly type?: string;
  readonly limit?: number;
  readonly length?: number;
}

const megabytes = (bytes: number): string => `${Math.round(bytes / 104_857.6) / 10} MB`;

/** Turns whatever was thrown into the one error shape; only our own words go out. */
function asAppError(thrown: unknown): AppError {
  if (thrown instanceof AppError) return thrown;
  if (thrown instanceof JobFileRefused) {
    const [first] = thrown.problems;
    return new AppError('JOB_FILE', `${first?.message ?? 'The file cannot be read.'}${andMore(thrown.count)}`, {
      field: first?.pointer,
      hint: first?.hint,
      details: thrown.problems,
    });
  }
  const { type, limit, length, status } = (typeof thrown === 'object' && thrown !== null ? thrown : {}) as ParserError;
  if (type === 'entity.too.large') {
    return new AppError(
      'BODY_TOO_LARGE',
      `The body of ${length === undefined ? 'this request' : megabytes(length)} is over the limit of ${megabytes(limit ?? 0)}.`,
    );
  }
  if (type === 'entity.parse.failed') return new AppError('NOT_JSON', 'The body is not JSON.');
  const refused = PLATFORM[status ?? 500];
  if (refused) return new AppError(refused.code, refused.words);
  return new AppError('INTERNAL', 'Something went wrong on the server.');
}

/** The last handler of the chain. */
export const answerError: ErrorRequestHandler = (thrown: unknown, req, res, next) => {
  if (res.headersSent) {
    next(thrown);
    return;
  }
  const error = asAppError(thrown);
  if (error.status >= 500) logOf(req).error({ err: thrown }, 'request failed');
  // What was to be sent, a photo or a sheet, is not what is sent.
  res.type('json').status(error.status).json(error.body());
};
