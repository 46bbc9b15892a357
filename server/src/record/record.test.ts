import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { proveAll } from '../test/prove.ts';
import { askRecords, fileOf } from '../test/files.ts';
import { asSeen, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

describe('signing', () => {
  it('is refused for splices without readings, by circuit', async () => {
    const answer = await server.write('post', `${await server.at('0146')}/sign`, asSeen(await server.job('0146')));
    expect([answer.status, answer.body]).toMatchObject([
      409,
      {
        error: {
          code: 'RECORD_REFUSED',
          message: expect.stringContaining('No readings yet for the splices of circuit 21, 22, 24'),
        },
      },
    ]);
  });
  it('keeps the procedure that was followed, who looked at it as well, and the photos', async () => {
    await proveAll(server, '0146');
    const { id, job } = await server.job('0146');
    const photo = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a8541f' } })
      .png()
      .toBuffer();
    const { body: kept } = await server.http
      .post(`/api/jobs/${id}/findings/${job.findings[0]!.id}/photos`)
      .query({ writeId: randomUUID(), by: 'Ines Valdur', name: 'seen' })
      .set('content-type', 'image/png')
      .send(photo)
      .expect(201);
    const seen = asSeen(await server.job('0146'));
    const said = { ...seen, procedure: 'Manual 7.4, page 112', checkedBy: 'Marit Fure' };
    const again = await server.write('post', `/jobs/${id}/sign`, { ...said, checkedBy: 'ines valdur' }).expect(422);
    expect((again.body as { error: { message: string } }).error.message).toContain('somebody else');
    await server.write('post', `/jobs/${id}/sign`, said).expect(201);
    const { records } = await server.job('0146');
    expect(new Set(records.map(({ body }) => `${body.procedure} ${body.checkedBy}`))).toEqual(
      new Set(['Manual 7.4, page 112 Marit Fure']),
    );
    const { id: photoId } = kept as { id: string };
    const own = records.filter(({ spliceId }) => spliceId.startsWith(`${job.findings[0]!.id}:`));
    expect(own.length).toBeGreaterThan(0);
    for (const { body } of own) expect(body.photos).toEqual([{ id: photoId, when: 'after' }]);
    expect(records.filter(({ body }) => body.photos !== undefined)).toHaveLength(own.length);
    const found = (await server.http.get('/api/records').query({ search: 'page 112' }).expect(200)).body as {
      total: number;
    };
    expect(found.total).toBe(records.length);
  });
  it('makes one record for each splice; after that the job stands', async () => {
    await proveAll(server, '0146');
    const at = await server.at('0146');
    const seen = asSeen(await server.job('0146'));
    expect((await server.write('post', `${at}/sign`, { ...seen, note: 'salt washed off' })).body).toMatchObject({
      records: 5,
    });
    const view = await server.job('0146');
    expect(view.status).toBe('signed');
    expect(view.records[0]?.body).toMatchObject({ note: 'salt washed off', signedBy: 'Ines Valdur' });
    expect(
      (
        await server.write('post', `${at}/findings`, {
          finding: { id: 'x', circuitId: 'C26', runId: 'R1', kind: 'parted', fromMm: 10, toMm: 20 },
        })
      ).body,
    ).toMatchObject({ error: { code: 'JOB_SIGNED' } });
  });
});

describe('a signed record', () => {
  it('is corrected by a new row that names the old one, once', async () => {
    const [record] = (await server.job('0126')).records;
    await server.write('post', `/records/${record!.id}/corrections`, { text: 'The tool was number 4.' }).expect(201);
    const { records } = await server.job('0126');
    expect(records.map((one) => [one.replacesId, one.body.corrections?.map(({ text }) => text)])).toEqual([
      [undefined, undefined],
      [record!.id, ['The tool was number 4.']],
    ]);
    expect((await server.write('post', `/records/${record!.id}/corrections`, { text: 'No, 5.' })).status).toBe(409);
  });
  it('stays of who made it and when, with its note, however often and by whom it is corrected', async () => {
    const [record] = (await server.job('0126')).records;
    const { signedBy, signedAt, note } = record!.body;
    const correct = async (id: string, text: string, by: string): Promise<string> =>
      ((await server.write('post', `/records/${id}/corrections`, { text, by }).expect(201)).body as { id: string }).id;
    const once = await correct(record!.id, 'The tool was number 4.', 'Odd Kvam');
    const twice = await correct(once, 'No, number 5.', 'Marit Fure');
    const { body } = (await server.job('0126')).records.find(({ id }) => id === twice)!;
    expect(body).toMatchObject({
      signedBy,
      signedAt,
      note,
      corrections: [
        { by: 'Odd Kvam', text: 'The tool was number 4.' },
        { by: 'Marit Fure', text: 'No, number 5.' },
      ],
    });
    // The row of the chain is signed by who wrote it.
    const { records } = (await askRecords(server, '0126', 'json')).body as {
      records: { id: string; signedBy: string }[];
    };
    expect(records.find(({ id }) => id === twice)?.signedBy).toBe('Marit Fure');
    const found = (await server.http.get('/api/records').query({ search: 'number 5' }).expect(200)).body as {
      items: { recordId: string }[];
    };
    expect(found.items.map(({ recordId }) => recordId)).toEqual([twice]);
  });
  it('goes out as JSON, newest only', async () => {
    const [record] = (await server.job('0126')).records;
    await server.write('post', `/records/${record!.id}/corrections`, { text: 'Right now.' }).expect(201);
    const body = (await askRecords(server, '0126', 'json')).body as {
      format: string;
      records: { body: { corrections: { text: string }[] } }[];
    };
    expect(body).toMatchObject({ format: 'mendum-record', version: 2 });
    expect(body.records.map((one) => one.body.corrections.map(({ text }) => text))).toEqual([['Right now.']]);
  });
  it('goes out as CSV in which nothing is a formula', async () => {
    await proveAll(server, '0146');
    const at = await server.at('0146');
    const seen = asSeen(await server.job('0146'));
    await server.write('post', `${at}/sign`, { ...seen, note: '=HYPERLINK("x")' }).expect(201);
    const answer = await askRecords(server, '0146', 'csv');
    expect(answer.headers['content-type']).toContain('text/csv');
    const [head, row] = answer.text.replace('\uFEFF', '').split('\n');
    expect(head).toMatch(/^job,machine,harness,circuit,/);
    expect(row).toContain(`"'=HYPERLINK(`);
  });
  it('goes out as a PDF', async () => {
    const { bytes } = await fileOf(server.http.get(`/api${await server.at('0126')}/record.pdf`));
    expect(Buffer.from(bytes.subarray(0, 5)).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(5000);
  });
  it('there is no table of a job that is not signed', async () =>
    expect((await askRecords(server, '0146', 'csv')).body).toMatchObject({
      error: { code: 'RECORD_REFUSED' },
    }));
});

describe('the demo', () => {
  it('has the harvester open with its findings, and five finished repairs', async () => {
    const jobs = await server.list('jobs');
    expect(jobs.filter((job) => job.status === 'signed')).toHaveLength(5);
    expect((await server.job('0147')).job).toMatchObject({
      machine: { name: 'Ovrell 420' },
      harness: { circuits: { length: 14 } },
      findings: { length: 6 },
    });
  });
  it('has temporary repairs due, two of them overdue, and one repair that failed and was made again', async () => {
    const due = await server.list('due');
    expect(due.map((one) => one.overdue)).toEqual([true, true, false]);
    expect((await server.job('0126')).records[0]?.body).toMatchObject({ redos: 1 });
  });
  it('stores each harness once, however many jobs there were on it', async () => {
    expect(await server.list('harnesses')).toHaveLength(5);
  });
  it('breaks no rule of the layout on the harvester, and leaves nothing to a person', async () => {
    const plan = await server.plan('0147');
    expect(plan.runs.flatMap((run) => run.broken).filter((rule) => rule.strength !== 'wish')).toEqual([]);
    expect(plan.findings.filter((finding) => finding.asks.length > 0)).toEqual([]);
  });
});
