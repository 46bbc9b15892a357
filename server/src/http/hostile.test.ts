import { randomUUID } from 'node:crypto';
import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.close());

const refusal = ({ body }: { readonly body: unknown }) =>
  (body as { error: { code: string; message: string; details?: readonly unknown[] } }).error;
/** Sends what is no value of this language, too. */
const sendText = (path: string, text: string) =>
  server.http.post(`/api${path}`).set('content-type', 'application/json').send(text);
const head = (by: string) => `"writeId":"${randomUUID()}","by":${by}`;
const FINDING = { circuitId: 'C1', runId: 'R1', kind: 'parted', fromMm: 900, toMm: 901 };

describe('texts that are none', () => {
  test.each([
    ['half a letter as a name', '"\\ud800"', ''],
    ['its other half', '"Ines \\udfff"', ''],
    ['half a letter as a key', '"Ines"', ',"\\ud83d":1'],
  ])('%s', async (_what, by, more) => {
    const error = refusal(await sendText('/people', `{${head(by)}${more}}`).expect(422));
    expect(error.message).toMatch(/half a letter/);
  });
  it('both halves are a letter', async () => {
    await sendText('/people', `{${head('"Ines \\ud83d\\udd27"')}}`).expect(201);
  });
  test.each(['.', '..', 'a b', 'a/b', 'a#b', ''])('"%s" is no id', async (id) => {
    const at = await server.at('0147');
    const { code } = refusal(await server.write('post', `${at}/findings`, { finding: { ...FINDING, id } }).expect(422));
    expect(code).toBe('BAD_INPUT');
  });
  test.each(['...', '.a', 'a.', 'F-1'])('"%s" is one', async (id) => {
    const at = await server.at('0147');
    const { status, body } = await server.write('post', `${at}/findings`, { finding: { ...FINDING, id } });
    // Not for its id, at least.
    expect(status === 201 || !JSON.stringify(body).includes('/id')).toBe(true);
  });
});

describe('numbers and depths that are none', () => {
  test.each(['1e300', '-1e300', '1e999', '9007199254740993', '1000000.1'])('a length of %s', async (figure) => {
    const at = await server.at('0147');
    const body = `{${head('"Ines"')},"finding":${JSON.stringify({ ...FINDING, id: 'N1' }).replace('901', figure)}}`;
    expect(refusal(await sendText(`${at}/findings`, body).expect(422)).code).toBe('BAD_INPUT');
  });
  test.each([
    ['lists', '['.repeat(500_000) + ']'.repeat(500_000)],
    ['things', `${'{"a":'.repeat(200_000)}1${'}'.repeat(200_000)}`],
  ])('%s in each other half a million times', async (_what, text) => {
    const error = refusal(await sendText('/people', `{${head('"Ines"')},"x":${text}}`).expect(422));
    expect(error.message).toBe('It is nested more than 40 deep.');
    const inFile = refusal(
      await server.write('post', '/jobs/import', { text: `{"format":"mendum-job","job":${text}}` }).expect(422),
    );
    expect(inFile.message).toBe('It is nested more than 40 deep.');
  });
});

describe('a job file', () => {
  const file = (job: object): string => JSON.stringify({ format: 'mendum-job', version: 1, job });
  it('that is wrong in each of 2,000 findings, beside 500 runs, is refused in short', async () => {
    const { text } = await server.http.get(`/api${await server.at('0147')}/file`);
    const { job } = JSON.parse(text) as {
      job: { harness: { runs: { id: string; name: string }[] }; findings: object[] };
    };
    const [run] = job.harness.runs;
    const runs = Array.from({ length: 490 }, (_one, n) => ({ ...run, id: `long-name-of-run-${n}`, name: `Run ${n}` }));
    const findings = Array.from({ length: 2000 }, (_one, n) => ({ ...job.findings[0], id: `X${n}`, runId: 'nowhere' }));
    const wrong = file({ ...job, findings, harness: { ...job.harness, runs: [...job.harness.runs, ...runs] } });
    const answer = await server.write('post', '/jobs/import', { text: wrong }).expect(422);
    expect(answer.text.length).toBeLessThan(120_000);
    expect(refusal(answer).details).toHaveLength(201);
    expect(refusal(answer).message).toMatch(/ \(and \d,\d\d\d more\)$/);
  });
  it('of junk throughout is refused in short', async () => {
    const junk = Array.from({ length: 60_000 }, (_one, n) => ({ [`k${n}`]: n }));
    const answer = await server
      .write('post', '/jobs/import', { text: file({ findings: junk, choices: junk }) })
      .expect(422);
    expect(answer.text.length).toBeLessThan(120_000);
  });
  it.each(['Ω-12', '作業12', 'عمل١٢', 'a"b', "a';b", '…'])(
    'numbered %s has a sheet, a template and a file',
    async (number) => {
      const { text } = await server.http.get(`/api${await server.at('0147')}/file`);
      const whole = JSON.parse(text) as { job: { number: string; id?: string; harness: { runs: { id: string }[] } } };
      const sent = { ...whole, job: { ...whole.job, id: undefined, number } };
      const { body } = await server.write('post', '/jobs/import', { text: JSON.stringify(sent) }).expect(201);
      const { id } = body as { id: string };
      for (const path of ['record.pdf', 'file', `template/${whole.job.harness.runs[0]!.id}.svg`])
        await server.http.get(`/api/jobs/${id}/${path}`).expect(200);
    },
  );
});

describe('the table of the shelf', () => {
  it.each([
    ['an open quote', 'kind,name,quantity\nsealedButt,"never closed,3\n'],
    ['a million quotes', '"'.repeat(1_000_000)],
    ['nothing but commas', ','.repeat(500_000)],
  ])('%s is refused in a sentence', async (_what, text) => {
    const { version } = (await server.http.get('/api/shelf')).body as { version: number };
    const answer = await server.write('post', '/shelf/import', { version, text });
    expect([answer.status, refusal(answer).code]).toEqual([422, 'SHELF_FILE']);
    expect(answer.text.length).toBeLessThan(20_000);
  });
});

describe('a photo whose file is gone', () => {
  it('says so, and all else goes on', async () => {
    const at = await server.at('0147');
    const bytes = await sharp({ create: { width: 9, height: 9, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    const { body } = await server.http
      .post(`/api${at}/findings/F1/photos?writeId=${randomUUID()}&by=Ines`)
      .set('content-type', 'image/png')
      .send(bytes)
      .expect(201);
    for (const name of readdirSync(server.photosDir)) rmSync(join(server.photosDir, name));
    const { id } = body as { id: string };
    for (const path of [id, `${id}/small`])
      expect(refusal(await server.http.get(`/api/photos/${path}`).expect(404)).code).toBe('PHOTO_GONE');
    await server.http.get(`/api${at}`).expect(200);
    await server.http.get(`/api${at}/record.pdf`).expect(200);
  });
});
