import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import type request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.close());

const picture = (wide = 60, high = 40): Sharp =>
  sharp({ create: { width: wide, height: high, channels: 3, background: '#a8541f' } });
const send = async (
  body: Buffer,
  type = 'image/jpeg',
  id: string = randomUUID(),
  finding = 'F1',
): Promise<request.Response> =>
  server.http
    .post(`/api${await server.at('0147')}/findings/${finding}/photos?writeId=${id}&by=Ines&name=arm.jpg`)
    .set('content-type', type)
    .send(body);

describe('photos of a finding', () => {
  test.each(['jpeg', 'png', 'webp'] as const)(
    'a %s is kept in its folder, listed, shown, and small',
    async (format) => {
      const answer = await send(await picture().toFormat(format).toBuffer(), `image/${format}`);
      expect(answer.status).toBe(201);
      const { id } = answer.body as { id: string };
      expect((await server.job('0147')).photos.find((photo) => photo.id === id)).toMatchObject({
        findingId: 'F1',
        name: 'arm.jpg',
        widthPx: 60,
        heightPx: 40,
        by: 'Ines',
      });
      const shown = await server.http.get(`/api/photos/${id}`);
      expect([shown.status, shown.headers['content-type']]).toEqual([200, `image/${format}`]);
      expect((await server.http.get(`/api/photos/${id}/small`)).headers['content-type']).toBe('image/webp');
      expect(readdirSync(server.photosDir).filter((name) => name.startsWith(id))).toHaveLength(2);
    },
  );

  it('the position where it was taken, and all else that a camera notes, is gone; it stands upright', async () => {
    const taken = await picture()
      .withExif({
        IFD0: { Make: 'Cam', Orientation: '6' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '47/1 30/1 0/1' },
      })
      .jpeg()
      .toBuffer();
    expect(taken.includes('GPS') || (await sharp(taken).metadata()).exif !== undefined).toBe(true);
    const { id } = (await send(taken)).body as { id: string };
    const kept = readFileSync(join(server.photosDir, `${id}.jpg`));
    const meta = await sharp(kept).metadata();
    expect([meta.exif, meta.xmp, meta.iptc, meta.orientation]).toEqual([undefined, undefined, undefined, undefined]);
    expect(kept.includes('Cam')).toBe(false);
  });

  it('what is hidden behind the picture does not pass', async () => {
    const smuggled = Buffer.concat([await picture().png().toBuffer(), Buffer.from('<script>alert(1)</script>')]);
    const { id } = (await send(smuggled, 'image/png')).body as { id: string };
    expect(readFileSync(join(server.photosDir, `${id}.png`)).includes('script')).toBe(false);
  });

  test.each([
    [
      'an SVG that says it is a PNG',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>'),
      'image/png',
      422,
      'PHOTO_REFUSED',
    ],
    ['text', Buffer.from('not a photo'), 'image/jpeg', 422, 'PHOTO_REFUSED'],
    ['a broken JPEG', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 1, 2, 3]), 'image/jpeg', 422, 'PHOTO_REFUSED'],
    ['another type', Buffer.from('GIF89a'), 'image/gif', 422, 'PHOTO_REFUSED'],
    ['11 MB', Buffer.alloc(11_000_000), 'image/jpeg', 413, 'BODY_TOO_LARGE'],
  ])('%s is refused, and nothing is kept', async (_name, body, type, status, code) => {
    const before = readdirSync(server.photosDir).length;
    const answer = await send(body, type);
    expect([answer.status, (answer.body as { error: { code: string } }).error.code]).toEqual([status, code]);
    expect(readdirSync(server.photosDir)).toHaveLength(before);
  });

  it('sent twice it is kept once; taken away it can be brought back; an unknown finding has none', async () => {
    const [writeId, body] = [randomUUID(), await picture(20, 20).jpeg().toBuffer()];
    const before = readdirSync(server.photosDir).length;
    const sent = await Promise.all([send(body, 'image/jpeg', writeId), send(body, 'image/jpeg', writeId)]);
    const { id } = sent[0].body as { id: string };
    expect(sent.map((answer) => answer.body as unknown)).toEqual([sent[0].body, sent[0].body]);
    expect((await send(body, 'image/jpeg', writeId)).body).toEqual(sent[0].body);
    expect(readdirSync(server.photosDir)).toHaveLength(before + 2);
    const has = async (): Promise<number> =>
      (await server.job('0147')).photos.filter((photo) => photo.id === id).length;
    expect(await has()).toBe(1);
    await server.write('put', `${await server.at('0147')}/photos/${id}`, { removed: true }).expect(200);
    expect(await has()).toBe(0);
    await server.write('put', `${await server.at('0147')}/photos/${id}`, { removed: false }).expect(200);
    expect(await has()).toBe(1);
    expect((await send(body, 'image/jpeg', randomUUID(), 'F99')).status).toBe(404);
    expect((await server.http.get('/api/photos/..%2Fmendum.sqlite')).status).toBe(404);
  });

  it('a twelfth is the last', async () => {
    const body = await picture(8, 8).jpeg().toBuffer();
    for (let n = 0; n < 12; n += 1) expect((await send(body, 'image/jpeg', randomUUID(), 'F2')).status).toBe(201);
    expect((await send(body, 'image/jpeg', randomUUID(), 'F2')).body).toMatchObject({
      error: { code: 'PHOTO_REFUSED', message: expect.stringContaining('12 are kept at most') as string },
    });
  });
});
