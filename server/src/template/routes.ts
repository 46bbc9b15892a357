import type { Router } from 'express';
import { asLaid } from '@mendum/core';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { param } from '../http/handle.ts';
import { loadJob, planOf } from '../jobs/store.ts';
import { templateSvg, touchedCircuits, type TemplateOf } from './drawing.ts';
import { templatePdf } from './pdf.ts';

/** Templates of a run at true size: sheets to print and lay under the harness, and the whole as one drawing. */
export function templateRoutes(router: Router, db: Database): void {
  const load = async (jobId: string, runId: string): Promise<TemplateOf> => {
    const stored = await db.read((manager) => loadJob(manager, jobId));
    const plan = planOf(stored);
    const job = asLaid(stored.job, plan.runs);
    const run = job.harness.runs.find((one) => one.id === runId);
    const runPlan = plan.runs.find((one) => one.runId === runId);
    if (!run || !runPlan)
      throw new AppError('NOT_FOUND', `Job ${stored.row.number} has no run "${runId}".`, {
        hint: `Its runs are ${stored.job.harness.runs.map((one) => one.id).join(', ')}.`,
      });
    if (touchedCircuits({ job, plan, run }).length === 0)
      throw new AppError(
        'NOT_FOUND',
        `Nothing is spliced or covered on ${run.name}: there is nothing to lay under it.`,
        { hint: 'Mark what was found first, or open the gate.' },
      );
    return { job, plan, run, runPlan };
  };
  router.get('/jobs/:jobId/template/:runId.pdf', async (req, res) => {
    const of = await load(param(req, 'jobId'), param(req, 'runId'));
    res.setHeader(
      'Content-Disposition',
      `inline; filename="template-${of.job.number}-${of.run.id.replace(/[^\w.-]/g, '_')}.pdf"`,
    );
    res.type('application/pdf').send(await templatePdf(of));
  });
  router.get('/jobs/:jobId/template/:runId.svg', async (req, res) => {
    const of = await load(param(req, 'jobId'), param(req, 'runId'));
    res
      .attachment(`layout-${of.job.number}-${of.run.id.replace(/[^\w.-]/g, '_')}.svg`)
      .type('image/svg+xml')
      .send(templateSvg(of, { fromMm: 0, toMm: of.run.lengthMm, circuits: touchedCircuits(of) }));
  });
}
