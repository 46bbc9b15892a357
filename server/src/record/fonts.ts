import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';

/** The sheet's face ships with the PDF package: it has the units' signs (mm², Ω, °, ±) in TrueType. */
const folder = join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts', 'Roboto');

/** Sets the fonts once, and forbids the PDF maker every address and every other file. */
export function setUpPdf(): typeof pdfmake {
  pdfmake.setFonts({
    Sheet: {
      normal: join(folder, 'Roboto-Regular.ttf'),
      bold: join(folder, 'Roboto-Medium.ttf'),
      italics: join(folder, 'Roboto-Italic.ttf'),
      bolditalics: join(folder, 'Roboto-MediumItalic.ttf'),
    },
  });
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(folder));
  return pdfmake;
}
