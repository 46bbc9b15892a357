import type { RequestHandler } from 'express';
import { ANSWERS, errorSchema } from '@mendum/core/interchange';
import { OPERATIONS, type AnsweringName, type Operation } from '@mendum/core/operations';

const BY_ROUTE = new Map(
  Object.entries<Operation>(OPERATIONS).map(([name, { method, path }]) => [`${method} ${path}`, name]),
);

/**
 * Holds every answer that a test gets to its description: its shape, its status, and that its route is described at
 * all. What is not as described breaks the answer, and the test with it.
 */
export const answersAsDescribed: RequestHandler = (req, res, next) => {
  const send = res.json.bind(res);
  res.json = (body: unknown) => {
    const path = (req.route as { path?: string } | undefined)?.path;
    const name = path === undefined ? undefined : BY_ROUTE.get(`${req.method} ${path}`);
    if (path !== undefined && name === undefined) throw new Error(`${req.method} ${path} is described nowhere.`);
    const isError = res.statusCode >= 400;
    if (!isError && name !== undefined && OPERATIONS[name as AnsweringName].status !== res.statusCode)
      throw new Error(`${name} answers ${res.statusCode}, and another status is described.`);
    const schema = isError ? errorSchema : ANSWERS[name as AnsweringName];
    const sent: unknown = JSON.parse(JSON.stringify(body));
    const { error } = schema.validate(sent, { convert: false });
    if (error) throw new Error(`${name ?? req.path} answers otherwise than described: ${error.message}`);
    return send(body);
  };
  next();
};
