import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AnswerOf } from '@mendum/core/operations';

const ROOT = resolve(import.meta.dirname, '../..');
let dataDir: string;
let running: ChildProcess[] = [];

beforeEach(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'mendum-kill-'));
});
afterEach(() => {
  for (const child of running) child.kill('SIGKILL');
  running = [];
  rmSync(dataDir, { recursive: true, force: true });
});

const freePort = (): Promise<number> =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.on('error', fail);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

function spawnServer(port: number, ...more: readonly string[]): ChildProcess {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', '--demo', ...more], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(port), MENDUM_DATA: dataDir, LOG_LEVEL: 'error' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  running.push(child);
  return child;
}

async function answering(port: number): Promise<void> {
  for (let tries = 0; tries < 400; tries += 1) {
    if (
      await fetch(`http://127.0.0.1:${port}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      return;
    await wait(150);
  }
  throw new Error('the server did not come up');
}

const ended = (child: ChildProcess): Promise<number | null> =>
  new Promise((done) => {
    if (child.exitCode !== null || child.signalCode !== null) done(child.exitCode);
    else child.once('exit', (code) => done(code));
  });

describe('a server killed while it saves', () => {
  it('loses no write that it had acknowledged', async () => {
    const port = await freePort();
    const first = spawnServer(port);
    await answering(port);
    const base = `http://127.0.0.1:${port}/api`;
    const jobs = (await (await fetch(`${base}/jobs`)).json()) as AnswerOf<'jobs'>;
    const at = `${base}/jobs/${jobs.items.find((job) => job.number === '0146')!.id}`;
    const acknowledged: string[] = [];
    let killed = false;
    const saving = (async () => {
      for (let index = 0; !killed; index += 1) {
        const id = `kept-${index}`;
        const body = JSON.stringify({
          writeId: randomUUID(),
          by: 'Ines',
          finding: { id, circuitId: 'C26', runId: 'R1', kind: 'corroded', fromMm: 1 + 3 * index, toMm: 2 + 3 * index },
        });
        const answer = await fetch(`${at}/findings`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body,
        }).catch(() => undefined);
        if (answer?.status === 201) acknowledged.push(id);
      }
    })();
    while (acknowledged.length < 12) await wait(10);
    first.kill('SIGKILL');
    killed = true;
    await saving;
    await ended(first);

    spawnServer(port);
    await answering(port);
    const kept = ((await (await fetch(at)).json()) as { job: { findings: { id: string }[] } }).job.findings.map(
      (finding) => finding.id,
    );
    expect(acknowledged.length).toBeGreaterThanOrEqual(12);
    expect(acknowledged.filter((id) => !kept.includes(id))).toEqual([]);
  });
});

describe('starting and stopping', () => {
  it('says plainly that the port is taken', async () => {
    const port = await freePort();
    spawnServer(port);
    await answering(port);
    const second = spawnServer(port);
    let words = '';
    second.stderr?.on('data', (part: Buffer) => {
      words += part.toString();
    });
    expect(await ended(second)).toBe(1);
    expect(words).toContain(`Port ${port} on 127.0.0.1 is taken`);
  });
  it('a fresh start on a taken port leaves the data of the running server alone', async () => {
    const port = await freePort();
    spawnServer(port);
    await answering(port);
    const people = async (): Promise<string[]> =>
      ((await (await fetch(`http://127.0.0.1:${port}/api/people`)).json()) as { name: string }[]).map(
        (person) => person.name,
      );
    await fetch(`http://127.0.0.1:${port}/api/people`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ writeId: randomUUID(), by: 'Kept' }),
    });
    expect(await ended(spawnServer(port, '--fresh'))).toBe(1);
    expect(existsSync(join(dataDir, 'mendum.sqlite'))).toBe(true);
    expect(await people()).toContain('Kept');
  });
  it('goes at once when it is told to, and keeps its data for the next start', async () => {
    const port = await freePort();
    const first = spawnServer(port);
    await answering(port);
    await fetch(`http://127.0.0.1:${port}/api/people`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ writeId: randomUUID(), by: 'Kept' }),
    });
    first.kill('SIGTERM');
    expect(await ended(first)).toBe(0);
    spawnServer(port);
    await answering(port);
    const people = (await (await fetch(`http://127.0.0.1:${port}/api/people`)).json()) as { name: string }[];
    expect(people.map((person) => person.name)).toContain('Kept');
  });
});
