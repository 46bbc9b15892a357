import { describe, expect, it } from 'vitest';
import type { Content } from 'pdfmake/interfaces.js';
import { taggedPdf } from './tagged.ts';
import { everyPart, readStructure, type ReadPart } from './test/reader.ts';

const made = async (...content: Content[]) =>
  readStructure(
    await taggedPdf({
      title: 'A sheet',
      paper: 'A4',
      pageMargins: 40,
      defaultStyle: { font: 'Sheet', fontSize: 10 },
      footer: (page) => ({ text: `page ${page}` }),
      content,
    }),
  );
const shape = ({ type, words, alt, parts }: ReadPart): string =>
  `${type}${words === '' ? '' : ` “${words}”`}${alt === undefined ? '' : ` [${alt}]`}${parts.length === 0 ? '' : ` (${parts.map(shape).join(', ')})`}`;

const SQUARE = '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="10" height="10"/></svg>';

describe('a PDF that can be read aloud', () => {
  it.each<[string, Content, string]>([
    ['a heading', { text: 'Splices', heading: 1 }, 'H1 “Splices”'],
    ['a heading below', { text: 'Photos', heading: 2 }, 'H2 “Photos”'],
    ['words', 'Signed', 'P “Signed”'],
    ['words in two weights are one paragraph', { text: [{ text: 'C26: ', bold: true }, 'torn'] }, 'P “C26: torn”'],
    ['columns from left to right', { columns: ['left', 'right'] }, 'P “left”, P “right”'],
    ['a list', { ul: ['one', 'two'] }, 'L (LI (LBody (P “one”)), LI (LBody (P “two”)))'],
    [
      'a table: what is over a column, and what tells a row',
      {
        table: {
          headerRows: 1,
          body: [
            ['Circuit', 'Ruling'],
            ['C26', 'Passed'],
          ],
        },
      },
      'Table (TR (TH (P “Circuit”), TH (P “Ruling”)), TR (TH (P “C26”), TD (P “Passed”)))',
    ],
    ['a picture says what it shows', { svg: SQUARE, alt: 'A splice at 300 mm' }, 'Figure [A splice at 300 mm]'],
    [
      'what is kept together on a page, too',
      { stack: ['Run', { svg: SQUARE, alt: 'Drawn' }], unbreakable: true },
      'P “Run”, Figure [Drawn]',
    ],
  ])('%s', async (_what, content, expected) => {
    const { pages, unmarked } = await made(content);
    expect(pages.map((page) => page.parts.map(shape).join(', '))).toEqual([`Document (${expected})`]);
    expect(unmarked).toEqual([]);
  });
  it('a table over pages: its header is read once, each row once, in order', async () => {
    const body = [['Circuit'], ...Array.from({ length: 120 }, (_one, at) => [`C${at}`])];
    const { pages, unmarked, ornament } = await made({ table: { headerRows: 1, body } });
    expect(pages.length).toBeGreaterThan(2);
    const read = pages.flatMap((page) => everyPart(page).flatMap(({ words }) => (words === '' ? [] : [words])));
    expect(read).toEqual(['Circuit', ...Array.from({ length: 120 }, (_one, at) => `C${at}`)]);
    expect(unmarked).toEqual([]);
    // Header of the second page and on, and every footer.
    expect(ornament).toEqual(pages.map((_page, at) => `${at === 0 ? '' : 'Circuit'}page ${at + 1}`));
  });
  it('one paragraph over two pages is one', async () => {
    const { pages } = await made({ text: 'word '.repeat(2500) });
    const words = pages.map((page) => everyPart(page).filter(({ type }) => type === 'P'));
    expect(words.map((all) => all.length)).toEqual(pages.map(() => 1));
    expect(pages.length).toBeGreaterThan(1);
  });
  it('a picture without words is refused', async () => {
    await expect(async () => made({ svg: SQUARE })).rejects.toThrow('says what it shows');
  });
});
