import express, { type Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { AppError } from '../errors.ts';
import { answerError, noSuchAddress } from './handle.ts';
import { logOf, requestLog } from './requestLog.ts';

/** An application that logs, and the lines that it has logged. */
function logged(): { readonly app: Express; readonly lines: () => readonly Record<string, unknown>[] } {
  const text: string[] = [];
  const app = express();
  app.use(requestLog(pino({ level: 'info' }, { write: (line: string) => void text.push(line) })));
  const api = express.Router();
  api.get('/jobs/:jobId', (_req, res) => void res.json({}));
  api.get('/refused', () => {
    throw new AppError('NOT_FOUND', 'There is none.');
  });
  api.get('/broken', () => {
    throw new Error('a secret of the machine');
  });
  api.get('/told', (req, res) => {
    logOf(req).warn({ event: 'seen' }, 'seen');
    res.json({});
  });
  app.use('/api', api);
  app.use(noSuchAddress);
  app.use(answerError);
  return { app, lines: () => text.map((line) => JSON.parse(line) as Record<string, unknown>) };
}

describe('a request leaves one line in the log', () => {
  it.each([
    ['/api/jobs/0146-of-a-customer?search=lamp', 200, '/api/jobs/:jobId'],
    ['/api/refused', 404, '/api/refused'],
    ['/nowhere?name=Ines', 404, '/nowhere'],
  ])('%s: status %i, and the route without names and ids', async (path, status, route) => {
    const { app, lines } = logged();
    const answer = await request(app).get(path).expect(status);
    expect(lines()).toMatchObject([{ level: 30, method: 'GET', route, status, id: answer.headers['x-request-id'] }]);
    expect(JSON.stringify(lines())).not.toMatch(/customer|lamp|Ines/);
    expect(lines()[0]?.ms).toEqual(expect.any(Number));
  });
  it('one that broke is an error, with what broke in the log alone, under the id that went out', async () => {
    const { app, lines } = logged();
    const answer = await request(app).get('/api/broken').expect(500);
    const id = answer.headers['x-request-id'];
    expect(lines()).toMatchObject([
      { level: 50, id, err: { message: 'a secret of the machine' } },
      { level: 50, id, status: 500, route: '/api/broken' },
    ]);
    expect(JSON.stringify(answer.body)).not.toContain('secret');
  });
  it('what is said of it besides has its id too; every request has its own', async () => {
    const { app, lines } = logged();
    const [one, other] = [await request(app).get('/api/told'), await request(app).get('/api/told')];
    const ids = [one, other].map(({ headers }) => headers['x-request-id'] as string);
    expect(lines().map(({ id, msg }) => [id, msg])).toEqual([
      [ids[0], 'seen'],
      [ids[0], 'request'],
      [ids[1], 'seen'],
      [ids[1], 'request'],
    ]);
    expect(ids[0]).not.toBe(ids[1]);
  });
});
