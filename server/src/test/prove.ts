import type { Check, ReadingValue } from '@mendum/core/prove';
import { makesOf } from '@mendum/core/plan';
import { asSeen, type TestServer } from './server.ts';

/** A reading that passes; none for a check that asks for a meter's own sort. */
const good = (check: Check): ReadingValue | undefined =>
  check.kind === 'look'
    ? { kind: 'look', answer: 'good' }
    : check.kind === 'tug'
      ? { kind: 'tug', newtons: check.targetN, held: true }
      : check.kind === 'resistance'
        ? { kind: 'resistance', milliohm: check.limits.goodMilliohm / 2 }
        : undefined;

/** Reads good values on everything that is made in a job. */
export async function proveAll(server: TestServer, number: string): Promise<void> {
  const at = await server.at(number);
  for (const made of (await server.plan(number)).findings.flatMap(makesOf)) {
    const readings = made.checks.flatMap((check) => {
      const value = good(check);
      return value ? [{ spliceId: made.id, make: made.make, checkId: check.id, value }] : [];
    });
    await server.write('post', `${at}/readings`, { readings }).expect(201);
  }
}

/** Proves all of a job and signs it. */
export async function proveAndSign(server: TestServer, number: string): Promise<void> {
  await proveAll(server, number);
  await server.write('post', `${await server.at(number)}/sign`, asSeen(await server.job(number))).expect(201);
}
