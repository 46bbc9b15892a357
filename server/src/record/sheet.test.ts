import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { JobSheet, SheetLine } from '@mendum/core/record';
import { sheetPdf } from './pdf.ts';
import { everyPart, readStructure } from '../pdf/test/reader.ts';
import { fileOf } from '../test/files.ts';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.close());

const sheet = async (number: string, query = ''): Promise<string> =>
  Buffer.from((await fileOf(server.http.get(`/api${await server.at(number)}/record.pdf${query}`))).bytes).toString(
    'latin1',
  );
const pages = (pdf: string): number => pdf.match(/\/Type \/Page\b/g)?.length ?? 0;
const images = (pdf: string): number => pdf.match(/\/Subtype \/Image/g)?.length ?? 0;

describe('the sheet of a job', () => {
  it.each([
    ['', '0 0 595.28 841.89'],
    ['?paper=a4', '0 0 595.28 841.89'],
    ['?paper=letter', '0 0 612 792'],
  ])('%s is on paper of %s', async (query, box) => expect(await sheet('0126', query)).toContain(`[${box}]`));
  it.each([['0126'], ['0147'], ['0146']])('in short is on one page: job %s', async (number) => {
    expect(pages(await sheet(number, '?form=short'))).toBe(1);
    expect(pages(await sheet(number, '?form=short&paper=letter'))).toBe(1);
  });
  it.each([1, 12, 60, 300])(
    'in short is on one page with %i repairs on six runs, whatever their names',
    async (count) => {
      const words = 'Überlastsicherung of the conveyor '.repeat(8);
      const lines = Array.from({ length: count }, (_one, index): SheetLine => ({
        spliceId: `F${index}:only`,
        circuit: `${index} ${words}`,
        place: `${index} mm from ${words}`,
        found: words,
        method: words,
        materials: words,
        readings: [],
        standing: 'unproved',
        temporaryUntil: '2031-06-01',
        redos: 0,
        closedBy: [],
      }));
      const body = { kind: 'splice', fromMm: 100, toMm: 136, earlier: false, words } as const;
      const runs = Array.from({ length: 6 }, (_one, index) => ({
        id: `R${index}`,
        name: words,
        lengthMm: 1100,
        fromName: 'X31',
        toName: 'B1',
        rows: lines.slice(0, 10).map(({ circuit }) => ({ circuit, bodies: [body] })),
      }));
      const made: JobSheet = {
        jobNumber: '0147',
        title: 'Arm',
        machine: 'Ovrell 420',
        harness: 'W12',
        isolation: 'proved dead',
        practice: 'Crimp first',
        summary: words,
        runs,
        lines,
        faces: [],
        leftToYou: [],
        corrections: [],
        functions: [],
        cautions: [],
      };
      const signature = { by: 'Ines Valdur', at: '2031-05-20T09:00:00.000Z', note: words.repeat(8) };
      for (const paper of ['a4', 'letter'] as const) {
        const print = {
          at: signature.at,
          paper,
          form: 'short',
          photos: [],
          more: 0,
          head: { row: 1, hash: 'a' },
        } as const;
        expect(pages((await sheetPdf(made, signature, print)).toString('latin1'))).toBe(1);
      }
    },
  );
  it.each(['?paper=a3', '?form=long'])('%s is refused by name', async (query) => {
    const { body } = await server.http.get(`/api${await server.at('0126')}/record.pdf${query}`).expect(422);
    expect((body as { error: { code: string } }).error.code).toBe('BAD_INPUT');
  });
  it('is kept for good: as PDF/A-2a asks, it says so, and brings its colours along', async () => {
    const pdf = await sheet('0126');
    expect(pdf.slice(0, 8)).toBe('%PDF-1.7');
    expect(pdf).toContain('<pdfaid:part>2</pdfaid:part>');
    expect(pdf).toContain('<pdfaid:conformance>A</pdfaid:conformance>');
    expect(pdf).toMatch(/\/OutputIntents \[/);
    expect(pdf).toContain('/S /GTS_PDFA1');
    // Nothing that a PDF/A may not have.
    expect(pdf).not.toMatch(/\/JavaScript|\/Launch|\/Encrypt|\/EmbeddedFile/);
  });
  it.each([
    ['0126', ''],
    ['0147', ''],
    ['0144', '?paper=letter'],
    ['0126', '?form=short'],
  ])('of %s%s can be read aloud: all of it, in order, by another reader', async (number, query) => {
    const pdf = await sheet(number, query);
    expect(pdf).toContain('/Marked true');
    expect(pdf).toMatch(/\/Scope \/Row/);
    const { pages: read, unmarked, ornament } = await readStructure(Buffer.from(pdf, 'latin1'));
    const parts = read.flatMap(everyPart);
    const wordsOf = (type: string): string[] => parts.flatMap((part) => (part.type === type ? [part.words] : []));
    expect(unmarked).toEqual([]);
    expect(wordsOf('H1')).toHaveLength(1);
    expect(wordsOf('H2')).toEqual(
      expect.arrayContaining(
        query.includes('short') ? ['Sign-off'] : ['Where it is', 'Cautions that apply', 'Sign-off'],
      ),
    );
    // Nothing but the footer, and headers that stand again, is left out.
    for (const [at, words] of ornament.entries())
      expect(words).toMatch(
        new RegExp(
          `^(Circuit and place ?Method and materials ?Readings ?Ruling)?The maker.*${at + 1} of ${read.length}Chain of records: row \\d+, [0-9a-f]+$`,
        ),
      );
    const figures = parts.filter(({ type }) => type === 'Figure');
    expect(figures.length).toBeGreaterThan(0);
    for (const { alt } of figures) expect(alt).toMatch(/mm|worked at cavity|^Photo/);
    // Each cell of the table that stands under a column or tells a row.
    expect(parts.filter(({ type }) => type === 'Table').length).toBeGreaterThan(0);
  });
  it('has its fonts in it, names its language, and shows its title', async () => {
    const pdf = await sheet('0126');
    expect(pdf).toContain('/FontFile2');
    expect(pdf).toContain('/DisplayDocTitle true');
    expect(pdf).toMatch(/\/Lang \(/);
  });
});

describe('photos on the sheet', () => {
  /** As large as a camera makes them, and as hard to make small: noise. */
  const photo = async (seed: number): Promise<Buffer> => {
    const [width, height] = [1600, 1200];
    let state = seed;
    const raw = Buffer.from(
      Uint8Array.from({ length: width * height * 3 }, () => (state = (state * 48_271 + 11) % 65_537) & 255),
    );
    return sharp(raw, { raw: { width, height, channels: 3 } })
      .jpeg({ quality: 80 })
      .toBuffer();
  };
  it('ten are printed under 2 MB, more are told, those taken away are not', { timeout: 120_000 }, async () => {
    const before = images(await sheet('0147'));
    const { job } = await server.job('0147');
    const at = await server.at('0147');
    const ids: string[] = [];
    for (let index = 0; index < 11; index += 1) {
      const finding = job.findings[index % job.findings.length]!;
      const { body } = await server.http
        .post(`/api${at}/findings/${finding.id}/photos`)
        .query({ writeId: crypto.randomUUID(), by: 'Ines Valdur' })
        .type('image/jpeg')
        .send(await photo(index + 1))
        .expect(201);
      ids.push((body as { id: string }).id);
    }
    const whole = await sheet('0147');
    expect(images(whole) - before).toBe(10);
    expect(whole.length).toBeLessThan(2_000_000);
    expect(images(await sheet('0147', '?form=short'))).toBe(before);
    await server.write('put', `${at}/photos/${ids[0]!}`, { removed: true }).expect(200);
    await server.write('put', `${at}/photos/${ids[1]!}`, { removed: true }).expect(200);
    expect(images(await sheet('0147')) - before).toBe(9);
  });
});
