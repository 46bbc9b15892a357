import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { DueBack } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const LATER = '2031-08-01';
/** A job on the harness of 0146 with one finding, made safe. @returns its number */
async function jobWith(finding: object): Promise<string> {
  const { harnessId } = await server.job('0146');
  const { number } = (await server.write('post', '/jobs', { title: 'Lamp', harnessId }).expect(201)).body as {
    readonly number: string;
  };
  await makeSafe(server, number);
  await server.write('post', `${await server.at(number)}/findings`, { finding }).expect(201);
  return number;
}
const CORRODED = { id: 'F9', circuitId: 'C21', runId: 'R1', kind: 'corroded', fromMm: 300, toMm: 310 };
const temporary = async (): Promise<string> => {
  const number = await jobWith({ ...CORRODED, temporaryUntil: '2031-06-01' });
  await proveAndSign(server, number);
  return number;
};
const dueOf = async (jobNumber: string): Promise<readonly DueBack[]> =>
  (await server.list('due')).filter(({ body }) => body.jobNumber === jobNumber);
const begin = async ({ recordId }: DueBack): Promise<string> =>
  ((await server.write('post', `/records/${recordId}/good`).expect(201)).body as { readonly number: string }).number;
const codeOf = (answer: { readonly body: unknown }): unknown =>
  (answer.body as { error?: { code: string } }).error?.code;

describe('a temporary repair is made good', () => {
  it('by a job that begins with it, and closes all of its lines when it is signed', async () => {
    const number = await temporary();
    const due = await dueOf(number);
    expect(due.map(({ also }) => also.length)).toEqual([1]);
    const by = await begin(due[0]!);
    const { job } = await server.job(by);
    expect(job.findings).toMatchObject([
      { kind: 'poorRepair', circuitId: 'C21', runId: 'R1', makesGood: { length: 2 } },
    ]);
    expect(job.findings[0]?.makesGood).toContain(due[0]!.recordId);
    expect(job.title).toBe(`Make good: circuit 21, job ${number}`);
    expect((await dueOf(number)).map(({ good }) => good?.number)).toEqual(due.map(() => by));
    await makeSafe(server, by);
    await proveAndSign(server, by);
    expect(await dueOf(number)).toEqual([]);
    expect(await dueOf(by)).toEqual([]);
    const records = (await server.list('allRecords')).filter(({ body }) => body.jobNumber === number);
    expect(records.map(({ ended }) => ended?.number)).toEqual([by, by]);
  });
  it('whatever its finding is called', async () => {
    const number = await jobWith({ ...CORRODED, id: 'left:2', temporaryUntil: '2031-06-01' });
    await proveAndSign(server, number);
    const due = await dueOf(number);
    const { job } = await server.job(await begin(due[0]!));
    expect(job.findings[0]?.makesGood).toHaveLength(1 + due[0]!.also.length);
  });
  it('not twice at a time; the one that is there is named', async () => {
    const [first] = await dueOf(await temporary());
    const by = await begin(first!);
    const again = await server.write('post', `/records/${first!.recordId}/good`);
    expect([again.status, codeOf(again)]).toEqual([409, 'NOT_DUE']);
    expect(JSON.stringify(again.body)).toContain(`Job ${by} makes this repair good already.`);
  });
  it('by whatever cuts it out, said or not', async () => {
    const number = await temporary();
    const [first] = await dueOf(number);
    const { fromMm = 0, toMm = 0 } = first!.body.onWire ?? {};
    const by = await jobWith({ ...CORRODED, id: 'F1', fromMm: fromMm - 5, toMm: toMm + 200 });
    const cutsOut = (await server.plan(by)).findings.flatMap((finding) => finding.cutsOut.map(({ id }) => id));
    expect(cutsOut).toContain(first!.recordId);
    await proveAndSign(server, by);
    expect((await dueOf(number)).map(({ recordId }) => recordId)).not.toContain(first!.recordId);
  });
  it('for good: a correction of its record afterwards does not bring it back', async () => {
    const number = await temporary();
    const due = await dueOf(number);
    const by = await begin(due[0]!);
    await makeSafe(server, by);
    await proveAndSign(server, by);
    await server.write('post', `/records/${due[0]!.recordId}/corrections`, { text: 'Tool number 4.' }).expect(201);
    const next = await jobWith({ ...CORRODED, id: 'F1', fromMm: 20, toMm: 25 });
    expect(await dueOf(number)).toEqual([]);
    const gone = new Set((await server.job(by)).records.flatMap(({ body }) => body.cutsOut ?? []));
    expect(gone.size).toBe(1 + due[0]!.also.length);
    const left = ((await server.job(next)).job.earlier ?? []).filter(({ words }) => words.includes(`job ${number}`));
    expect(left).toEqual([]);
  });
  it('and a temporary one that takes its place comes back in its stead', async () => {
    const number = await temporary();
    const by = await begin((await dueOf(number))[0]!);
    const at = await server.at(by);
    const { findings } = (await server.job(by)).job;
    const finding = { ...findings[0], temporaryUntil: LATER };
    await server.write('put', `${at}/findings/F1`, { version: 1, finding }).expect(200);
    await makeSafe(server, by);
    await proveAndSign(server, by);
    expect(await dueOf(number)).toEqual([]);
    expect(new Set((await dueOf(by)).map(({ until }) => until))).toEqual(new Set([LATER]));
  });
  it('not one that is none, nor one that was corrected since', async () => {
    const permanent = (await server.job('0126')).records[0]!;
    expect(codeOf(await server.write('post', `/records/${permanent.id}/good`))).toBe('NOT_DUE');
    const [first] = await dueOf(await temporary());
    await server.write('post', `/records/${first!.recordId}/corrections`, { text: 'Tool number 4.' }).expect(201);
    expect(codeOf(await server.write('post', `/records/${first!.recordId}/good`))).toBe('STALE');
    expect(codeOf(await server.write('post', '/records/none/good'))).toBe('NOT_FOUND');
  });
});

describe('the day of a temporary repair', () => {
  const set = (due: DueBack, until: string | null) =>
    server.write('post', `/records/${due.recordId}/due`, { until, because: 'The harvest first.' });
  it.each([
    ['2031-05-31', 422],
    ['2031-06-01', 422],
    ['2031-06-02', 201],
    ['2031-6-2', 422],
  ] as const)('is put off to %s: %i', async (until, status) => {
    const [first] = await dueOf(await temporary());
    await set(first!, until).expect(status);
  });
  it.each([
    ['2031-05-19', 422, 'is past: today is 2031-05-20'],
    ['2031-05-20', 201, undefined],
  ] as const)('of one that is overdue is put off to %s: %i', async (until, status, words) => {
    const number = await jobWith({ ...CORRODED, temporaryUntil: '2031-05-01' });
    await proveAndSign(server, number);
    const answer = await set((await dueOf(number))[0]!, until).expect(status);
    if (words !== undefined) expect(JSON.stringify(answer.body)).toContain(words);
  });
  it('is put off by a name, for a reason, and counted; what it was stays in the record', async () => {
    const number = await temporary();
    await set((await dueOf(number))[0]!, '2031-07-01').expect(201);
    const once = (await dueOf(number)).find(({ until }) => until === '2031-07-01')!;
    expect([once.body.putOff, once.body.corrections?.map(({ text }) => text)]).toEqual([
      1,
      ['Put off from 2031-06-01 to 2031-07-01: The harvest first.'],
    ]);
    await set(once, LATER).expect(201);
    const twice = (await dueOf(number)).find(({ until }) => until === LATER)!;
    expect(twice.body.putOff).toBe(2);
    const by = await begin(twice);
    await makeSafe(server, by);
    await proveAndSign(server, by);
    expect(await dueOf(number)).toEqual([]);
  });
  it('of two splices is one line and one overdue repair; put off, both move', async () => {
    const overdue = async (): Promise<number> =>
      ((await server.http.get('/api/due').expect(200)).body as { overdue: number }).overdue;
    const before = await overdue();
    const number = await jobWith({ ...CORRODED, temporaryUntil: '2031-05-01' });
    await proveAndSign(server, number);
    expect(await overdue()).toBe(before + 1);
    const [line, ...more] = await dueOf(number);
    expect([more, line!.also.length]).toEqual([[], 1]);
    await set(line!, LATER).expect(201);
    const [moved, ...others] = await dueOf(number);
    expect([others, moved!.until, moved!.also.length]).toEqual([[], LATER, 1]);
    expect(await overdue()).toBe(before);
    const { records } = await server.job(number);
    expect(records.filter(({ body }) => body.putOff === 1)).toHaveLength(2);
  });
  it('is found by words of either splice', async () => {
    const number = await temporary();
    const { body } = await server.http.get('/api/due').query({ search: number }).expect(200);
    expect((body as { items: unknown[] }).items).toHaveLength(2);
  });
  it('ends for one that is not there any more, by a name and a reason', async () => {
    const number = await temporary();
    const due = await dueOf(number);
    expect(due).toHaveLength(1);
    await set(due[0]!, null).expect(201);
    expect(await dueOf(number)).toEqual([]);
    const notes = (await server.list('allRecords')).filter(({ body }) => body.jobNumber === number);
    expect(new Set(notes.map(({ body }) => body.corrections?.at(-1)?.text))).toEqual(
      new Set(['Not there any more: The harvest first.']),
    );
  });
});
