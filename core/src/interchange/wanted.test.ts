import { describe, expect, it, test } from 'vitest';
import type Joi from 'joi';
import { fieldAt, inWords, unitOf, wantedOf, withoutEmpty } from './schema/wanted.ts';
import { describe as described } from './schema/described.ts';
import { circuitSchema, findingSchema, partSchema, runSchema, toolSchema } from './schemas.ts';

const WORDS: readonly [string, Joi.Schema, string, object, string][] = [
  ['a fuse', circuitSchema, 'fuseA', {}, 'Enter a number above 0, up to 5,000 A, or leave it empty.'],
  ['a load', circuitSchema, 'loadA', {}, 'Enter a number from 0 to 5,000 A, or leave it empty.'],
  ['a number', circuitSchema, 'number', {}, 'Enter 1 to 20 characters.'],
  ['a kind of many', circuitSchema, 'kind', {}, 'Choose one of the list.'],
  [
    'strands, whole',
    circuitSchema,
    'wire.conductor.strands',
    {},
    'Enter a whole number from 2 to 2,000, or leave it empty.',
  ],
  [
    'the area of a metric size',
    circuitSchema,
    'wire.size.areaMm2',
    { wire: { size: { basis: 'metric' } } },
    'Enter a number from 0.05 to 120 mm².',
  ],
  ['a conduit', runSchema, 'conduitInsideMm', {}, 'Enter a number above 0, up to 500 mm, or leave it empty.'],
  ['heat', runSchema, 'zone.ambientC', {}, 'Enter a number from -60 to 400 °C, or leave it empty.'],
  [
    'a limit that is another field',
    toolSchema,
    'range.maxMm2',
    { range: { minMm2: 4 } },
    'Enter a number above 4, up to 500 mm².',
  ],
  ['a day', toolSchema, 'calibratedUntil', {}, 'Enter a date like 2030-05-31, or leave it empty.'],
  ['work that a tool does', toolSchema, 'tasks', {}, 'Choose at least one.'],
  ['a figure of one kind of part', partSchema, 'gripMm.maxMm', { kind: 'tape' }, ''],
  ['a place on the wire', findingSchema, 'freedEndMm', {}, 'Enter a number above 0, up to 200 mm, or leave it empty.'],
];

describe('what a field takes is said from its schema', () => {
  test.each(WORDS)('%s', (_name, schema, path, thing, words) => {
    const steps = path.split('.');
    const field = fieldAt(described(schema), steps, thing);
    const beside = steps
      .slice(0, -1)
      .reduce<unknown>((at, step) => (at as Record<string, unknown> | undefined)?.[step], thing);
    expect(field ? wantedOf(field, steps.at(-1) ?? '', beside) : '').toBe(words);
  });
  test.each([
    ['fuseA', 'A'],
    ['areaMm2', 'mm²'],
    ['toMm', 'mm'],
    ['ambientC', '°C'],
    ['systemVoltageV', 'V'],
    ['number', ''],
  ])('%s is in “%s”', (name, unit) => expect(unitOf(name)).toBe(unit));
  it('and a schema that has words of its own keeps them', () => {
    const nest = { name: 'a|b', range: { minMm2: 1, maxMm2: 2 }, stroke: 'both' };
    const tool = { id: 't', name: 'T', tasks: ['crimpClip'], ratchet: true, nests: [nest] };
    expect(inWords(toolSchema).validate(tool).error?.message).toBe('A nest is named without “|” and “;”.');
  });
});

describe('what was typed, without what was left empty', () => {
  test.each<[string, Joi.Schema, object, object]>([
    ['an empty text is none', toolSchema, { name: ' ', calibratedUntil: '' }, {}],
    ['a comma in a figure is a point', circuitSchema, { fuseA: '7,5', number: '7,5' }, { fuseA: '7.5', number: '7,5' }],
    ['dies of which nothing is typed are none', toolSchema, { range: { minMm2: '', maxMm2: '' } }, {}],
    ['a shield without its drain is one all the same', circuitSchema, { shield: { drainMm2: '' } }, { shield: {} }],
    ['what has to be stays, to be asked for', circuitSchema, { from: { nodeId: '' } }, { from: {} }],
    ['lists keep their places', toolSchema, { nests: [{ name: '' }, { name: 'B' }] }, { nests: [{}, { name: 'B' }] }],
  ])('%s', (_name, schema, typed, left) => expect(withoutEmpty(schema, typed)).toEqual(left));
});
