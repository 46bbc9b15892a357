import type { Response, Router } from 'express';
import { param } from '../http/handle.ts';
import type { Planner } from '../planning/planner.ts';
import type { FileMade } from '../planning/tasks.ts';

/** Templates of a run at true size: sheets to print and lay under the harness, and the whole as one drawing. */
export function templateRoutes(router: Router, planner: Planner): void {
  const send = (res: Response, type: string, { content }: FileMade): void => {
    res.type(type).send(typeof content === 'string' ? content : Buffer.from(content));
  };
  router.get('/jobs/:jobId/template/:runId.pdf', async (req, res) => {
    const file = await planner.ask('template', { jobId: param(req, 'jobId'), runId: param(req, 'runId'), as: 'pdf' });
    res.setHeader('Content-Disposition', `inline; filename="${file.name}"`);
    send(res, 'application/pdf', file);
  });
  router.get('/jobs/:jobId/template/:runId.svg', async (req, res) => {
    const file = await planner.ask('template', { jobId: param(req, 'jobId'), runId: param(req, 'runId'), as: 'svg' });
    res.attachment(file.name);
    send(res, 'image/svg+xml', file);
  });
}
