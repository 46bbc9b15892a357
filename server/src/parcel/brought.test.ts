import { createHash, randomUUID } from 'node:crypto';
import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Page, Parcel, ParcelManifest, ParcelRecord, RecordBundle } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { fileOf } from '../test/files.ts';
import { startServer, type TestServer } from '../test/server.ts';

let other: TestServer;
let own: TestServer;
let sent: Uint8Array;
beforeAll(async () => {
  [other, own] = [await startServer(), await startServer()];
  await proveAndSign(other, '0146');
  const [record] = (await other.job('0126')).records;
  await other.write('post', `/records/${record!.id}/corrections`, { text: 'The tool was number 4.' }).expect(201);
  sent = await zipFrom(other, '/api/export/records.zip');
});
afterAll(async () => {
  await other.close();
  await own.close();
});

const zipFrom = async (server: TestServer, address: string): Promise<Uint8Array> =>
  (await fileOf(server.http.get(address))).bytes;
const readIn = (server: TestServer, bytes: Uint8Array, query: object = {}) =>
  server.http
    .post('/api/parcels')
    .query({ writeId: randomUUID(), by: 'Ines Valdur', shop: 'Hollow Creek', ...query })
    .set('content-type', 'application/zip')
    .send(Buffer.from(bytes));
const messageOf = ({ body }: { body: unknown }): string => (body as { error: { message: string } }).error.message;

/** The same parcel with something done to its files; its manifest made to fit unless it is left as it was. */
function with_(change: (files: Unzipped) => void, fits = false): Uint8Array {
  const files = unzipSync(sent);
  change(files);
  if (fits) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as ParcelManifest;
    const all = manifest.files.map((one) => {
      const content = files[one.name]!;
      return { ...one, bytes: content.length, sha256: createHash('sha256').update(content).digest('hex') };
    });
    files['manifest.json'] = strToU8(JSON.stringify({ ...manifest, files: all }));
  }
  return zipSync(files);
}
const edit = (files: Unzipped, name: string, from: string, to: string): void => {
  files[name] = strToU8(strFromU8(files[name]!).replace(from, to));
};
const editRecords =
  (change: (bundle: { records: { body: Record<string, unknown> }[] }) => void) =>
  (files: Unzipped): void => {
    const bundle = JSON.parse(strFromU8(files['records.json']!)) as RecordBundle;
    change(bundle as unknown as { records: { body: Record<string, unknown> }[] });
    files['records.json'] = strToU8(JSON.stringify(bundle));
  };

describe('a parcel that does not hold is refused, and nothing of it is kept', () => {
  it.each<readonly [string, () => Uint8Array, RegExp]>([
    ['a file that is no ZIP', () => strToU8('no zip at all'), /^This file is no ZIP|cannot be unpacked/],
    [
      'a ZIP of something else',
      () => zipSync({ 'a.txt': strToU8('a') }),
      /^It has no manifest.json: it is no parcel\.$/,
    ],
    [
      'cut short',
      () => sent.subarray(0, sent.length / 2),
      /missing in it|cannot be unpacked|no manifest|is not what was packed/,
    ],
    [
      'without a sheet',
      () => with_((files) => delete files['jobs/0126/record.pdf']),
      /^jobs\/0126\/record\.pdf is missing/,
    ],
    [
      'with a file put in',
      () => with_((files) => (files['jobs/0126/more.txt'] = strToU8('x'))),
      /^jobs\/0126\/more\.txt was put into it/,
    ],
    [
      'with a word changed in its records',
      () => with_((files) => edit(files, 'records.json', 'Ines Valdur', 'Ines Walder')),
      /^records\.json in it is not what was packed/,
    ],
    [
      'with a word changed in its records, and a manifest that fits',
      () =>
        with_(
          editRecords(({ records }) => (records[0]!.body['method'] = 'Something else')),
          true,
        ),
      /^Its records do not hold: Row \d+ is not what was written/,
    ],
    [
      'with a record left out, and a manifest that fits',
      () =>
        with_(
          editRecords(({ records }) => records.splice(1, 1)),
          true,
        ),
      /^Its records do not hold: /,
    ],
    [
      'with a record of another shape',
      () =>
        with_(
          editRecords(({ records }) => delete records[0]!.body['method']),
          true,
        ),
      /^records\.json in it is not as a parcel has it/,
    ],
    [
      'with a file that would lie beside it',
      () => with_((files) => edit(files, 'manifest.json', 'jobs/0126/job.json', '../../0126/job.json')),
      /^manifest\.json in it is not as a parcel has it/,
    ],
  ])('%s', async (_, bytes, words) => {
    const answer = await readIn(own, bytes()).expect(422);
    expect(messageOf(answer)).toMatch(words);
    expect((await own.http.get('/api/parcels').expect(200)).body).toEqual([]);
  });
  it('its own', async () => {
    expect(messageOf(await readIn(other, sent).expect(422))).toBe(
      'This parcel is of this shop: its records are here already.',
    );
  });
  it('without a name for the shop', async () => {
    await readIn(own, sent, { shop: ' ' }).expect(422);
  });
});

describe('a parcel that was read in', () => {
  let id: string;
  beforeAll(async () => {
    const jobs = await own.list('jobs');
    const records = await own.list('allRecords');
    const writeId = randomUUID();
    const answer = await readIn(own, sent, { writeId }).expect(201);
    expect((await readIn(own, sent, { writeId }).expect(201)).body).toEqual(answer.body);
    ({ id } = answer.body as { id: string });
    // Nothing of it is among one's own.
    expect(await own.list('jobs')).toEqual(jobs);
    expect(await own.list('allRecords')).toEqual(records);
  });

  it('keeps its origin, and is read in once', async () => {
    const [parcel, ...more] = (await own.http.get('/api/parcels').expect(200)).body as Parcel[];
    const manifest = JSON.parse(strFromU8(unzipSync(sent)['manifest.json']!)) as ParcelManifest;
    expect(more).toEqual([]);
    expect(parcel).toMatchObject({
      id,
      shop: 'Hollow Creek',
      originId: manifest.origin.id,
      madeAt: manifest.madeAt,
      records: manifest.records,
      by: 'Ines Valdur',
    });
    expect(messageOf(await readIn(own, sent).expect(422))).toMatch(/^This parcel was read in on .* by Ines Valdur/);
  });
  it('goes on as it came: every file the same', async () => {
    const before = unzipSync(sent);
    const after = unzipSync(await zipFrom(own, `/api/parcels/${id}/parcel.zip`));
    expect(Object.keys(after).sort()).toEqual(Object.keys(before).sort());
    for (const [name, content] of Object.entries(before))
      expect(Buffer.from(after[name]!).equals(Buffer.from(content)), name).toBe(true);
  });
  it('its records are listed as they count there, found by every word, with their sheet', async () => {
    const asked = async (query: object): Promise<Page<ParcelRecord>> =>
      (await own.http.get('/api/parcels/records').query(query).expect(200)).body as Page<ParcelRecord>;
    const all = await asked({ parcelId: id, limit: 200 });
    expect(all.items.map(({ recordId }) => recordId).sort()).toEqual(
      (await other.list('allRecords')).map(({ recordId }) => recordId).sort(),
    );
    const found = await asked({ search: 'tool number 4' });
    expect(found.items.map(({ shop, body }) => [shop, body.jobNumber])).toEqual([['Hollow Creek', '0126']]);
    expect(found.items[0]!.files).toEqual(['jobs/0126/record.pdf']);
    const sheet = await own.http.get(`/api/parcels/${id}/file`).query({ name: 'jobs/0126/record.pdf' }).expect(200);
    expect(sheet.headers['content-disposition']).toContain('attachment');
    await own.http.get(`/api/parcels/${id}/file`).query({ name: 'jobs/9999/record.pdf' }).expect(404);
  });
});
