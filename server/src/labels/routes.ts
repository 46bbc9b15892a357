import type { Request, Router } from 'express';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { file, read, writeReady } from '../http/serve.ts';
import type { Planner } from '../planning/planner.ts';
import { recordFound } from './asked.ts';
import { sendToPrinter, type PrinterAddress } from './printer.ts';

/** The server as whoever asks has it: its name was held against its own before. */
const originOf = (req: Request): string => `${req.protocol}://${req.get('host') ?? 'localhost'}`;

/** Labels of repairs, as drawings, pages and sheets, and by the label printer; and the repair that a label leads to. */
export function labelRoutes(router: Router, db: Database, planner: Planner, printer: PrinterAddress | undefined): void {
  read(router, 'record', ({ args: { recordId } }) =>
    db.read((manager) => Promise.resolve(recordFound(manager, recordId))),
  );
  read(router, 'labelPrinter', () => ({ there: printer !== undefined }));
  file(router, 'recordLabel', async ({ args: { recordId, size }, req, res }) => {
    const { content } = await planner.ask('labels', { recordId, size, as: 'svg', origin: originOf(req) });
    res.type('image/svg+xml').send(content);
  });
  file(router, 'recordLabelPage', async ({ args: { recordId, size }, req, res }) => {
    const { name, content } = await planner.ask('labels', { recordId, size, as: 'page', origin: originOf(req) });
    res.attachment(name).type('application/pdf').send(Buffer.from(content));
  });
  file(router, 'jobLabels', async ({ args: { jobId, size }, req, res }) => {
    const { name, content } = await planner.ask('labels', { jobId, size, as: 'sheets', origin: originOf(req) });
    res.attachment(name).type('application/pdf').send(Buffer.from(content));
  });
  writeReady(
    router,
    db,
    'printLabel',
    'label printed',
    async ({ recordId, size }, req) => {
      if (!printer)
        throw new AppError('PRINTER_REFUSED', 'There is no label printer here.', {
          hint: 'Name one in MENDUM_LABEL_PRINTER and start again, or print the PDF.',
        });
      const { content } = await planner.ask('labels', { recordId, size, as: 'page', origin: originOf(req) });
      await sendToPrinter(printer, Buffer.from(content));
      return content.length;
    },
    async ({ args: { recordId, size }, ready: bytes, audit }) => {
      await audit('label printed', null, { recordId, size, bytes });
      return { bytes };
    },
  );
}
