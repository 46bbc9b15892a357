import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { LABEL_SIZES, type LabelSize } from '@mendum/core/label';
import { setUpPdf } from '../pdf/fonts.ts';
import { FACES, labelInside, type Labelled } from './label.ts';
import { drawing, movedTo } from './svg.ts';

/** Points of a PDF in a millimetre. */
const PT_PER_MM = 72 / 25.4;
/** A sheet of A4 with the rim that no printer reaches, and the room between labels for the knife; mm. */
const SHEET = { wide: 210, high: 297, rim: 10, between: 3 } as const;

/** Where labels of a size lie on a sheet, mm. */
export function placesOn(size: LabelSize): readonly { readonly x: number; readonly y: number }[] {
  const { wideMm, highMm } = LABEL_SIZES[size];
  const across = Math.floor((SHEET.wide - 2 * SHEET.rim + SHEET.between) / (wideMm + SHEET.between));
  const down = Math.floor((SHEET.high - 2 * SHEET.rim + SHEET.between) / (highMm + SHEET.between));
  return Array.from({ length: across * down }, (_one, at) => ({
    x: SHEET.rim + (at % across) * (wideMm + SHEET.between),
    y: SHEET.rim + Math.floor(at / across) * (highMm + SHEET.between),
  }));
}

interface Page {
  readonly wideMm: number;
  readonly highMm: number;
  readonly svg: string;
}

function made(pages: readonly Page[], title: string, compress: boolean): Promise<Buffer> {
  const [{ wideMm, highMm } = { wideMm: 0, highMm: 0 }] = pages;
  const size = { width: wideMm * PT_PER_MM, height: highMm * PT_PER_MM };
  const definition: TDocumentDefinitions = {
    info: { title, creator: 'Mendum' },
    pageSize: size,
    pageMargins: 0,
    defaultStyle: { font: 'Sheet' },
    // In place of content that flows: a page is one drawing, to the last millimetre.
    background: (page) => ({ svg: pages[page - 1]?.svg ?? '', ...size }),
    content: pages.map((_page, at) => ({ text: ' ', fontSize: 1, ...(at > 0 ? { pageBreak: 'before' } : {}) })),
  };
  return setUpPdf()
    .createPdf({ ...definition, compress })
    .getBuffer();
}

/** One label on a page of its own size, for a label printer. `compress` off leaves it readable for a test. */
export function labelPdf(of: Labelled, size: LabelSize, origin: string, compress = true): Promise<Buffer> {
  const { wideMm, highMm } = LABEL_SIZES[size];
  const svg = drawing(wideMm, highMm, labelInside(of, size, origin, FACES.pdf));
  return made([{ wideMm, highMm, svg }], `Label, job ${of.record.jobNumber}`, compress);
}

/** Labels side by side on sheets of A4, to print at 100 % and cut. */
export function labelSheets(
  all: readonly Labelled[],
  size: LabelSize,
  origin: string,
  compress = true,
): Promise<Buffer> {
  const places = placesOn(size);
  const pages = Array.from({ length: Math.ceil(all.length / places.length) }, (_one, page): Page => {
    const inside = places.flatMap(({ x, y }, at) => {
      const of = all[page * places.length + at];
      return of ? [movedTo(x, y, labelInside(of, size, origin, FACES.pdf))] : [];
    });
    return { wideMm: SHEET.wide, highMm: SHEET.high, svg: drawing(SHEET.wide, SHEET.high, inside.join('')) };
  });
  return made(pages, `Labels, job ${all[0]?.record.jobNumber ?? ''}`, compress);
}
