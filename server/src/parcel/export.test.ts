import { createHash, randomUUID } from 'node:crypto';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  HarnessHistory,
  HarnessSummary,
  HarnessView,
  Page,
  ParcelManifest,
  RecordBundle,
} from '@mendum/core/operations';
import { readSheetFile } from '@mendum/core/spreadsheet';
import { manifestJsonSchema, readJobFile, recordsJsonSchema } from '@mendum/core/interchange';
import { bundleBroken } from '../chain/bundle.ts';
import { makeDesk } from '../planning/desk.ts';
import { exported } from '../planning/exported.ts';
import { proveAndSign } from '../test/prove.ts';
import { fileOf, type GivenFile } from '../test/files.ts';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let signed: string;
beforeAll(async () => {
  server = await startServer();
  const { body } = await server.http.get('/api/jobs?limit=200');
  signed = (body as { items: { id: string; number: string }[] }).items.find(({ number }) => number === '0126')!.id;
  const { id, job } = await server.job('0146');
  const [finding] = job.findings;
  await server.http
    .post(`/api/jobs/${id}/findings/${finding!.id}/photos`)
    .query({ writeId: randomUUID(), by: 'Ines Valdur', name: 'before' })
    .set('content-type', 'image/png')
    .send(
      await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a8541f' } })
        .png()
        .toBuffer(),
    )
    .expect(201);
  await proveAndSign(server, '0146');
});
afterAll(() => server.close());

const got = (as: string, query: object = {}): Promise<GivenFile> =>
  fileOf(server.http.get(`/api/export/records.${as}`).query(query));
const bundleIn = (bytes: Uint8Array): RecordBundle => JSON.parse(strFromU8(bytes)) as RecordBundle;

describe('records given out', () => {
  it('as CSV and as a workbook: the same cells, all jobs', async () => {
    const [csv] = await readSheetFile((await got('csv')).bytes, 'a.csv');
    const [book] = await readSheetFile((await got('xlsx')).bytes, 'a.xlsx');
    expect(csv!.rows.length).toBeGreaterThan(5);
    const cells = (rows: readonly (readonly string[])[]): string[][] =>
      rows.map((row) => row.map((cell) => cell.trim())).filter((row) => row.some((cell) => cell !== ''));
    expect(cells(book!.rows)).toEqual(cells(csv!.rows));
  });
  it.each([
    ['of one job', () => Promise.resolve({ jobId: signed }), 'records-job-0126.json'],
    ['of one harness', async () => ({ harnessId: (await server.job('0126')).harnessId }), 'records-Rear-loom-W5.json'],
    ['of all', () => Promise.resolve({}), 'records-all-records.json'],
  ] as const)('as JSON %s: they hold, each in its place in the chain', async (_, asked, name) => {
    const made = await got('json', await asked());
    expect(made.name).toBe(name);
    const bundle = bundleIn(made.bytes);
    expect(bundle.records.length).toBeGreaterThan(0);
    expect(bundleBroken(bundle)).toBeUndefined();
    const numbers = new Set(bundle.records.map(({ body }) => body.jobNumber));
    expect(numbers.has('0126')).toBe(true);
    if (name === 'records-job-0126.json') expect([...numbers]).toEqual(['0126']);
    if (name === 'records-Rear-loom-W5.json')
      expect(bundle.records.map(({ body }) => body.harness)).toEqual(bundle.records.map(() => 'Rear loom W5'));
  });
  it.each([
    ['a job that is not there', { jobId: 'nowhere' }, 404, 'There is no job "nowhere".'],
    ['a harness that is not there', { harnessId: 'nowhere' }, 404, 'There is no harness "nowhere".'],
    ['a machine that is not there', { machineId: 'nowhere' }, 404, 'There is no machine "nowhere".'],
  ])('of %s is refused', async (_, query, status, words) => {
    for (const as of ['csv', 'xlsx', 'json', 'zip']) {
      const { body } = await server.http.get(`/api/export/records.${as}`).query(query).expect(status);
      expect((body as { error: { message: string } }).error.message).toBe(words);
    }
  });
  it('of a job that is not signed is refused, by its number', async () => {
    const { id } = await server.job('0147');
    const { body } = await server.http.get('/api/export/records.zip').query({ jobId: id }).expect(409);
    expect((body as { error: { message: string } }).error.message).toBe('Nothing is signed yet of job 0147.');
  });
});

describe('records of a machine given out', () => {
  const get = async <T>(address: string): Promise<T> => (await server.http.get(`/api${address}`).expect(200)).body as T;
  /** What the pages of its harnesses show, one harness after the other. */
  async function shownOf({ id }: HarnessView): Promise<readonly string[]> {
    const first = await get<HarnessHistory>(`/harnesses/${id}/history`);
    const others = first.others.map(({ harnessId }) => get<HarnessHistory>(`/harnesses/${harnessId}/history`));
    return [first, ...(await Promise.all(others))].flatMap(({ done }) => done.map(({ recordId }) => recordId)).sort();
  }
  const givenOf = ({ machineId }: Pick<HarnessView, 'machineId'>): Promise<GivenFile> => got('json', { machineId });
  const idsIn = ({ bytes }: GivenFile): readonly string[] =>
    bundleIn(bytes)
      .records.map(({ id }) => id)
      .sort();
  const harnessOf = async (number: string) => get<HarnessView>(`/harnesses/${(await server.job(number)).harnessId}`);

  it('are those of all its harnesses, and of no other machine', async () => {
    const [a, b] = [await harnessOf('0126'), await harnessOf('0146')];
    for (const harness of [a, b]) {
      const made = await givenOf(harness);
      expect(made.name).toBe(`records-${harness.machine.replaceAll(' ', '-')}.json`);
      expect(idsIn(made)).toEqual(await shownOf(harness));
    }
    const rest = await get<Page<HarnessSummary>>('/harnesses?limit=200');
    const machines = [...new Set(rest.items.map(({ machineId }) => machineId))];
    expect(machines.length).toBeGreaterThan(1);
    const all = JSON.parse(strFromU8((await got('json')).bytes)) as RecordBundle;
    let sum = 0;
    for (const machineId of machines) {
      const answer = await server.http.get('/api/export/records.json').query({ machineId });
      if (answer.status === 200) sum += bundleIn(Buffer.from(answer.text)).records.length;
      else
        expect([answer.status, JSON.stringify(answer.body)]).toEqual([
          409,
          expect.stringContaining('Nothing is signed yet of'),
        ]);
    }
    expect(sum).toBe(all.records.length);
  });
  it('has the harness as it was kept too, after another voltage was said of the machine', async () => {
    const before = await harnessOf('0146');
    const { name, machine, machineKind: kind, version } = before;
    const named = { name, machine: { name: machine, kind, systemVoltageV: 48 } };
    await server.write('put', `/harnesses/${before.id}/name`, { version, ...named }).expect(200);
    const now = (await get<Page<HarnessSummary>>('/harnesses?limit=200')).items.find(
      (one) => one.systemVoltageV === 48,
    )!;
    const view = await get<HarnessView>(`/harnesses/${now.id}`);
    const given = idsIn(await givenOf(view));
    expect(given).toEqual(await shownOf(view));
    expect(given.length).toBeGreaterThan(0);
    // Asked for as it was then it is not said that nothing was signed.
    expect(idsIn(await givenOf(before))).toEqual(expect.arrayContaining([...given]));
  });
  it('as a parcel says so', async () => {
    const files = unzipSync((await got('zip', { machineId: (await harnessOf('0126')).machineId })).bytes);
    const { of, jobs } = JSON.parse(strFromU8(files['manifest.json']!)) as ParcelManifest;
    expect(of).toEqual({ kind: 'machine', name: (await harnessOf('0126')).machine });
    expect(jobs.map(({ number }) => number)).toContain('0126');
  });
});

describe('a parcel', () => {
  it('has every record with its chain, and of each job its file, its sheet and its photos; each file is what is said', async () => {
    const [record] = (await server.job('0126')).records;
    await server.write('post', `/records/${record!.id}/corrections`, { text: 'The tool was number 4.' }).expect(201);

    const { name, bytes } = await got('zip');
    expect(name).toBe('records-all-records.zip');
    const files = unzipSync(bytes);
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as ParcelManifest;
    expect(manifest).toMatchObject({ format: 'mendum-parcel', version: 1, of: { kind: 'all' } });
    expect(manifest.files.map((file) => file.name).sort()).toEqual(
      Object.keys(files)
        .filter((file) => file !== 'manifest.json')
        .sort(),
    );
    for (const { name: file, bytes: size, sha256 } of manifest.files) {
      expect(files[file]!.length).toBe(size);
      expect(createHash('sha256').update(files[file]!).digest('hex')).toBe(sha256);
    }
    const bundle = bundleIn(files['records.json']!);
    expect(bundleBroken(bundle)).toBeUndefined();
    for (const [schema, content] of [
      [manifestJsonSchema(), manifest],
      [recordsJsonSchema(), bundle],
    ] as const) {
      const fits = new Ajv2020({ strict: false }).compile(schema);
      expect(fits(content), JSON.stringify(fits.errors)).toBe(true);
    }
    expect(bundle.records).toHaveLength(manifest.records);
    // What was corrected is in it as well.
    expect(bundle.records.filter(({ body }) => body.jobNumber === '0126').length).toBe(2);
    for (const { folder, number } of manifest.jobs) {
      expect(readJobFile(strFromU8(files[`${folder}/job.json`]!)).job.number).toBe(number);
      expect(strFromU8(files[`${folder}/record.pdf`]!.subarray(0, 5))).toBe('%PDF-');
    }
    const photos = JSON.parse(strFromU8(files['jobs/0146/photos.json']!)) as { name: string; file: string }[];
    expect(photos.map((photo) => photo.name)).toEqual(['before']);
    expect(files[`jobs/0146/${photos[0]!.file}`]!.length).toBeGreaterThan(100);
  });
  it('is always of one origin, made up once', async () => {
    const originOf = async (): Promise<string> =>
      (
        JSON.parse(
          strFromU8(unzipSync((await got('zip', { jobId: signed })).bytes)['manifest.json']!),
        ) as ParcelManifest
      ).origin.id;
    const first = await originOf();
    expect(first).toMatch(/^[0-9a-f-]{36}$/);
    expect(await originOf()).toBe(first);
  });
});

describe('records in one file', () => {
  it('are as many as are allowed; one more is refused, with what helps', async () => {
    const desk = makeDesk(server.db.read);
    const { records } = await exported(desk, { as: 'csv' });
    expect(records).toBeGreaterThan(2);
    expect((await exported(desk, { as: 'csv' }, records)).records).toBe(records);
    await expect(exported(desk, { as: 'csv' }, records - 1)).rejects.toMatchObject({
      code: 'RECORD_REFUSED',
      message: `More than ${records - 1} records are asked for: that is the most in one file.`,
    });
  });
});
