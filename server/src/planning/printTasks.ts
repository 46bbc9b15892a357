import { asLaid } from '@mendum/core/plan';
import type { TemplateAsked } from '@mendum/core/operations';
import { jobSheet } from '@mendum/core/record';
import { askBy, headOf } from '../chain/stored.ts';
import { AppError } from '../errors.ts';
import { labelledOf, type LabelsAsked } from '../labels/asked.ts';
import { labelSvg } from '../labels/label.ts';
import { labelPdf, labelSheets } from '../labels/pdf.ts';
import { notReplaced } from '../record/notReplaced.ts';
import { exported } from './exported.ts';
import { sheetPdf, signatureOf, type SheetPrint } from '../record/pdf.ts';
import { inLocalTime } from '../record/when.ts';
import { templateDrawing, touchedCircuits, type TemplateOf } from '../template/drawing.ts';
import { templatePdf } from '../template/pdf.ts';
import { stretchesOf } from '../template/stretches.ts';
import type { Desk, Planned } from './desk.ts';
import type { FileMade } from './fileMade.ts';

/** A run as it is drawn on its template. @throws AppError NOT_FOUND where there is nothing to draw */
function templateOf({ stored, plan }: Planned, runId: string): TemplateOf {
  const job = asLaid(stored.job, plan.runs);
  const run = job.harness.runs.find((one) => one.id === runId);
  const runPlan = plan.runs.find((one) => one.runId === runId);
  if (!run || !runPlan)
    throw new AppError('NOT_FOUND', `Job ${stored.row.number} has no run "${runId}".`, {
      hint: `Its runs are ${stored.job.harness.runs.map((one) => one.id).join(', ')}.`,
    });
  if (touchedCircuits({ job, plan, run }).length === 0)
    throw new AppError('NOT_FOUND', `Nothing is spliced or covered on ${run.name}: there is nothing to lay under it.`, {
      hint: 'Mark what was found first, or open the gate.',
    });
  return { job, plan, run, runPlan };
}

const inName = (text: string): string => text.replace(/[^\w.-]/g, '_');

/** What is asked for to be printed: the sheet, the template and the labels of a job. */
export const PRINT_TASKS = {
  /** Records as a table or as JSON. @throws AppError NOT_FOUND, RECORD_REFUSED */
  exported,

  /** The sheet of a job, on which paper and with which photos. */
  sheet: async (
    desk: Desk,
    { jobId, ...printed }: { readonly jobId: string } & Omit<SheetPrint, 'head'>,
  ): Promise<FileMade> => {
    const { stored, plan } = await desk.planned(jobId);
    const records = notReplaced(stored.records).map(({ body }) => body);
    const head = await desk.read((manager) => headOf(askBy(manager)));
    const sheet = jobSheet(stored.job, plan, stored.readings, records, inLocalTime, stored.row.functions);
    return {
      name: `job-${stored.row.number}.pdf`,
      content: await sheetPdf(sheet, signatureOf(stored.records), { ...printed, head }),
    };
  },

  /** What is opened of a run, or a part of it, at true size: sheets to print, or one drawing. @throws AppError NOT_FOUND, BAD_INPUT */
  template: async (
    desk: Desk,
    {
      jobId,
      runId,
      as,
      ...asked
    }: { readonly jobId: string } & TemplateAsked & { readonly runId: string; readonly as: 'pdf' | 'svg' },
  ): Promise<FileMade> => {
    const of = templateOf(await desk.planned(jobId), runId);
    const stretches = stretchesOf(of, asked);
    return as === 'pdf'
      ? { name: `template-${of.job.number}-${inName(of.run.id)}.pdf`, content: await templatePdf(of, stretches) }
      : {
          name: `layout-${of.job.number}-${inName(of.run.id)}.svg`,
          content: templateDrawing(of, stretches),
        };
  },

  /** Labels of repairs. @throws AppError NOT_FOUND, RECORD_REFUSED */
  labels: async (desk: Desk, { size, origin, ...asked }: LabelsAsked): Promise<FileMade> => {
    const { number, all } = await desk.read((manager) => labelledOf(manager, asked));
    const [first] = all;
    const name = `labels-${number}.${asked.as === 'svg' ? 'svg' : 'pdf'}`;
    if (!first) throw new AppError('RECORD_REFUSED', `Job ${number} is not signed yet: its repairs have no labels.`);
    if (asked.as === 'svg') return { name, content: labelSvg(first, size, origin) };
    const content = await (asked.as === 'page' ? labelPdf(first, size, origin) : labelSheets(all, size, origin));
    return { name, content };
  },
};
