import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest';
import { writeWorkbook } from '@mendum/core/spreadsheet';

const ROOT = resolve(import.meta.dirname, '../../..');
const run = (args: readonly string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'server/src/cli/pinout.ts', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
  });
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'mendum-pinout-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: string | Uint8Array): string => {
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};
const SHEET = [
  ['Circuit', 'From', 'To', 'Size', 'Colour'],
  ['7', 'X31-1', 'X32-4', '1,5', 'RD/BK'],
  ['8', 'X31-2', 'X32-5', '16 AWG', 'same'],
];
const LINES = SHEET.map((row) => row.join(';')).join('\n');

describe('the command that reads a pinout', () => {
  it('prints the circuits of a CSV and of an XLSX file alike', async () => {
    const [csv, xlsx] = [run([file('a.csv', LINES)]), run([file('a.xlsx', await writeWorkbook(SHEET, 'X31'))])];
    expect([csv.status, csv.stderr, xlsx.status]).toEqual([0, '', 0]);
    expect(xlsx.stdout).toBe(csv.stdout);
    expect(JSON.parse(csv.stdout)).toMatchObject({
      colours: 'iec',
      circuits: [
        { number: '7', to: { nodeId: 'X32', cavity: '4' } },
        { number: '8', wire: { size: { basis: 'awg', awg: 16 }, colour: { base: 'red', stripe: 'black' } } },
      ],
    });
  });
  it('reads against a harness, whose cavities count', () => {
    const { status, stderr } = run([
      file('b.csv', LINES.replace('X31-1', 'X31-99')),
      '--harness',
      'docs/formats/examples/harvester.json',
    ]);
    expect(status).toBe(2);
    expect(stderr).toContain('X31 has no cavity 99.');
  });
  test.each([
    ['a bad line', ['c.csv', LINES.replace('1,5', 'thick')], [], 'PINOUT', /"line":2,"column":"D, Size"/],
    ['an open question', ['d.csv', LINES.replace('RD/BK', 'B')], [], 'PINOUT', /"kind":"colours"/],
    ['no sheet', ['e.bin', '\u0000\u0001'], [], 'SHEET', /control characters/],
    ['a sheet that is not in it', ['f.csv', LINES], ['--sheet', 'X9'], 'USAGE', /no sheet \\"X9\\"/],
    ['a word that is none', ['g.csv', LINES], ['--bare', 'inches'], 'USAGE', /--bare is \\"inches\\"/],
  ] as const)('%s: ends with 2 and an error object on standard error', (_name, [name, content], args, code, text) => {
    const { status, stdout, stderr } = run([file(name, content), ...args]);
    expect([status, stdout]).toEqual([2, '']);
    expect((JSON.parse(stderr) as { error: { code: string } }).error.code).toBe(code);
    expect(stderr).toMatch(text);
  });
});
