import { afterEach, beforeEach, expect, it } from 'vitest';
import { LIMITS } from '@mendum/core/job';
import { FindingEntity } from '../db/entities.ts';
import { startServer, type TestServer } from '../test/server.ts';
import { findingRow } from './store.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

it('a finding more than a job may have is refused by name; one in place of another is not', async () => {
  const at = await server.at('0147');
  const { id, job, findingVersions } = await server.job('0147');
  const [first] = job.findings;
  const more = Array.from({ length: LIMITS.findings.most - job.findings.length }, (_, index) =>
    findingRow(id, { ...first!, id: `G${index}` }, job.findings.length + index, 1),
  );
  await server.db.write(async (manager) => {
    for (let start = 0; start < more.length; start += 50)
      await manager.insert(FindingEntity, more.slice(start, start + 50));
  });
  const { status, body } = await server.write('post', `${at}/findings`, { finding: { ...first!, id: 'G-new' } });
  expect([status, body]).toMatchObject([
    422,
    { error: { code: 'BAD_INPUT', message: expect.stringMatching(/^2,001 findings: 2,000 at most/) as string } },
  ]);
  const changed = await server.write('put', `${at}/findings/${first!.id}`, {
    version: findingVersions[first!.id],
    finding: { ...first!, note: 'Seen again.' },
  });
  expect(JSON.stringify(changed.body)).not.toContain('at most');
});
