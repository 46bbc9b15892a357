import type request from 'supertest';
import type { TestServer } from './server.ts';

/** A file as a server gives it out: its name and its bytes. */
export interface GivenFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** Waits for a file that a server gives out. */
export async function fileOf(asked: request.Test): Promise<GivenFile> {
  const answer = await asked
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = [];
      res.on('data', (part: Buffer) => parts.push(part));
      res.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return {
    name: /filename="?([^";]+)"?/.exec(answer.headers['content-disposition'] ?? '')?.[1] ?? '',
    bytes: new Uint8Array(answer.body as Buffer),
  };
}

/** Asks for the records of a job, as they are given out. */
export const askRecords = async (server: TestServer, number: string, as: 'json' | 'csv' | 'xlsx') =>
  server.http.get(`/api/export/records.${as}`).query({ jobId: (await server.job(number)).id });
