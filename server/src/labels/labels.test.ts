import { createServer, type Server } from 'node:net';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codeOf, LABEL_SIZE_NAMES, LABEL_SIZES, labelWords, recordIn } from '@mendum/core/label';
import type { RecordFound } from '@mendum/core/operations';
import type { SpliceRecord } from '@mendum/core/record';
import { startServer, type TestServer } from '../test/server.ts';
import { labelSvg } from './label.ts';
import { labelPdf, labelSheets, placesOn } from './pdf.ts';
import { sendToPrinter } from './printer.ts';

const RECORD = {
  jobNumber: '0138',
  circuitNumber: '23',
  circuitFunction: 'Brake lamps',
  run: 'Frame run',
  atMm: 483.4,
  fromName: 'X12',
  method: 'Sealed butt',
  signedAt: '2031-11-11T10:00:00.000Z',
} as unknown as SpliceRecord;
const UNTIL = { ...RECORD, temporaryUntil: '2031-12-11' };
const ID = 'e85180de-e9c7-4707-a2c5-d3ec17cbdb2b';
const ORIGIN = 'http://192.168.100.200:4600';

/** What a reader that knows nothing of how the code was made sees in a drawing, printed at so many dots in an inch. */
async function readBack(svg: string, dpi: number, dirty = false): Promise<string | undefined> {
  let image = sharp(Buffer.from(svg), { density: dpi }).flatten({ background: '#fff' });
  if (dirty) image = sharp(await image.rotate(9, { background: '#fff' }).blur(0.9).jpeg({ quality: 60 }).toBuffer());
  const { data, info } = await image.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
}

describe.each(LABEL_SIZE_NAMES)('a %s', (size) => {
  it.each([
    ['as it is printed', 300, false],
    ['by a coarse printer', 203, false],
    ['turned, blurred and saved badly', 300, true],
  ])('is read back %s: the address of the repair, and what it is', async (_, dpi, dirty) => {
    const read = await readBack(labelSvg({ recordId: ID, record: UNTIL }, size, ORIGIN), dpi, dirty);
    expect(read).toBe(
      `${ORIGIN}/r/${ID}#job-0138_circuit-23_483-mm-from-X12_Sealed-butt_2031-11-11_temporary-2031-12-11`,
    );
    expect(recordIn(read!)).toBe(ID);
  });
  it('says circuit, place, method, job, day, and that it is temporary only where it is', () => {
    const drawn = labelSvg({ recordId: ID, record: UNTIL }, size, ORIGIN);
    for (const words of ['23 Brake lamps', '483 mm from X12', 'Sealed butt', 'job 0138 · 2031-11-11'])
      expect(drawn).toContain(`>${words}</text>`);
    expect(drawn).toContain('TEMPORARY to 2031-12-11');
    expect(labelSvg({ recordId: ID, record: RECORD }, size, ORIGIN)).not.toContain('TEMPORARY');
  });
  it('keeps to its edges, however long the names are, and takes any letter', () => {
    const long = { ...UNTIL, circuitFunction: `<"&> \u0007 ${'Überlastsicherung '.repeat(6)}`, method: 'M'.repeat(90) };
    const drawn = labelSvg({ recordId: ID, record: long }, size, ORIGIN);
    expect(drawn).toContain('&lt;&quot;&amp;&gt;');
    expect(drawn).not.toContain('\u0007');
    for (const [, x, height, words] of drawn.matchAll(/<text x="([\d.]+)"[^>]*font-size="([\d.]+)"[^>]*>([^<]*)</g))
      expect(Number(x) + Array.from(words!.replace(/&\w+;/g, '?')).length * Number(height) * 0.58).toBeLessThanOrEqual(
        LABEL_SIZES[size].wideMm,
      );
  });
  it('is a page of its own size in a PDF with its face in it', async () => {
    const pdf = (await labelPdf({ recordId: ID, record: UNTIL }, size, ORIGIN, false)).toString('latin1');
    const [, wide, high] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf) ?? [];
    expect(Number(wide)).toBeCloseTo((LABEL_SIZES[size].wideMm * 72) / 25.4, 1);
    expect(Number(high)).toBeCloseTo((LABEL_SIZES[size].highMm * 72) / 25.4, 1);
    expect(pdf).toContain('/FontFile2');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });
  it('lies on sheets side by side, none over another or over the rim; one more takes a second sheet', async () => {
    const places = placesOn(size);
    const { wideMm, highMm } = LABEL_SIZES[size];
    for (const [at, { x, y }] of places.entries()) {
      expect(x >= 10 && y >= 10 && x + wideMm <= 200 && y + highMm <= 287).toBe(true);
      for (const other of places.slice(at + 1))
        expect(Math.abs(x - other.x) >= wideMm || Math.abs(y - other.y) >= highMm).toBe(true);
    }
    const all = Array.from({ length: places.length + 1 }, () => ({ recordId: ID, record: RECORD }));
    const pages = async (count: number): Promise<number> =>
      (await labelSheets(all.slice(0, count), size, ORIGIN, false)).toString('latin1').match(/\/Type \/Page\b/g)!
        .length;
    expect([await pages(places.length), await pages(places.length + 1)]).toEqual([1, 2]);
  });
});

it.each([
  ['http://10.0.0.5:4600/r/abc#job-1', 'abc'],
  ['https://mendum.shop/r/a%20b', 'a b'],
  ['http://10.0.0.5:4600/jobs/abc', undefined],
  ['http://10.0.0.5:4600/r/a/b', undefined],
  ['4006381333931', undefined],
  ['http://x/r/%E0%A4%A', undefined],
])('the code %s names the record %s', (code, id) => expect(recordIn(code)).toBe(id));
it('a name in any script stands in the code as an address takes it', () =>
  expect(new URL(codeOf(ORIGIN, ID, labelWords({ ...RECORD, fromName: 'Kotflügel 左\ud800' }))).hash).toContain(
    '483-mm-from-Kotfl%C3%BCgel-%E5%B7%A6',
  ));

describe('through the server', () => {
  let server: TestServer;
  let printer: Server;
  let port: number;
  const printed: Buffer[] = [];
  let found: RecordFound;
  beforeAll(async () => {
    printer = createServer((socket) => {
      const parts: Buffer[] = [];
      socket.on('data', (part) => parts.push(part)).on('end', () => printed.push(Buffer.concat(parts)));
    });
    await new Promise<void>((done) => printer.listen(0, '127.0.0.1', done));
    port = (printer.address() as { port: number }).port;
    server = await startServer({ labelPrinter: { host: '127.0.0.1', port } });
    const { body } = await server.http.get('/api/due').expect(200);
    const [{ recordId }] = (body as { items: [{ recordId: string }] }).items;
    found = (await server.http.get(`/api/records/${recordId}`).expect(200)).body as RecordFound;
  });
  afterAll(async () => {
    await server.close();
    printer.close();
  });
  const label = (id: string, as: string, size = 'flag') =>
    server.http.get(`/api/records/${id}/label.${as}?size=${size}`);

  it('the code leads to the server as whoever asks has it', async () => {
    const { body } = await label(found.recordId, 'svg').set('Host', 'localhost:4711').expect(200);
    const read = await readBack((body as Buffer).toString(), 300);
    expect(read).toMatch(`http://localhost:4711/r/${found.recordId}#job-${found.body.jobNumber}_`);
  });
  it('a repair is found by any of its records, as it stands by now', async () => {
    const { body } = await server
      .write('post', `/records/${found.recordId}/corrections`, { text: 'The clip was moved.' })
      .expect(201);
    const { id } = body as { id: string };
    const now = (await server.http.get(`/api/records/${found.recordId}`).expect(200)).body as RecordFound;
    expect(now).toMatchObject({
      recordId: id,
      body: { corrections: [{ text: 'The clip was moved.' }] },
      harnessId: found.harnessId,
    });
    await label(found.recordId, 'pdf').expect(200);
    found = now;
  });
  it('sheets of a job have a label for each of its repairs', async () => {
    const { body } = await server.http.get(`/api/jobs/${found.jobId}/labels.pdf?size=tag`).expect(200);
    expect((body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });
  it('the label printer gets the page whole, and the log says so', async () => {
    await server.write('post', `/records/${found.recordId}/label`, { size: 'wrap' }).expect(201);
    await expect.poll(() => printed.length, { timeout: 10_000 }).toBe(1);
    expect(printed[0]!.subarray(0, 5).toString()).toBe('%PDF-');
    expect(printed[0]!.toString('latin1').trimEnd().endsWith('%%EOF')).toBe(true);
  });
  it.each([
    ['/records/none/label.svg?size=flag', 404, 'NOT_FOUND'],
    ['/records/none', 404, 'NOT_FOUND'],
    ['/jobs/none/labels.pdf?size=flag', 404, 'NOT_FOUND'],
    [`/records/none/label.svg?size=poster`, 422, 'BAD_INPUT'],
  ])('%s is refused: %i %s', async (path, status, code) => {
    const { body } = await server.http.get(`/api${path}`).expect(status);
    expect((body as { error: { code: string } }).error.code).toBe(code);
  });
  it('labels of a job that is not signed are refused', async () => {
    const { body } = await server.http.get(`/api${await server.at('0147')}/labels.pdf?size=flag`).expect(409);
    expect((body as { error: { message: string } }).error.message).toContain('is not signed yet');
  });
  it('a printer that is off is said, and nothing is logged as printed', async () => {
    await new Promise((done) => printer.close(done));
    const { body } = await server.write('post', `/records/${found.recordId}/label`, { size: 'flag' }).expect(503);
    expect((body as { error: { code: string; message: string } }).error).toMatchObject({
      code: 'PRINTER_REFUSED',
      message: expect.stringContaining(`127.0.0.1:${port} does not answer`) as string,
    });
  });
});

it('a printer that hangs up is no printer', async () => {
  const rude = createServer((socket) => socket.destroy());
  await new Promise<void>((done) => rude.listen(0, '127.0.0.1', done));
  const { port } = rude.address() as { port: number };
  await expect(sendToPrinter({ host: '127.0.0.1', port }, Buffer.alloc(3_000_000))).rejects.toThrow(
    'The label printer',
  );
  rude.close();
});
