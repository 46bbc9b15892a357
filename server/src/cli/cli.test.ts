import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it, test } from 'vitest';
import { jobFileJsonSchema, manifestJsonSchema, recordsJsonSchema, readJobFile } from '@mendum/core/interchange';
import type { Plan } from '@mendum/core/plan';
import { EXAMPLES } from './examples.ts';

const ROOT = resolve(import.meta.dirname, '../../..');
const FOLDER = join(ROOT, 'docs/formats/examples');
const planCommand = (args: readonly string[], input?: string) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'server/src/cli/main.ts', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    ...(input === undefined ? {} : { input }),
  });
const errorOf = (stderr: string) =>
  JSON.parse(stderr) as {
    error: { code: string; field: string; message: string; hint: string };
    problems: { pointer: string }[];
  };
const harvester = readFileSync(join(FOLDER, 'harvester.json'), 'utf8');

describe('the command that plans a file', () => {
  it('prints the plan as JSON and ends with 0', () => {
    const { status, stdout, stderr } = planCommand([join(FOLDER, 'harvester.json')]);
    const plan = JSON.parse(stdout) as Plan;
    expect([status, stderr]).toEqual([0, '']);
    expect(plan).toMatchObject({ format: 'mendum-plan', version: 1, totals: { findings: 6, splices: 9, covers: 1 } });
    expect(stdout.trim().split('\n')).toHaveLength(1);
  });
  it('reads standard input as "-", and prints for reading with --pretty', () => {
    const { status, stdout } = planCommand(['-', '--pretty'], harvester);
    expect(status).toBe(0);
    expect(stdout.split('\n')[1]).toBe('  "format": "mendum-plan",');
  });
  test.each([
    [
      'a bad field',
      ['-'],
      harvester.replace('"fromMm": 545', '"fromMm": 5450'),
      'FINDING_NO_LENGTH',
      '/job/findings/0/toMm',
    ],
    ['a bad kind', ['-'], harvester.replace('"corroded"', '"rusty"'), 'BAD_VALUE', '/job/findings/4/kind'],
    ['no JSON', ['-'], 'parted', 'NOT_JSON', ''],
    ['an empty file', ['-'], '', 'NOT_JSON', ''],
    ['a file that is not there', ['nowhere.json'], undefined, 'NO_FILE', ''],
    ['no file named', [], undefined, 'USAGE', ''],
    ['an option that is none', ['--fast', 'x.json'], undefined, 'USAGE', ''],
  ] as const)('%s: ends with 2 and an error object on standard error', (_why, args, input, code, field) => {
    const { status, stdout, stderr } = planCommand(args, input);
    expect([status, stdout]).toEqual([2, '']);
    expect(errorOf(stderr)).toMatchObject({
      error: { code, field, message: expect.any(String), hint: expect.any(String) },
    });
  });
});

describe('the format', () => {
  const schema = JSON.parse(readFileSync(join(ROOT, 'docs/formats/job.schema.json'), 'utf8')) as object;
  const validate = new Ajv2020({ allErrors: true, useDefaults: false, strict: false }).compile(schema);
  const example = (): Record<string, never> => JSON.parse(harvester) as Record<string, never>;

  test.each(Object.entries(EXAMPLES))('%s is the demo as it is, fits the schema, and can be planned', (name, make) => {
    const text = readFileSync(join(FOLDER, name), 'utf8');
    expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(make())));
    expect(validate(JSON.parse(text)), JSON.stringify(validate.errors)).toBe(true);
    expect(() => readJobFile(text)).not.toThrow();
  });
  it('is published as it is checked', () => expect(schema).toEqual(JSON.parse(JSON.stringify(jobFileJsonSchema()))));
  it.each([
    ['parcel.schema.json', manifestJsonSchema],
    ['record.schema.json', recordsJsonSchema],
  ])('%s is published as it is checked', (name, made) =>
    expect(JSON.parse(readFileSync(join(ROOT, 'docs/formats', name), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(made())),
    ),
  );
  it('has three examples and no others lying about', () =>
    expect(readdirSync(FOLDER).sort()).toEqual(Object.keys(EXAMPLES).sort()));

  // What the schema refuses the reader refuses, and the other way round, for everything that concerns a field by
  // itself.
  test.each([
    ['/version', 2],
    ['/practice', 'x'],
    ['/shelf', 'empty'],
    ['/shelf', { without: 'x' }],
    ['/job/title', ''],
    ['/job/machine/systemVoltageV', 0],
    ['/job/harness/runs/0/lengthMm', 0],
    ['/job/harness/runs/0/zone/moisture', 'soggy'],
    ['/job/harness/circuits/0/wire/size', { basis: 'trade', awg: 15 }],
    ['/job/harness/circuits/0/wire/colour/base', 'mauve'],
    ['/job/harness/circuits/0/runIds', []],
    ['/job/harness/nodes/0/id', 'two words'],
    ['/job/findings/0/kind', 'strandsLost'],
    ['/job/findings/0/slackMm', -1],
    ['/job/findings/0/temporaryUntil', 'soon'],
    ['/job/findings/1/strandsLost', 0],
    ['/job/gate/isolation/how', 'hoped'],
    ['/job/asOf', '20 May'],
    ['/job/findings/0/extra', 1],
  ])('%s = %j is refused by both', (pointer, value) => {
    const file = example();
    const path = pointer.split('/').slice(1);
    let at: Record<string, never> = file;
    for (const part of path.slice(0, -1)) at = at[part] as unknown as Record<string, never>;
    Object.assign(at, { [path.at(-1)!]: value });
    expect(validate(file)).toBe(false);
    expect(() => readJobFile(JSON.stringify(file))).toThrow();
  });
});
