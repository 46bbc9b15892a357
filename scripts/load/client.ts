import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { performance } from 'node:perf_hooks';

/** What a server answered. */
export interface Told {
  readonly status: number;
  readonly body: unknown;
}

/** One person at a screen: asks one thing after the other over a connection that stays open. */
export interface Client {
  readonly get: (path: string) => Promise<Told>;
  readonly write: (method: 'POST' | 'PUT' | 'DELETE', path: string, content: object) => Promise<Told>;
  /** Sends a file. */
  readonly send: (path: string, type: string, content: Buffer) => Promise<Told>;
  readonly close: () => void;
}

/** @param port of a server on this machine */
export function clientOf(port: number, by: string): Client {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const ask = (method: string, path: string, body?: string | Buffer, type = 'application/json'): Promise<Told> =>
    new Promise((done, fail) => {
      const headers = body === undefined ? {} : { 'content-type': type, 'content-length': Buffer.byteLength(body) };
      const sent = request({ port, host: '127.0.0.1', agent, method, path: `/api${path}`, headers }, (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => parts.push(part));
        answer.on('error', fail);
        answer.on('end', () => {
          const text = Buffer.concat(parts).toString();
          done({ status: answer.statusCode ?? 0, body: text === '' ? undefined : JSON.parse(text) });
        });
      });
      sent.on('error', fail);
      sent.end(body);
    });
  return {
    get: (path) => ask('GET', path),
    write: (method, path, content) => ask(method, path, JSON.stringify({ writeId: randomUUID(), by, ...content })),
    send: (path, type, content) => ask('POST', path, content, type),
    close: () => agent.destroy(),
  };
}

/** What one sort of request took, all clients together. */
export interface Took {
  readonly count: number;
  readonly perSecond: number;
  readonly middleMs: number;
  readonly p99Ms: number;
  readonly worstMs: number;
  readonly statuses: Readonly<Record<number, number>>;
}

function tookOf(times: readonly number[], statuses: readonly number[], ms: number): Took {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (part: number): number => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;
  const counts: Record<number, number> = {};
  for (const status of statuses) counts[status] = (counts[status] ?? 0) + 1;
  return {
    count: times.length,
    perSecond: (times.length / ms) * 1000,
    middleMs: at(0.5),
    p99Ms: at(0.99),
    worstMs: at(1),
    statuses: counts,
  };
}

/**
 * Lets every client do one thing after the other for so long.
 * @param next what a client does next: its sort, and the request
 */
export async function load<S extends string>(
  clients: number,
  ms: number,
  next: (client: number, turn: number) => readonly [sort: S, ask: () => Promise<Told>],
): Promise<{ readonly all: Took; readonly bySort: ReadonlyMap<S, Took> }> {
  const seen = new Map<S, { times: number[]; statuses: number[] }>();
  const begun = performance.now();
  const one = async (client: number): Promise<void> => {
    for (let turn = 0; performance.now() - begun < ms; turn += 1) {
      const [sort, ask] = next(client, turn);
      const start = performance.now();
      const { status } = await ask();
      const { times, statuses } = seen.get(sort) ?? { times: [], statuses: [] };
      times.push(performance.now() - start);
      statuses.push(status);
      seen.set(sort, { times, statuses });
    }
  };
  await Promise.all(Array.from({ length: clients }, (_, client) => one(client)));
  const took = performance.now() - begun;
  const every = [...seen.values()];
  return {
    all: tookOf(
      every.flatMap(({ times }) => times),
      every.flatMap(({ statuses }) => statuses),
      took,
    ),
    bySort: new Map([...seen].map(([sort, { times, statuses }]) => [sort, tookOf(times, statuses, took)])),
  };
}
