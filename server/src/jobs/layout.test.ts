import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NO_WISHES, type SearchedLayout } from '@mendum/core/layout';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let at: string;
beforeAll(async () => {
  server = await startServer();
  await makeSafe(server, '0147');
  at = `/jobs/${(await server.job('0147')).id}`;
});
afterAll(() => server.close());

const found = (more: Partial<SearchedLayout> = {}): SearchedLayout => ({
  runId: 'R1',
  kind: 'short',
  places: [{ findingId: 'F1', side: 'left', centreMm: 300 }],
  ...more,
});
const job = () => server.job('0147');
const keep = async (searched: SearchedLayout, status = 200) =>
  server.write('put', `${at}/layouts`, { version: (await job()).version, searched }).expect(status);

describe('what a search found for a layout', () => {
  it('is kept with the job, one for each run and layout, the last one', async () => {
    await keep(found());
    await keep(found({ kind: 'even', apartMm: 25 }));
    const last = found({ places: [], endedFor: 'a'.repeat(64) });
    await keep(last);
    expect((await job()).job.layout?.searched).toEqual([found({ kind: 'even', apartMm: 25 }), last]);
  });
  it('stays when somebody moves a splice who does not know of it yet', async () => {
    const before = (await job()).job.layout?.searched;
    const { version } = await job();
    await server.write('put', `${at}/layout`, { version, layout: { ...NO_WISHES, otherColours: true } }).expect(200);
    expect((await job()).job.layout).toMatchObject({ otherColours: true, searched: before });
  });
  it.each([
    ['of a run that is not there', found({ runId: 'none' }), 404, '/searched/runId'],
    ['of no layout that there is', { ...found(), kind: 'narrow' as 'short' }, 422, '/searched/kind'],
    ['with more than a fingerprint', found({ endedFor: 'a'.repeat(65) }), 422, '/searched/endedFor'],
  ])('%s is refused, and nothing is lost', async (_what, searched, status, field) => {
    const before = await job();
    const refused = await keep(searched, status);
    expect(refused.body).toMatchObject({ error: { field } });
    expect((await job()).version).toBe(before.version);
  });
});
