import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import type { FacePhoto, HarnessSummary, HarnessView, Page } from '@mendum/core/operations';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let at: string;
let view: HarnessView;
beforeAll(async () => {
  server = await startServer();
  const { items } = (await server.http.get('/api/harnesses?limit=200')).body as Page<HarnessSummary>;
  const { id } = items.find(({ name }) => name.includes('W12'))!;
  view = (await server.http.get(`/api/harnesses/${id}`)).body as HarnessView;
  at = `/harnesses/${id}/faces/X31/photos`;
});
afterAll(() => server.close());

const picture = (): Promise<Buffer> =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: '#a8541f' } })
    .jpeg()
    .toBuffer();
const send = async (path = at, side = 'wire', id: string = randomUUID()): Promise<request.Response> =>
  server.http
    .post(`/api${path}?writeId=${id}&by=Ines&name=plug.jpg&side=${side}`)
    .set('content-type', 'image/jpeg')
    .send(await picture());
const listed = async (path = at): Promise<readonly FacePhoto[]> =>
  (await server.http.get(`/api${path}`).expect(200)).body as FacePhoto[];
const taken = async (): Promise<FacePhoto> => {
  const { id } = (await send()).body as { id: string };
  return (await listed()).find((photo) => photo.id === id)!;
};
const set = ({ id, version, side, marks }: FacePhoto, fields: object = {}) =>
  server.write('put', `${at}/${id}`, { version, side, marks, removed: false, ...fields });
const MARKS = [
  { cavity: '1', x: 0.25, y: 0.5 },
  { cavity: '2', x: 0, y: 1 },
];

describe('a photo beside a face', () => {
  it('is listed, shown and small; its marks are kept', async () => {
    const photo = await taken();
    expect(photo).toMatchObject({ side: 'wire', name: 'plug.jpg', widthPx: 60, heightPx: 40, marks: [], by: 'Ines' });
    expect((await server.http.get(`/api/facePhotos/${photo.id}`)).headers['content-type']).toBe('image/jpeg');
    expect((await server.http.get(`/api/facePhotos/${photo.id}/small`)).headers['content-type']).toBe('image/webp');
    await set(photo, { marks: MARKS, side: 'mating' }).expect(200);
    expect((await listed()).find(({ id }) => id === photo.id)).toMatchObject({
      marks: MARKS,
      side: 'mating',
      version: 2,
    });
  });
  it('is taken away and brought back with its marks', async () => {
    const photo = await taken();
    await set(photo, { marks: MARKS, removed: true }).expect(200);
    expect((await listed()).map(({ id }) => id)).not.toContain(photo.id);
    await set({ ...photo, version: 2, marks: MARKS }).expect(200);
    expect((await listed()).find(({ id }) => id === photo.id)?.marks).toEqual(MARKS);
  });
  it('sent twice under one id it is there once', async () => {
    const [before, id] = [(await listed()).length, randomUUID()];
    const [first, second] = [await send(at, 'wire', id), await send(at, 'wire', id)];
    expect(second.body).toEqual(first.body);
    expect(await listed()).toHaveLength(before + 1);
  });
  it('marked by two at once: the second is told what the first did', async () => {
    const photo = await taken();
    await set(photo, { marks: MARKS }).expect(200);
    const { body } = await set(photo, { marks: [] }).expect(409);
    expect((body as { error: { code: string } }).error.code).toBe('STALE');
  });
  test.each([
    ['a cavity that the face does not have', { marks: [{ cavity: '99', x: 0, y: 0 }] }, 'X31 has no cavity 99.'],
    ['a cavity twice', { marks: [MARKS[0], MARKS[0]] }, undefined],
    ['a place beside the photo', { marks: [{ cavity: '1', x: 1.01, y: 0 }] }, undefined],
    ['another side', { side: 'top' }, undefined],
  ])('%s is refused', async (_what, fields, words) => {
    const { body } = await set(await taken(), fields).expect(422);
    if (words !== undefined) expect((body as { error: { message: string } }).error.message).toBe(words);
  });
  test.each([
    ['of a branch', 'B1'],
    ['of nothing', 'X99'],
  ])('%s none is taken', async (_what, nodeId) => {
    expect((await send(`/harnesses/${view.id}/faces/${nodeId}/photos`)).status).toBe(404);
  });
  it('twelve are kept of one face, the thirteenth is refused', async () => {
    const other = at.replace('X31', 'X33');
    for (let n = 0; n < 12; n += 1) expect((await send(other)).status).toBe(201);
    const { status, body } = await send(other);
    expect([status, (body as { error: { message: string } }).error.message]).toEqual([
      422,
      'X33 has 12 photos; 12 are kept at most.',
    ]);
  });
  it('stays with the harness as it goes on, seen from the state of a signed job too', async () => {
    const before = await listed();
    const signed = (await server.list('jobs')).find((job) => job.status === 'signed' && job.harness.includes('W12'))!;
    const edits = [{ do: 'setLength', runId: 'R1', lengthMm: 1110 }];
    await server.write('put', `/harnesses/${view.id}`, { version: view.version, edits }).expect(200);
    const kept = (await server.job(signed.number)).harnessId;
    expect(kept).not.toBe(view.id);
    expect(await listed(at.replace(view.id, kept))).toEqual(before);
  });
});
