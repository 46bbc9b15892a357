import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AnswerOf } from '@mendum/core/operations';
import { answering, ended, freePort, run, type Run } from './test/process.ts';

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

function spawnServer(port: number, ...more: readonly string[]): Run {
  const started = run('server/src/main.ts', ['--demo', ...more], { PORT: String(port), MENDUM_DATA: dataDir });
  running.push(started.child);
  return started;
}

describe('a server killed while it saves', () => {
  it('loses no write that it had acknowledged', async () => {
    const port = await freePort();
    const { child: first } = spawnServer(port);
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
    expect(await ended(second.child)).toBe(1);
    expect(second.said()).toContain(`Port ${port} on 127.0.0.1 is taken`);
  });
  it.each([
    ['on its port', (port: number) => port, 'is taken'],
    ['on another port', () => freePort(), 'is in use by Mendum at http://127.0.0.1:'],
  ] as const)('a fresh start %s leaves the data of the running server alone', async (_, portOf, words) => {
    const port = await freePort();
    spawnServer(port);
    await answering(port);
    await fetch(`http://127.0.0.1:${port}/api/people`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ writeId: randomUUID(), by: 'Kept' }),
    });
    const second = spawnServer(await portOf(port), '--fresh', '--yes');
    expect(await ended(second.child)).toBe(1);
    expect(second.said()).toContain(words);
    const people = (await (await fetch(`http://127.0.0.1:${port}/api/people`)).json()) as { name: string }[];
    expect(people.map(({ name }) => name)).toContain('Kept');
  });
  it('a server that was killed leaves no lock behind; its data is begun anew only by who agrees', async () => {
    const port = await freePort();
    const { child } = spawnServer(port);
    await answering(port);
    child.kill('SIGKILL');
    await ended(child);
    const asked = spawnServer(port, '--fresh');
    expect(await ended(asked.child)).toBe(1);
    expect(asked.said()).toMatch(/^Put \d+ jobs, \d+ records?, \d+ harnesses of .* aside, and begin with nothing\? /);
    expect(readdirSync(dataDir).filter((name) => name.startsWith('put-aside-'))).toEqual([]);
    const agreed = spawnServer(port, '--fresh', '--yes');
    await answering(port);
    const [aside = ''] = readdirSync(dataDir).filter((name) => name.startsWith('put-aside-'));
    expect(existsSync(join(dataDir, aside, 'mendum.sqlite'))).toBe(true);
    expect(agreed.said()).toContain(`What there was lies in ${join(dataDir, aside)}.`);
  });
  it('goes although a client never ends what it sends', async () => {
    const port = await freePort();
    const { child } = spawnServer(port);
    await answering(port);
    const socket = connect(port, '127.0.0.1');
    socket.on('error', () => undefined);
    socket.write('POST /api/people HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n');
    socket.write('Content-Length: 1000\r\n\r\n{"writeId":');
    await new Promise((passed) => setTimeout(passed, 300));
    child.kill('SIGTERM');
    expect(await ended(child)).toBe(0);
    socket.destroy();
  });
  it('goes at once when it is told to, and keeps its data for the next start', async () => {
    const port = await freePort();
    const { child: first } = spawnServer(port);
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

describe('the commands beside a server', () => {
  const command = async (name: string, ...args: readonly string[]) => {
    const { child, said } = run(`server/src/cli/${name}.ts`, args, { MENDUM_DATA: dataDir });
    running.push(child);
    return [await ended(child), said()] as const;
  };
  it('back its data up while it runs, check it, and bring it back once it has stopped', async () => {
    const port = await freePort();
    const { child } = spawnServer(port);
    await answering(port);
    const file = join(dataDir, '..', `${basename(dataDir)}.tar.gz`);
    try {
      const [made, words] = await command('backup', file);
      expect([made, words]).toEqual([
        0,
        expect.stringMatching(/\.tar\.gz, \d+ kB: \d+ rows in \d+ tables, 0 photo files\./),
      ]);
      expect(await command('checkData')).toEqual([0, expect.stringContaining('All is whole.')]);
      expect(await command('restore', file, '--yes')).toEqual([1, expect.stringContaining('is in use by Mendum at')]);
      child.kill('SIGTERM');
      await ended(child);
      expect(await command('restore')).toEqual([1, 'Name one backup: npm run restore -- FILE [--yes]\n']);
      expect(await command('restore', file)).toEqual([
        1,
        expect.stringContaining('add --yes to agree. Nothing was changed.'),
      ]);
      const [code, said] = await command('restore', file, '--yes');
      expect([code, said]).toEqual([
        0,
        expect.stringMatching(/^Brought back into .*\nWhat there was lies in .*put-aside-/),
      ]);
      expect(await command('checkData')).toEqual([0, expect.stringContaining('All is whole.')]);
    } finally {
      rmSync(file, { force: true });
    }
  });
});
