import type { Response, Router } from 'express';
import { file } from '../http/serve.ts';
import type { Planner } from '../planning/planner.ts';
import type { FileMade } from '../planning/fileMade.ts';

/** Templates of a run at true size: sheets to print and lay under the harness, and the whole as one drawing. */
export function templateRoutes(router: Router, planner: Planner): void {
  const send = (res: Response, type: string, { content }: FileMade): void => {
    res.type(type).send(typeof content === 'string' ? content : Buffer.from(content));
  };
  file(router, 'templateSheets', async ({ args, res }) => {
    const made = await planner.ask('template', { ...args, as: 'pdf' });
    // Named as an attachment is, in whatever script its number is written; and shown.
    res.attachment(made.name);
    res.set('Content-Disposition', res.get('Content-Disposition')?.replace(/^attachment/, 'inline'));
    send(res, 'application/pdf', made);
  });
  file(router, 'templateDrawing', async ({ args, res }) => {
    const made = await planner.ask('template', { ...args, as: 'svg' });
    res.attachment(made.name);
    send(res, 'image/svg+xml', made);
  });
}
