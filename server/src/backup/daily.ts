import { execFile } from 'node:child_process';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Backups } from '@mendum/core/operations';
import { dailyName, halfDone, madeAt, tooMany } from './keep.ts';

/** One is due so long after the newest, ms; tried again so long after one that failed; looked for so often. */
const DUE_MS = 24 * 3_600_000;
const AGAIN_MS = 3_600_000;
const LOOKED_MS = 600_000;
/** The start of the server is not held up by one. */
const FIRST_MS = 60_000;
/** Without one for so long, people are warned. */
const STALE_MS = 2 * DUE_MS;

/** The daily backups of a server. */
export interface Daily {
  readonly state: (now: Date) => Backups;
  /** Makes one if one is due, and lets those go that are too many. */
  readonly look: (now: Date) => Promise<void>;
  /** Looks from now on, as long as the process lasts. */
  readonly begin: () => void;
}

export interface DailyOptions {
  readonly folder: string;
  /** Since when there is data that could be lost. */
  readonly since: Date;
  /** Makes a backup. @returns what was made, in words @throws Error that says why not */
  readonly make: (file: string) => Promise<string>;
}

function keptIn(folder: string): Backups['kept'] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const at = madeAt(name);
      return at ? [{ name, at: at.toISOString(), bytes: statSync(join(folder, name)).size }] : [];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Looks after the daily backups in a folder. */
export function dailyBackups({ folder, since, make }: DailyOptions): Daily {
  let last: Backups['last'];
  let running = false;
  const newest = (): number => Date.parse(keptIn(folder)[0]?.at ?? '');
  const isDue = (now: Date): boolean =>
    last?.ok === false
      ? now.getTime() - Date.parse(last.at) >= AGAIN_MS
      : !(now.getTime() - newest() < DUE_MS && newest() <= now.getTime());
  const look = async (now: Date): Promise<void> => {
    if (running || !isDue(now)) return;
    running = true;
    try {
      const words = await make(join(folder, dailyName(now)));
      last = { at: now.toISOString(), ok: true, words };
      const names = readdirSync(folder);
      for (const name of [...tooMany(names), ...halfDone(names)]) rmSync(join(folder, name));
    } catch (error) {
      last = { at: now.toISOString(), ok: false, words: error instanceof Error ? error.message : String(error) };
    } finally {
      running = false;
    }
  };
  return {
    look,
    state: (now) => {
      const kept = keptIn(folder);
      const safe = kept[0] ? Date.parse(kept[0].at) : since.getTime();
      return { folder, kept, last, stale: now.getTime() - safe > STALE_MS };
    },
    begin: () => {
      const at = (): void => void look(new Date());
      setTimeout(at, FIRST_MS).unref();
      setInterval(at, LOOKED_MS).unref();
    },
  };
}

const inProcess = promisify(execFile);

/**
 * Makes backups in a process of its own, so that nobody waits meanwhile.
 * @param script the command that makes one, with what the runtime needs for it
 */
export const makeBeside =
  (script: readonly string[], dataDir: string) =>
  async (file: string): Promise<string> => {
    const env = { ...process.env, MENDUM_DATA: dataDir };
    try {
      const { stdout } = await inProcess(process.execPath, [...script, file], { env });
      return stdout.trim();
    } catch (error) {
      const { stderr } = error as { readonly stderr?: string };
      // What cannot be is one sentence; anything else is an error with the way that led to it.
      const said = stderr?.split('\n').find((line) => line.trim() !== '' && !line.startsWith(' '));
      throw new Error(said ?? String(error), { cause: error });
    }
  };
