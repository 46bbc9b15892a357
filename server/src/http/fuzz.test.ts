import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sentSchema } from '@mendum/core/interchange';
import { OPERATIONS, paramNames, type OperationName } from '@mendum/core/operations';
import { bodies } from '../../../core/src/interchange/test/bodies.ts';
import { describe as described } from '../../../core/src/interchange/schema/described.ts';
import { startServer, type TestServer } from '../test/server.ts';

/** How many requests in all; FUZZ asks for more. */
const REQUESTS = Number(process.env.FUZZ ?? 1000);
const SEED = Number(process.env.FUZZ_SEED ?? 20260);
/** What is asked of it again and again without changing anything, or would end what the others need. */
const NAMES = (Object.keys(OPERATIONS) as OperationName[]).filter((name) => !['docs', 'description'].includes(name));
const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;
/** Refusals that say that something would take too long are answers, too. */
const MAY_BE = new Set([503]);

let server: TestServer;
let known: readonly string[];
beforeAll(async () => {
  server = await startServer();
  const jobs = await server.list('jobs');
  const harnesses = await server.list('harnesses');
  const [{ job }] = [await server.job('0147')];
  known = [
    ...jobs.map(({ id }) => id),
    ...harnesses.map(({ id }) => id),
    ...job.findings.map(({ id }) => id),
    ...job.harness.runs.map(({ id }) => id),
    ...job.harness.nodes.map(({ id }) => id),
    ...job.harness.circuits.slice(0, 6).map(({ id }) => id),
    'crimpFirst',
    'isolation',
  ];
});
afterAll(() => server.close());

const odd = fc.constantFrom('.', '..', '%', '%00', '%ff', "'", '" OR 1=1', 'a'.repeat(5000), '𝛀', '-1', '__proto__');
const words = (): fc.Arbitrary<string> =>
  fc.oneof({ weight: 6, arbitrary: fc.constantFrom(...known) }, { weight: 1, arbitrary: odd });

/** Ids in a body are mostly ones that are there; `writeId` and `by` are right, so that it gets further. */
function withIds(body: unknown, id: string): unknown {
  if (typeof body !== 'object' || body === null) return body;
  if (Array.isArray(body)) return body.map((item) => withIds(item, id));
  return Object.fromEntries(
    Object.entries(body).map(([key, value]) => [
      key,
      key === 'writeId'
        ? randomUUID()
        : key.endsWith('Id') && typeof value === 'string'
          ? id
          : key === 'version' && typeof value === 'number'
            ? Math.min(value, 3)
            : withIds(value, id),
    ]),
  );
}

interface Shot {
  readonly name: OperationName;
  readonly params: readonly string[];
  readonly body: unknown;
}
const shots = (): fc.Arbitrary<Shot> =>
  fc.constantFrom(...NAMES).chain((name) => {
    const count = paramNames(OPERATIONS[name].path).length;
    return fc.record({
      name: fc.constant(name),
      params: fc.array(words(), { minLength: count, maxLength: count }),
      body: fc
        .tuple(bodies(described(sentSchema(name))), words())
        .map(([body, id]) => (fc.stringify(body).length > 400_000 ? {} : withIds(body, id))),
    });
  });

async function fired({ name, params, body }: Shot): Promise<number> {
  const { method, path } = OPERATIONS[name];
  let at = 0;
  const address = `/api${path.replace(/:[A-Za-z]+/g, () => {
    const word = params[at++] ?? '';
    return word.startsWith('%') ? word : encodeURIComponent(word);
  })}`;
  const sent = server.http[METHODS[method]](address);
  const isThing = typeof body === 'object' && body !== null;
  const answer = await (method === 'GET'
    ? sent.query(isThing ? body : {})
    : sent.set('content-type', 'application/json').send(JSON.stringify(body)));
  return answer.status;
}

describe('requests of every sort', () => {
  it('are answered or refused, and never end in an error of the server', { timeout: 3_600_000 }, async () => {
    const counts: Record<string, number> = {};
    await fc.assert(
      fc.asyncProperty(shots(), async (shot) => {
        const status = await fired(shot);
        const kind = `${Math.floor(status / 100)}xx`;
        counts[kind] = (counts[kind] ?? 0) + 1;
        expect(status < 500 || MAY_BE.has(status)).toBe(true);
      }),
      { numRuns: REQUESTS, seed: SEED, endOnFailure: true },
    );
    await server.http.get('/api/health').expect(200);
    // Some of each got in: else nothing was tried.
    expect([counts['2xx'] ?? 0, counts['4xx'] ?? 0].every((count) => count > REQUESTS / 20)).toBe(true);
    if (process.env.FUZZ !== undefined) console.log(counts);
  });
});
