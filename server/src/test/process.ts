import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';

const ROOT = resolve(import.meta.dirname, '../../..');

/** A port that nobody uses at the moment. */
export const freePort = (): Promise<number> =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.on('error', fail);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** A process of the server's own sources, and what it has said so far. */
export interface Run {
  readonly child: ChildProcess;
  readonly said: () => string;
}

/** Starts a source of the server in a process of its own. @param input what is piped into it */
export function run(source: string, args: readonly string[], env: Readonly<Record<string, string>>, input = ''): Run {
  const child = spawn(process.execPath, ['--import', 'tsx', source, ...args], {
    cwd: ROOT,
    env: { ...process.env, LOG_LEVEL: 'error', ...env },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  child.stdin.end(input);
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (part: Buffer) => {
      said += part.toString();
    });
  return { child, said: () => said };
}

/** Waits until a server answers. */
export async function answering(port: number): Promise<void> {
  for (let tries = 0; tries < 800; tries += 1) {
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

/** How a process ended, once all is said. */
export const ended = (child: ChildProcess): Promise<number | null> =>
  new Promise((done) => {
    if (child.exitCode !== null || child.signalCode !== null) done(child.exitCode);
    else child.once('close', (code) => done(code));
  });
