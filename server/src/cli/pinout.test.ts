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
  it('takes answers, and says what it takes the sheet for and what became of every line', () => {
    const path = file('q.csv', `Loom W9\n${LINES.replace('1,5', '16').replace('RD/BK', 'B')}\n\nspare;X31-3;;;`);
    const open = run([path]);
    expect(open.status).toBe(2);
    expect((JSON.parse(open.stderr) as { questions: { key: string }[] }).questions.map(({ key }) => key)).toEqual([
      'colours',
      'size:16',
    ]);
    const told = run([path, '--answer', 'colours=japanese', '--answer', 'size:16=trade']);
    expect([told.status, told.stderr]).toEqual([0, '']);
    expect(JSON.parse(told.stdout)).toMatchObject({
      circuits: [{ wire: { colour: { base: 'black' }, size: { basis: 'trade', awg: 16 } } }, {}],
      lists: [{ fromColumn: 'A', toColumn: 'E', headerLine: 2, firstLine: 3, lastLine: 6, ends: 'both' }],
      sum: { leftOut: 2, circuit: 2, empty: 1 },
    });
  });
  it('reads a sheet without headers once it is told what its columns hold', () => {
    const path = file('n.csv', '1,301,RD,1.5,X2-1\n2,302,BK,1.5,X2-2');
    const columns = ['0=fromCavity', '1=number', '2=colour', '3=size', '4=to'].flatMap((column) => [
      '--column',
      column,
    ]);
    const { status, stdout } = run([path, '--header', '0', ...columns, '--answer', 'from=X9']);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      circuits: [
        { number: '301', from: { nodeId: 'X9', cavity: '1' }, to: { nodeId: 'X2', cavity: '1' } },
        { number: '302' },
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
    ['an open question', ['d.csv', LINES.replace('RD/BK', 'B')], [], 'PINOUT', /"key":"colours"/],
    ['no sheet', ['e.bin', '\u0000\u0001'], [], 'SHEET', /control characters/],
    ['a sheet that is not in it', ['f.csv', LINES], ['--sheet', 'X9'], 'USAGE', /no sheet \\"X9\\"/],
    ['an answer without a key', ['g.csv', LINES], ['--answer', 'awg'], 'USAGE', /--answer is \\"awg\\"/],
    [
      'a column that holds nothing known',
      ['i.csv', LINES],
      ['--column', '0=weight'],
      'USAGE',
      /--column is \\"0=weight\\"/,
    ],
    ['a header that is no line', ['h.csv', LINES], ['--header', 'two'], 'USAGE', /--header is \\"two\\"/],
  ] as const)('%s: ends with 2 and an error object on standard error', (_name, [name, content], args, code, text) => {
    const { status, stdout, stderr } = run([file(name, content), ...args]);
    expect([status, stdout]).toEqual([2, '']);
    expect((JSON.parse(stderr) as { error: { code: string } }).error.code).toBe(code);
    expect(stderr).toMatch(text);
  });
});
