import { vi } from 'vitest';
import type { HarnessView, JobState, JobView, Page } from '@mendum/core/operations';

/** One request that a screen sent. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly query: URLSearchParams;
  readonly body: Readonly<Record<string, unknown>> | undefined;
}

type Reply = { readonly status?: number; readonly body: unknown };

/** Stands in for the server: answers by method and path below /api, and keeps what was sent. */
export function standInServer(
  replies: Readonly<Record<string, Reply | ((sent: Sent) => Reply | Promise<Reply>)>>,
): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (input: Request | string | URL, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(String(input), init);
    const { pathname, searchParams } = new URL(request.url);
    const path = pathname.replace('/api', '');
    // A file is not looked into.
    const isJson = request.headers.get('content-type')?.includes('json') ?? false;
    const text = request.method === 'GET' || !isJson ? '' : await request.text();
    const one: Sent = {
      method: request.method,
      path,
      query: searchParams,
      body: text === '' ? undefined : (JSON.parse(text) as Record<string, unknown>),
    };
    sent.push(one);
    const reply = replies[`${one.method} ${path}`] ?? replies[path];
    const { status = 200, body } =
      typeof reply === 'function'
        ? await reply(one)
        : (reply ?? { status: 404, body: { error: { code: 'NOT_FOUND', message: `nothing at ${path}` } } });
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  });
  return sent;
}

/** Only what changed something. */
export const writesOf = (sent: readonly Sent[]): Sent[] => sent.filter((one) => one.method !== 'GET');

/** A list that has only one page. */
export const pageOf = <T>(items: readonly T[]): Page<T> => ({ items, total: items.length });

/** The answers by which a job is read: itself, its harness, its practice and its shelf. */
export function answersOf(view: JobView): Readonly<Record<string, Reply>> {
  const { job, practice, catalogue, ...state } = view;
  const { machine, harness, ...inner } = job;
  return {
    [`GET /jobs/${view.id}`]: { body: { ...state, job: inner } satisfies JobState },
    [`GET /jobs/${view.id}/shelf`]: { body: catalogue },
    [`GET /practices/${view.practiceId}`]: { body: practice },
    [`GET /harnesses/${view.harnessId}`]: {
      body: {
        ...harness,
        id: view.harnessId,
        version: view.harnessVersion,
        machineId: machine.id,
        machine: machine.name,
        machineKind: machine.kind,
        systemVoltageV: machine.systemVoltageV,
      } satisfies HarnessView,
    },
  };
}
