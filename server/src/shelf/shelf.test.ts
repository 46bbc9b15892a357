import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Catalogue, PartOf } from '@mendum/core/catalogue';
import { startServer, makeSafe, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.close();
});
const shelf = async (): Promise<Catalogue> => (await server.http.get('/api/shelf')).body as Catalogue;

describe('the shelf', () => {
  it('is changed part by part, and plans follow', async () => {
    const before = await shelf();
    const butt = before.parts.find((part) => part.id === 'sealedButt-middle')!;
    await server
      .write('put', '/shelf', { version: before.version, edits: [{ kind: 'setPart', part: { ...butt, quantity: 0 } }] })
      .expect(200);
    expect(await shelf()).toMatchObject({ version: before.version + 1 });
    expect(
      (await server.plan('0147')).findings.find((finding) => finding.circuitId === 'C1')?.splices[0]?.joint.partId,
    ).not.toBe('sealedButt-middle');
    await server
      .write('put', '/shelf', { version: before.version + 1, edits: [{ kind: 'setPart', part: butt }] })
      .expect(200);
  });
  it('a shop that has not begun has a usual one that nobody has counted, until somebody says so', async () => {
    const fresh = await startServer();
    await fresh.db.write((manager) => manager.delete('catalogue', { id: 'shelf' }));
    const shelfThere = async () => (await fresh.http.get('/api/shelf')).body as Catalogue;
    const usual = await shelfThere();
    expect(usual.uncounted).toBe(true);
    expect((await fresh.plan('0147')).kit).toMatchObject({ counted: false, ready: false });
    const edits = [{ kind: 'setCounted', counted: true }];
    await fresh.write('put', '/shelf', { version: usual.version, edits }).expect(200);
    expect((await shelfThere()).uncounted).toBeUndefined();
    expect((await fresh.plan('0147')).kit.counted).toBe(true);
    await fresh.close();
  });
  it('a stale change is refused, and nothing is lost', async () => {
    const { version, parts } = await shelf();
    const answer = await server
      .write('put', '/shelf', { version: version - 1, edits: [{ kind: 'removePart', id: parts[0]!.id }] })
      .expect(409);
    expect(answer.body).toMatchObject({ error: { code: 'STALE' } });
    expect((await shelf()).parts).toHaveLength(parts.length);
  });
  it('a part with a figure that cannot be is refused by name', async () => {
    const { version, parts } = await shelf();
    const clip = parts.find((part): part is PartOf<'clip'> => part.kind === 'clip')!;
    const answer = await server
      .write('put', '/shelf', {
        version,
        edits: [{ kind: 'setPart', part: { ...clip, totalRange: { minMm2: 3, maxMm2: 1 } } }],
      })
      .expect(422);
    expect(answer.body).toMatchObject({ error: { code: 'BAD_INPUT', field: '/edits/0/part/totalRange/maxMm2' } });
  });
  it('goes out as CSV and comes back, all or nothing', async () => {
    const file = (await server.http.get('/api/shelf/file').expect(200)).text;
    expect(file.split('\n')[0]).toContain('Kind');
    const { version } = await shelf();
    const bad = file.replace('Splice clip S,30', 'Splice clip S,many');
    const refused = await server.write('post', '/shelf/import', { version, text: bad }).expect(422);
    expect(refused.body).toMatchObject({
      error: { code: 'SHELF_FILE', message: expect.stringMatching(/column “Quantity”, “many”/) as string },
    });
    expect((await shelf()).version).toBe(version);
    await server
      .write('post', '/shelf/import', { version, text: file.replace('Splice clip S,30', 'Splice clip S,31') })
      .expect(200);
    expect((await shelf()).parts.find((part) => part.id === 'clip-S')?.quantity).toBe(31);
  });
  it.each([
    ['a quotation mark that is left open', 'Kind,Id\npart,"clip', /quotation mark that is not closed/],
    ['more lines than are read', 'a,b\n'.repeat(20_001), /20,000 lines are read at most/],
  ])('a table with %s is refused in one sentence', async (_what, text, words) => {
    const { version } = await shelf();
    const { body } = await server.write('post', '/shelf/import', { version, text }).expect(422);
    expect(body).toMatchObject({
      error: { code: 'SHELF_FILE', field: '/text', message: expect.stringMatching(words) as string },
    });
    expect((await shelf()).version).toBe(version);
  });
});

describe('work that has begun', () => {
  it('keeps its method and part though the last piece is taken off the shelf, until it is made again', async () => {
    await makeSafe(server, '0147');
    const finding = (await server.plan('0147')).findings.find((one) => one.circuitId === 'C1')!;
    const [splice] = finding.splices;
    await server
      .write('put', `${await server.at('0147')}/ticks`, {
        steps: [{ stepId: splice!.steps[0]!.id, spliceId: splice!.id }],
        done: true,
      })
      .expect(200);
    const now = await shelf();
    const used = splice!.joint.partId;
    await server
      .write('put', '/shelf', {
        version: now.version,
        edits: [{ kind: 'setPart', part: { ...now.parts.find((part) => part.id === used)!, quantity: 0 } }],
      })
      .expect(200);
    const held = (await server.plan('0147')).findings.find((one) => one.circuitId === 'C1');
    expect([held?.chosen, held?.splices[0]?.joint.partId, held?.splices[0]?.centreMm]).toEqual([
      finding.chosen,
      used,
      splice!.centreMm,
    ]);
    await server
      .write('post', `${await server.at('0147')}/redos`, {
        spliceId: splice!.id,
        make: 1,
        kind: 'jointFailed',
        joined: true,
        sealed: false,
        because: 'Tried.',
      })
      .expect(201);
    expect(
      (await server.plan('0147')).findings.find((one) => one.circuitId === 'C1')?.splices[0]?.joint.partId,
    ).not.toBe(used);
  });
});
