import type { Stretch } from '@mendum/core/damage';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { setUpPdf } from '../pdf/fonts.ts';
import {
  partHeightMm,
  rowsThatFit,
  templateSvg,
  touchedCircuits,
  type TemplateOf,
  type TemplatePart,
} from './drawing.ts';

/** Points of a PDF in a millimetre. */
const PT_PER_MM = 72 / 25.4;
/** A sheet of A4 on its side, mm. */
const SHEET = { wide: 297, high: 210, margin: 14, head: 16 };
/** What neighbouring sheets have in common, to lay them on each other by, mm. */
const OVERLAP_MM = 10;

const pt = (mm: number): number => mm * PT_PER_MM;

/**
 * The sheets that stretches of a run take: parts that overlap, and more of them when the circuits do not fit under one
 * ruler.
 */
export function sheetsOf(of: TemplateOf, stretches: readonly Stretch[]): TemplatePart[] {
  // Whole centimetres, so that every sheet begins with a figure on its ruler.
  const usable = Math.floor((SHEET.wide - 2 * SHEET.margin) / 10) * 10;
  const step = usable - OVERLAP_MM;
  const circuits = touchedCircuits(of);
  const rows = rowsThatFit(SHEET.high - 2 * SHEET.margin - SHEET.head);
  const groups = Array.from({ length: Math.max(1, Math.ceil(circuits.length / rows)) }, (_, index) =>
    circuits.slice(index * rows, (index + 1) * rows),
  );
  const parts = stretches.flatMap(({ fromMm, toMm }) =>
    Array.from({ length: Math.max(1, Math.ceil((toMm - fromMm - OVERLAP_MM) / step)) }, (_, index) => ({
      fromMm: fromMm + index * step,
      toMm: Math.min(toMm, fromMm + index * step + usable),
    })),
  );
  return parts.flatMap((part) => groups.map((group) => ({ ...part, circuits: group })));
}

/** Whether a sheet is laid over the end of the one before. */
const goesOn = (before: TemplatePart | undefined, { fromMm }: TemplatePart): boolean =>
  before !== undefined && before.toMm - OVERLAP_MM === fromMm;

function definition(of: TemplateOf, stretches: readonly Stretch[]): TDocumentDefinitions {
  const sheets = sheetsOf(of, stretches);
  const from = of.job.harness.nodes.find((node) => node.id === of.run.fromNodeId)?.name ?? of.run.fromNodeId;
  const content = sheets.flatMap((part, index): Content[] => [
    {
      columns: [
        {
          text: `${of.run.name}: ${Math.round(part.fromMm)}–${Math.round(part.toMm)} mm from ${from}`,
          bold: true,
          fontSize: 12,
        },
        {
          text: `Sheet ${index + 1} of ${sheets.length}. Print at 100 %, not fitted to the page.${goesOn(sheets[index - 1], part) ? ` Lay it over the last ${OVERLAP_MM} mm of the sheet before.` : ''}`,
          alignment: 'right',
          fontSize: 9,
          color: '#5E5A52',
        },
      ],
      ...(index > 0 ? { pageBreak: 'before' as const } : {}),
      margin: [0, 0, 0, 6],
    },
    { svg: templateSvg(of, part), width: pt(part.toMm - part.fromMm), height: pt(partHeightMm(part.circuits.length)) },
  ]);
  return {
    info: { title: `Template, job ${of.job.number}, ${of.run.name}`, creator: 'Mendum' },
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: [pt(SHEET.margin), pt(SHEET.margin), pt(SHEET.margin), pt(SHEET.margin)],
    defaultStyle: { font: 'Sheet', fontSize: 9, color: '#1D2021' },
    footer: () => ({
      margin: [pt(SHEET.margin), 0, pt(SHEET.margin), 0],
      fontSize: 7.5,
      color: '#5E5A52',
      text: `Job ${of.job.number}. The maker's service manual and local codes come first.`,
    }),
    content,
  };
}

/**
 * Stretches of a run at true size, over as many sheets of A4 as it takes. `compress` off leaves the drawing readable for
 * a test.
 */
export const templatePdf = (of: TemplateOf, stretches: readonly Stretch[], compress = true): Promise<Buffer> =>
  setUpPdf()
    .createPdf({ ...definition(of, stretches), compress })
    .getBuffer();
