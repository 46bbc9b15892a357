import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';

/** The sheet's face ships with the PDF package: it has the units' signs (mm², Ω, °, ±) in TrueType. */
const folder = join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts', 'Roboto');

/** The faces that a PDF may use, by the name that its text asks for. */
export const FONTS = {
  Sheet: {
    normal: join(folder, 'Roboto-Regular.ttf'),
    bold: join(folder, 'Roboto-Medium.ttf'),
    italics: join(folder, 'Roboto-Italic.ttf'),
    bolditalics: join(folder, 'Roboto-MediumItalic.ttf'),
  },
};
/** The only files that are read for one. */
export const isFont = (path: string): boolean => path.startsWith(folder);

/** Sets the fonts once, and forbids the PDF maker every address and every other file. */
export function setUpPdf(): typeof pdfmake {
  pdfmake.setFonts(FONTS);
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy(isFont);
  return pdfmake;
}
