import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { addHours } from 'date-fns';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dailyBackups, makeBeside } from './daily.ts';
import { dailyName } from './keep.ts';

const BEGAN = new Date(2031, 4, 20, 3, 0, 0);
let folder: string;
let works: boolean;
beforeEach(() => {
  folder = join(mkdtempSync(join(tmpdir(), 'mendum-daily-')), 'backups');
  works = true;
});
afterEach(() => rmSync(dirname(folder), { recursive: true, force: true }));

const make = (file: string): Promise<string> => {
  if (!works) return Promise.reject(new Error('The disk is full: no backup was made.'));
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, 'x');
  return Promise.resolve('16 photo files.');
};
const daily = () => dailyBackups({ folder, since: BEGAN, make });
const count = () => daily().state(BEGAN).kept.length;

describe('a daily backup', () => {
  it('is made when there is none, and again a day after the newest, whoever made that', async () => {
    const first = daily();
    await first.look(BEGAN);
    await first.look(addHours(BEGAN, 23));
    expect(count()).toBe(1);
    const afterRestart = daily();
    await afterRestart.look(addHours(BEGAN, 23));
    expect(count()).toBe(1);
    await afterRestart.look(addHours(BEGAN, 24));
    expect(count()).toBe(2);
    expect(afterRestart.state(addHours(BEGAN, 24))).toMatchObject({
      folder,
      last: { ok: true, words: '16 photo files.' },
      kept: [{ at: addHours(BEGAN, 24).toISOString(), bytes: 1 }, { at: BEGAN.toISOString() }],
      stale: false,
    });
  });
  it('that failed says why, and is tried again an hour later', async () => {
    const one = daily();
    works = false;
    await one.look(BEGAN);
    expect(one.state(BEGAN).last).toMatchObject({ ok: false, words: 'The disk is full: no backup was made.' });
    works = true;
    await one.look(addHours(BEGAN, 0.9));
    expect(count()).toBe(0);
    await one.look(addHours(BEGAN, 1));
    expect(count()).toBe(1);
  });
  it('is made although the clock was set back behind the newest', async () => {
    const one = daily();
    await one.look(BEGAN);
    await one.look(addHours(BEGAN, -30));
    expect(count()).toBe(2);
  });
  it.each([
    ['no data for two days yet', 47, undefined, false],
    ['data for two days, and never a backup', 49, undefined, true],
    ['the newest two days old', 60, 13, false],
    ['the newest more than two days old', 60, 11, true],
  ] as const)('%s', async (_, hours, madeAfter, stale) => {
    const one = daily();
    if (madeAfter !== undefined) await one.look(addHours(BEGAN, madeAfter));
    expect(one.state(addHours(BEGAN, hours)).stale).toBe(stale);
  });
  it('goes when it is too many; what else lies there stays', async () => {
    mkdirSync(folder);
    writeFileSync(join(folder, 'mendum-2031-05-20.tar.gz'), 'mine');
    writeFileSync(join(folder, 'mendum-2031-05-20.tar.gz.partial'), 'mine, under way');
    writeFileSync(join(folder, `${dailyName(BEGAN)}.partial`), 'stopped half-way');
    const one = daily();
    for (let day = 0; day < 60; day += 1) await one.look(addHours(BEGAN, 24 * day));
    expect(count()).toBeLessThanOrEqual(7 + 5 + 12);
    expect(count()).toBeGreaterThanOrEqual(7 + 3);
    expect(readdirSync(folder)).toContain('mendum-2031-05-20.tar.gz');
    expect(readdirSync(folder).filter((name) => name.endsWith('.partial'))).toEqual([
      'mendum-2031-05-20.tar.gz.partial',
    ]);
  });
});

describe('a backup made in a process of its own', () => {
  const beside = (code: string) => makeBeside(['-e', code], folder)('a.tar.gz');
  it('tells what was made', async () =>
    expect(
      await beside('console.log(process.env.MENDUM_DATA === undefined ? "" : "made " + process.argv.at(-1))'),
    ).toBe('made a.tar.gz'));
  it.each([
    ['a sentence', 'console.error("The disk is full."); process.exit(1)', 'The disk is full.'],
    ['an error', 'console.error("Error: no\\n    at here\\n\\nNode.js v20"); process.exit(1)', 'Error: no'],
  ])('fails with %s', async (_, code, words) => expect(beside(code)).rejects.toThrow(new Error(words)));
});
