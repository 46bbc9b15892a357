import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import Sqlite from 'better-sqlite3';
import type { AnswerOf } from '@mendum/core/operations';
import { answering, ended, freePort, run } from '../server/src/test/process.ts';
import { clientOf, load, type Client, type Told, type Took } from './load/client.ts';

// Fifty people at once: how many of the smallest write, and of what a busy day brings, a server answers in a second;
// against rows inserted by SQLite alone, one by one at the same safety, in the same minute and folder.
const CLIENTS = 50;
const JOBS = 10;
const MS = Number(process.argv[2] ?? 10_000);

const folder = mkdtempSync(join(tmpdir(), 'mendum-load-'));
const port = await freePort();
const { child, said } = run('server/dist/main.js', ['--demo'], {
  PORT: String(port),
  MENDUM_DATA: join(folder, 'data'),
  MENDUM_BACKUPS: join(folder, 'backups'),
  NODE_ENV: 'production',
});

/** Rows that SQLite alone inserts in a second, each on the disk before the next. */
function rawPerSecond(): number {
  const file = join(folder, `raw-${performance.now()}.sqlite`);
  const raw = new Sqlite(file);
  raw.pragma('journal_mode = WAL');
  raw.pragma('synchronous = FULL');
  // The row that the smallest write leaves: its receipt.
  raw.exec('CREATE TABLE receipt (writeId TEXT PRIMARY KEY, at TEXT, digest TEXT, status INTEGER, body TEXT)');
  const insert = raw.prepare('INSERT INTO receipt VALUES (?, ?, ?, ?, ?)');
  const digest = '0'.repeat(64);
  const begun = performance.now();
  let count = 0;
  for (; performance.now() - begun < MS / 5; count += 1)
    insert.run(randomUUID(), new Date().toISOString(), digest, 201, '{"name":"Person 17"}');
  const perSecond = (count / (performance.now() - begun)) * 1000;
  raw.close();
  return perSecond;
}

const ms = (value: number): string => `${value.toFixed(value < 10 ? 1 : 0)} ms`;
const inWords = ({ count, perSecond, middleMs, p99Ms, worstMs, statuses }: Took): string =>
  `${perSecond.toFixed(0)}/s (${count}: ${Object.entries(statuses)
    .map(([status, times]) => `${times} of ${status}`)
    .join(', ')}), middle ${ms(middleMs)}, p99 ${ms(p99Ms)}, worst ${ms(worstMs)}`;

async function measured<S extends string>(
  title: string,
  target: number,
  next: (client: number, turn: number) => readonly [S, () => Promise<Told>],
): Promise<void> {
  const before = rawPerSecond();
  const { all, bySort } = await load(CLIENTS, MS, next);
  const raw = (before + rawPerSecond()) / 2;
  console.log(`${title}, ${CLIENTS} clients: ${inWords(all)}`);
  console.log(
    `  ${(all.perSecond / raw).toFixed(3)} of ${raw.toFixed(0)}/s raw inserts (target ${target}; p99 under 250 ms, none over 1000 ms)`,
  );
  if (bySort.size > 1) for (const [sort, took] of bySort) console.log(`  ${sort}: ${inWords(took)}`);
}

interface JobAt {
  readonly id: string;
  readonly splice: { readonly id: string; readonly steps: readonly { readonly id: string }[] };
  /** Findings that were added so far, and those that stand. */
  added: number;
  readonly standing: string[];
}

/** A job on the harness of the demo's 0146, made safe, with a finding that is worked on. */
async function jobOf(client: Client, harnessId: string): Promise<JobAt> {
  const opened = await client.write('POST', '/jobs', { title: 'Load', harnessId });
  const { id } = opened.body as { id: string };
  if (opened.status !== 201) throw new Error(JSON.stringify(opened));
  await client.write('PUT', `/jobs/${id}/gate/isolation`, { version: 1, how: 'batteryOff' });
  const finding = { id: 'F', circuitId: 'C26', runId: 'R1', kind: 'corroded', fromMm: 300, toMm: 310 };
  await client.write('POST', `/jobs/${id}/findings`, { finding });
  const { body } = await client.get(`/jobs/${id}/plan`);
  const splice = (body as { findings: { splices: JobAt['splice'][] }[] }).findings[0]?.splices[0];
  if (!splice) throw new Error(`no splice in ${JSON.stringify([opened, body]).slice(0, 600)}`);
  return { id, splice, added: 0, standing: [] };
}

try {
  await answering(port);
  const clients = Array.from({ length: CLIENTS }, (_, index) => clientOf(port, `Person ${index}`));
  const [first] = clients as [Client];
  const demo = ((await first.get('/jobs')).body as AnswerOf<'jobs'>).items.find(({ number }) => number === '0146');
  const { harnessId } = (await first.get(`/jobs/${demo?.id ?? ''}`)).body as AnswerOf<'job'>;
  const jobs: JobAt[] = [];
  for (let index = 0; index < JOBS; index += 1) jobs.push(await jobOf(first, harnessId));
  const at = (client: number): Client => clients[client] as Client;
  const small = (client: number) => ['at the bench', () => at(client).write('POST', '/people', {})] as const;
  await load(CLIENTS, MS / 5, small);
  await measured('smallest write', 0.3, small);

  const mixed = (client: number, turn: number) => {
    const job = jobs[client % JOBS] as JobAt;
    const own = at(client);
    // Half of the jobs are surveyed, and half worked on.
    const atBench = client % 2 === 0;
    switch (turn % 5) {
      case 0:
        return ['list of jobs', () => own.get('/jobs?status=open')] as const;
      case 1:
      case 4:
        return ['a job', () => own.get(`/jobs/${job.id}`)] as const;
      case 2: {
        const step = job.splice.steps[turn % job.splice.steps.length]?.id;
        const steps = [{ stepId: step, spliceId: job.splice.id }];
        if (atBench)
          return ['tick', () => own.write('PUT', `/jobs/${job.id}/ticks`, { steps, done: true, version: 1 })] as const;
        if (job.standing.length > 4) {
          const id = job.standing.shift() ?? '';
          return [
            'finding away',
            () => own.write('DELETE', `/jobs/${job.id}/findings/${id}`, { version: 1, jobVersion: 1 }),
          ] as const;
        }
        const mm = 20 + (job.added % 90) * 3;
        const id = `F${(job.added += 1)}`;
        const finding = {
          id,
          circuitId: 'C21',
          runId: 'R1',
          kind: 'corroded',
          fromMm: mm,
          toMm: mm + 1,
        };
        const add = async (): Promise<Told> => {
          const told = await own.write('POST', `/jobs/${job.id}/findings`, { finding });
          if (told.status === 201) job.standing.push(id);
          return told;
        };
        return ['finding', add] as const;
      }
      default:
        return ['at the bench', () => own.write('POST', '/people', {})] as const;
    }
  };
  await measured('mixed load', 0.1, mixed);
  for (const client of clients) client.close();
  const begun = performance.now();
  child.kill('SIGTERM');
  await ended(child);
  console.log(`ended ${ms(performance.now() - begun)} after SIGTERM`);
} catch (error) {
  console.log(said().slice(-2000));
  throw error;
} finally {
  child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
}
