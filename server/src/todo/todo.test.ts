import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { HarnessView, Page, Todo, TodoTaken } from '@mendum/core/operations';
import { proveAndSign } from '../test/prove.ts';
import { settleTodos, type Left } from './store.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let harnessId: string;
beforeEach(async () => {
  server = await startServer();
  ({ harnessId } = await server.job('0146'));
});
afterEach(() => server.close());

const FOUND = { id: 'F1', circuitId: 'C21', runId: 'R1', kind: 'corroded', fromMm: 300, toMm: 310, slackMm: 60 };
const listed = async (query: object = {}): Promise<readonly Todo[]> =>
  (
    (
      await server.http
        .get('/api/todos')
        .query({ harnessId, ...query })
        .expect(200)
    ).body as Page<Todo>
  ).items;
const noted = async (words: string, more: object = {}): Promise<string> =>
  ((await server.write('post', '/todos', { harnessId, words, ...more }).expect(201)).body as { id: string }).id;
async function opened(...found: readonly object[]): Promise<string> {
  const { number } = (await server.write('post', '/jobs', { title: 'Seen', harnessId }).expect(201)).body as TodoTaken;
  for (const finding of found)
    await server.write('post', `${await server.at(number)}/findings`, { finding }).expect(201);
  return number;
}
async function left(number: string, findingId: string): Promise<void> {
  const { version, findingVersions } = await server.job(number);
  await server
    .write('post', `${await server.at(number)}/findings/${findingId}/later`, {
      jobVersion: version,
      version: findingVersions[findingId],
    })
    .expect(201);
}
const begun = async (id: string): Promise<TodoTaken> =>
  (await server.write('post', `/todos/${id}/job`).expect(201)).body as TodoTaken;
const wordsOf = (all: readonly Todo[]): string[] => all.map(({ words }) => words);

describe('what is to be done on a harness', () => {
  it('is written down by hand, the last one first, with who and for which circuit', async () => {
    await noted('Cable ties along the arm are brittle');
    await noted('Boot of the pump is torn', { circuitId: 'C21' });
    expect(await listed()).toMatchObject([
      { words: 'Boot of the pump is torn', circuitNumber: '21', by: 'Ines Valdur' },
      { words: 'Cable ties along the arm are brittle' },
    ]);
    expect(wordsOf(await listed({ search: 'TORN pump' }))).toEqual(['Boot of the pump is torn']);
    expect(await listed({ search: 'torn arm' })).toEqual([]);
    expect(await listed({ ended: true })).toEqual([]);
  });

  it('a finding that is left for later leaves its job, and comes back whole in another', async () => {
    const number = await opened(FOUND);
    await left(number, 'F1');
    expect((await server.job(number)).job.findings).toEqual([]);
    const [todo] = await listed();
    expect(todo).toMatchObject({ circuitNumber: '21', place: { atMm: 305 }, seenIn: { number } });

    const made = await begun(todo!.id);
    const { job } = await server.job(made.number);
    expect(job.findings).toMatchObject([FOUND]);
    expect((await listed())[0]?.doing).toEqual({ id: made.id, number: made.number });
    await makeSafe(server, made.number);
    await proveAndSign(server, made.number);
    expect(await listed()).toEqual([]);
    expect(await listed({ ended: true })).toMatchObject([
      { words: todo!.words, ended: { by: 'Ines Valdur', job: { number: made.number } } },
    ]);
  });

  it('is taken into a job that is open already, and free again when its finding is taken out', async () => {
    const number = await opened(FOUND);
    await left(number, 'F1');
    const [todo] = await listed();
    const other = await opened();
    await server
      .write('post', `${await server.at(other)}/findings`, { finding: { ...FOUND, id: 'G1' }, todoId: todo!.id })
      .expect(201);
    expect((await listed())[0]?.doing?.number).toBe(other);
    const again = await server.write('post', `/todos/${todo!.id}/job`);
    expect([again.status, (again.body as { error: { code: string } }).error.code]).toEqual([409, 'TODO_TAKEN']);

    const { version } = await server.job(other);
    await server
      .write('delete', `${await server.at(other)}/findings/G1`, { jobVersion: version, version: 1 })
      .expect(200);
    expect((await listed())[0]?.doing).toBeUndefined();
    await begun(todo!.id);
  });

  it('left a second time it is the same line, with what is known by now', async () => {
    await left(await opened(FOUND), 'F1');
    const [todo] = await listed();
    const { number } = await begun(todo!.id);
    const { findingVersions } = await server.job(number);
    await server
      .write('put', `${await server.at(number)}/findings/F1`, {
        version: findingVersions.F1,
        finding: { ...FOUND, toMm: 340 },
      })
      .expect(200);
    await left(number, 'F1');
    expect(await listed()).toMatchObject([{ id: todo!.id, finding: { toMm: 340 }, place: { atMm: 320 } }]);
  });

  it('what a signed job leaves goes on the list by itself; what it set out to do and left is free again', async () => {
    const settled = async (number: string, left: readonly Left[]): Promise<void> => {
      const { id, job } = await server.job(number);
      const said = { by: 'Ines Valdur', at: '2031-05-20T09:00:00.000Z' };
      await server.db.write((manager) => {
        settleTodos(manager, { id, harnessId, findings: job.findings }, left, said);
        return Promise.resolve();
      });
    };
    const LEFT = { findingId: 'F2', because: 'Order 1 × pigtail for X12.' };
    const first = await opened(FOUND, { ...FOUND, id: 'F2', circuitId: 'C22' });
    await settled(first, [LEFT]);
    const [todo, ...others] = await listed();
    expect(others).toEqual([]);
    expect(todo).toMatchObject({ circuitNumber: '22', place: { atMm: 305 }, seenIn: { number: first } });
    expect(todo?.words).toMatch(/^Corrosion.*\. Left: Order 1 × pigtail for X12\.$/);

    const { number } = await begun(todo!.id);
    await settled(number, [LEFT]);
    const [free] = await listed();
    expect([free?.id, free?.doing]).toEqual([todo!.id, undefined]);
    const again = await begun(todo!.id);
    await settled(again.number, []);
    expect(await listed({ ended: true })).toMatchObject([{ id: todo!.id, ended: { job: { number: again.number } } }]);
  });

  it('is closed with a reason and a name, and opened again', async () => {
    const id = await noted('Cable ties along the arm are brittle');
    await server.write('put', `/todos/${id}/end`, { because: 'ok' }).expect(422);
    await server.write('put', `/todos/${id}/end`, { because: 'New ones since yesterday.' }).expect(200);
    expect(await listed()).toEqual([]);
    expect((await listed({ ended: true }))[0]?.ended).toMatchObject({
      by: 'Ines Valdur',
      because: 'New ones since yesterday.',
    });
    await server.write('put', `/todos/${id}/end`, { because: null }).expect(200);
    expect(wordsOf(await listed())).toEqual(['Cable ties along the arm are brittle']);
  });

  it('what a job did is not opened again', async () => {
    const id = await noted('Boot of the pump is torn');
    const { number } = await begun(id);
    await server.write('post', `${await server.at(number)}/findings`, { finding: FOUND }).expect(201);
    await makeSafe(server, number);
    await proveAndSign(server, number);
    const answer = await server.write('put', `/todos/${id}/end`, { because: null });
    expect((answer.body as { error: { code: string } }).error.code).toBe('TODO_TAKEN');
  });

  it('goes with its run when the harness is edited; a place that is gone is said, and a job opens without it', async () => {
    await left(await opened({ ...FOUND, circuitId: 'C26' }), 'F1');
    const view = (await server.http.get(`/api/harnesses/${harnessId}`)).body as HarnessView;
    const [before] = await listed();
    await server
      .write('put', `/harnesses/${harnessId}`, {
        version: view.version,
        edits: [{ do: 'removeCircuit', circuitId: 'C26' }],
      })
      .expect(200);
    const [after] = await listed();
    expect(after).toMatchObject({ id: before!.id, words: before!.words });
    const made = await begun(after!.id);
    expect(made.lost).toMatch(/^Circuit "C26" is not in the harness/);
    expect((await server.job(made.number)).job.findings).toEqual([]);
  });

  it.each([
    ['two letters', { words: 'ab' }, 422],
    ['three', { words: 'abc' }, 201],
    ['five hundred', { words: 'x'.repeat(500) }, 201],
    ['one more', { words: 'x'.repeat(501) }, 422],
    ['a circuit that is not there', { words: 'Torn', circuitId: 'C99' }, 422],
    ['a harness that is not there', { words: 'Torn', harnessId: 'H99' }, 404],
  ])('is written down with %s: %s', async (_what, sent, status) => {
    await server.write('post', '/todos', { harnessId, ...sent }).expect(status);
    expect(await listed()).toHaveLength(status === 201 ? 1 : 0);
  });
  it('is not taken into a job on another harness, nor once it is closed; nothing is added then', async () => {
    await left(await opened(FOUND), 'F1');
    const [todo] = await listed();
    const refused = async (number: string, finding: object): Promise<string> => {
      const answer = await server.write('post', `${await server.at(number)}/findings`, { finding, todoId: todo!.id });
      expect(answer.status).toBe(409);
      expect((await server.job(number)).job.findings.some(({ id }) => id === 'G1')).toBe(false);
      return (answer.body as { error: { message: string } }).error.message;
    };
    const { job } = await server.job('0147');
    const [other] = job.findings;
    const elsewhere = { ...other, id: 'G1', circuitId: job.harness.circuits.at(-1)!.id };
    const [runId] = job.harness.circuits.at(-1)!.runIds;
    const place = { runId, kind: 'corroded', fromMm: 100, toMm: 104 };
    expect(await refused('0147', { ...elsewhere, ...place })).toMatch(/on another harness/);
    await server.write('put', `/todos/${todo!.id}/end`, { because: 'Looked again: dirt.' }).expect(200);
    expect(await refused(await opened(), { ...FOUND, id: 'G1' })).toMatch(/closed on .* by Ines Valdur/);
    await server.write('post', `/todos/${todo!.id}/job`).expect(409);
  });
});
