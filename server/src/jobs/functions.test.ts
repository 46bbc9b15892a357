import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const works = (circuitId: string) => ({ circuitId, moment: 'after', answer: 'works' }) as const;

describe('functions that were watched', () => {
  it('are kept in their order, by whom, each as a version of its job', async () => {
    const at = await server.at('0146');
    const { version, job } = await server.job('0146');
    const { circuitId } = job.findings[0]!;
    const before = { circuitId, moment: 'before', answer: 'fails', value: '0 V' } as const;
    await server
      .write('post', `${at}/functions`, { functions: [before] })
      .expect(201, { seen: 1, jobVersion: version + 1 });
    await server.write('post', `${at}/functions`, { functions: [works(circuitId)] }).expect(201);
    const now = await server.job('0146');
    expect(now.functions).toMatchObject([before, works(circuitId)]);
    expect(now.functions.every(({ by, at: when }) => by !== '' && when !== '')).toBe(true);
    expect(now.version).toBe(version + 2);
  });
  test.each([
    [{ circuitId: 'nobody', moment: 'after', answer: 'works' }, '/functions/0/circuitId', /no circuit "nobody"/],
    [{ moment: 'after', answer: 'notTried' }, '/functions/0/value', /needs its reason/],
    [{ moment: 'after', answer: 'perhaps' }, '/functions/0/answer', /works/],
    [{ moment: 'later', answer: 'works' }, '/functions/0/moment', /before/],
  ])('that cannot be are refused: %o', async (sent, field, message) => {
    const { circuitId } = (await server.job('0146')).job.findings[0]!;
    const { body } = await server.write('post', `${await server.at('0146')}/functions`, {
      functions: [{ circuitId, ...sent }],
    });
    expect(body).toMatchObject({ error: { code: 'BAD_INPUT', field, message: expect.stringMatching(message) } });
    expect((await server.job('0146')).functions).toEqual([]);
  });
});
