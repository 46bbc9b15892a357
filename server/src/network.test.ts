import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type RequestOptions } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { generate } from 'selfsigned';
import { afterAll, afterEach, beforeAll, describe, expect, it, test } from 'vitest';
import { answering, ended, freePort, run, type Run } from './test/process.ts';

/** Each starts a process of its own, from source: half a minute on a machine that is busy. */
const GENEROUS_MS = 240_000;
let folder: string;
let cert: string;
let running: ChildProcess[] = [];
const at = (name: string): string => join(folder, name);

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'mendum-network-'));
  const pair = await generate([{ name: 'commonName', value: 'localhost' }]);
  const other = await generate([{ name: 'commonName', value: 'localhost' }]);
  ({ cert } = pair);
  writeFileSync(at('cert.pem'), pair.cert);
  writeFileSync(at('key.pem'), pair.private);
  writeFileSync(at('other.pem'), other.private);
}, GENEROUS_MS);
afterEach(() => {
  for (const child of running) child.kill('SIGKILL');
  running = [];
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function started(data: string, env: Readonly<Record<string, string>>): Promise<Run & { readonly port: number }> {
  const port = await freePort();
  const one = run('server/src/main.ts', [], {
    PORT: String(port),
    MENDUM_DATA: at(data),
    MENDUM_BACKUPS: at('backups'),
    ...env,
  });
  running.push(one.child);
  return { ...one, port };
}
/** Runs the command that makes an admin. */
async function admin(data: string, passphrase: string): Promise<readonly [number | null, string]> {
  const { child, said } = run(
    'server/src/cli/admin.ts',
    ['Mira', 'Aldous'],
    { MENDUM_DATA: at(data) },
    `${passphrase}\n`,
  );
  return [await ended(child), said().trim()];
}

describe('where others could ask', () => {
  test.each([
    ['HOST', '0.0.0.0', /^Others could ask this server \(HOST is 0\.0\.0\.0\), and nobody signs in yet\./],
    ['MENDUM_HOSTS', 'harness.shop', /\(MENDUM_HOSTS names harness\.shop\)/],
    ['MENDUM_PROXIES', '1', /\(MENDUM_PROXIES is 1\)/],
  ])('%s %s: it does not start before there is an admin', { timeout: GENEROUS_MS }, async (name, value, words) => {
    const { child, said } = await started('none', { [name]: value });
    expect(await ended(child)).toBe(1);
    expect(said()).toMatch(words);
    expect(said().trim().split('\n')).toHaveLength(1);
  });
  it('an admin is made by a command, and then it starts', { timeout: GENEROUS_MS }, async () => {
    expect(await admin('shop', 'crows')).toEqual([1, expect.stringMatching(/12 letters or more.*Nothing was changed/)]);
    expect(await admin('shop', 'three crows on a fence')).toEqual([0, 'Mira Aldous may sign in now, as an admin.']);
    const { port } = await started('shop', { HOST: '0.0.0.0' });
    await answering(port);
    const base = `http://127.0.0.1:${port}/api`;
    expect((await fetch(`${base}/jobs`)).status).toBe(401);
    const signIn = (secret: string) =>
      fetch(`${base}/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: 'mira aldous', secret, shared: false }),
      });
    const { headers } = await signIn('three crows on a fence');
    const cookie = (headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    expect((await fetch(`${base}/jobs`, { headers: { cookie } })).status).toBe(200);
    // While it runs, the folder is its own.
    expect(await admin('shop', 'four crows on a fence')).toEqual([1, expect.stringContaining('in use')]);
    for (const child of running) child.kill('SIGTERM');
    for (const child of running) await ended(child);
    expect(await admin('shop', 'four crows on a fence')).toEqual([
      0,
      'Mira Aldous is an admin with that passphrase now.',
    ]);
  });
});

describe('TLS', () => {
  const files = (key: string) => ({ MENDUM_TLS_CERT: at('cert.pem'), MENDUM_TLS_KEY: at(key) });
  const asked = (options: RequestOptions): Promise<{ status: number | undefined; hsts: unknown }> =>
    new Promise((done, fail) => {
      request({ ca: cert, servername: 'localhost', host: '127.0.0.1', path: '/api/health', ...options }, (answer) => {
        answer.resume();
        done({ status: answer.statusCode, hsts: answer.headers['strict-transport-security'] });
      })
        .on('error', fail)
        .end();
    });
  it(
    'is spoken with a certificate and its key, and browsers are told to stay with it',
    { timeout: GENEROUS_MS },
    async () => {
      const { port, said } = await started('tls', files('key.pem'));
      while (!said().includes('Mendum is at')) await wait(100);
      expect(said()).toContain(`https://127.0.0.1:${port}`);
      expect(await asked({ port })).toEqual({ status: 200, hsts: 'max-age=31536000' });
      await expect(fetch(`http://127.0.0.1:${port}/api/health`).then(({ status }) => status)).rejects.toThrow();
    },
  );
  test.each([
    ['a key of another certificate', () => files('other.pem'), /are no certificate with its key/],
    [
      'a file that is not there',
      () => files('nothing.pem'),
      /MENDUM_TLS_KEY names .*nothing\.pem, which cannot be read/,
    ],
    [
      'one file of the two',
      (): Readonly<Record<string, string>> => ({ MENDUM_TLS_CERT: at('cert.pem') }),
      /both files are named: MENDUM_TLS_CERT and MENDUM_TLS_KEY/,
    ],
  ])('%s: one sentence, and it does not start', { timeout: GENEROUS_MS }, async (_what, env, words) => {
    const { child, said } = await started('tls', env());
    expect(await ended(child)).toBe(1);
    expect(said()).toMatch(words);
    expect(said().trim().split('\n')).toHaveLength(1);
  });
});
