import { vi } from 'vitest';

/** One request that a screen sent. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>> | undefined;
}

type Reply = { readonly status?: number; readonly body: unknown };

/** Stands in for the server: answers by method and path below /api, and keeps what was sent. */
export function standInServer(replies: Readonly<Record<string, Reply | ((sent: Sent) => Reply)>>): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (input: Request | string | URL, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(String(input), init);
    const path = new URL(request.url).pathname.replace('/api', '');
    const text = request.method === 'GET' ? '' : await request.text();
    const one: Sent = {
      method: request.method,
      path,
      body: text === '' ? undefined : (JSON.parse(text) as Record<string, unknown>),
    };
    sent.push(one);
    const reply = replies[`${one.method} ${path}`] ?? replies[path];
    const { status = 200, body } =
      typeof reply === 'function'
        ? reply(one)
        : (reply ?? { status: 404, body: { error: { code: 'NOT_FOUND', message: `nothing at ${path}` } } });
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  });
  return sent;
}

/** Only what changed something. */
export const writesOf = (sent: readonly Sent[]): Sent[] => sent.filter((one) => one.method !== 'GET');
