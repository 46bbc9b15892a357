import { afterEach, beforeEach, expect, it } from 'vitest';
import { SEARCHES_MOST, type KeptSearch } from '@mendum/core/operations';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const keep = (words: string, kept = true) => server.write('put', '/searches', { words, kept });
const kept = async (): Promise<readonly string[]> =>
  ((await server.again().get('/api/searches').expect(200)).body as KeptSearch[]).map(({ words }) => words);

it('a search is kept for everybody, the newest first, once however it is written, until it is forgotten', async () => {
  await keep('lot T-0412').expect(200);
  await keep('came back').expect(200);
  await keep('LOT t-0412').expect(200);
  expect(await kept()).toEqual(['LOT t-0412', 'came back']);
  await keep('lot T-0412', false).expect(200);
  expect(await kept()).toEqual(['came back']);
});

it('so many are kept at most: the oldest goes', async () => {
  for (let at = 0; at <= SEARCHES_MOST; at += 1) await keep(`word ${at}`).expect(200);
  const all = await kept();
  expect([all.length, all[0], all.at(-1)]).toEqual([SEARCHES_MOST, `word ${SEARCHES_MOST}`, 'word 1']);
});

it('no words are no search', async () => {
  await keep('').expect(422);
  await keep('x'.repeat(201)).expect(422);
  await keep('x'.repeat(200)).expect(200);
});
