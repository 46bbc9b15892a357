import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { editCatalogue, FULL_SHELF, type Tool } from '../catalogue/index.ts';
import { NEST_BARRELS, NEST_STROKES, PART_COLOURS, type Nest, type WireStock } from '../stock/index.ts';
import { wire } from '../test/samples.ts';
import { toolSchema } from './catalogueSchemas.ts';
import { readShelfTable } from './shelfTable.ts';
import { writeShelfTable } from './shelfTableOut.ts';

const PRESS: Tool = { id: 'own', name: 'Own press', tasks: ['crimpTerminal'], ratchet: true };
const back = (tools: readonly Tool[], wires: readonly WireStock[] = []) => {
  const read = readShelfTable(writeShelfTable({ ...FULL_SHELF, parts: [], tools, wires }));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return editCatalogue({ ...FULL_SHELF, parts: [], tools: [], wires: [] }, read.edits);
};

it('nests go out as a cell and come back as they were', () => {
  const optional = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
  const nest = fc
    .record({
      name: fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 ,.-]{0,8}[A-Za-z0-9]$/),
      from: fc.integer({ min: 0, max: 500 }),
      more: fc.integer({ min: 1, max: 500 }),
      stroke: fc.constantFrom(...NEST_STROKES),
      barrel: optional(fc.constantFrom(...NEST_BARRELS)),
      dot: optional(fc.constantFrom(...PART_COLOURS)),
      families: optional(fc.constantFrom<Nest['families']>(['2.8'], ['ringM6', 'forkM5'])),
    })
    .map(({ name, from, more, stroke, barrel, dot, families }): Nest => ({
      name,
      range: { minMm2: from / 100, maxMm2: (from + more) / 100 },
      stroke,
      ...(barrel ? { barrel } : {}),
      ...(dot ? { dot } : {}),
      ...(families ? { families } : {}),
    }));
  fc.assert(
    fc.property(fc.array(nest, { minLength: 1, maxLength: 4 }), (nests) => {
      expect(back([{ ...PRESS, nests }]).tools).toEqual([{ ...PRESS, nests }]);
    }),
  );
});

it('a reel of aluminium comes back as aluminium', () => {
  const reel = { id: 'r', lengthMm: 900, wire: wire(35, { conductor: { kind: 'stranded', metal: 'aluminium' } }) };
  expect(back([PRESS], [reel]).wires).toEqual([reel]);
});

describe('a nest that cannot be is refused', () => {
  const refused = (more: object): string | undefined =>
    toolSchema.validate({
      ...PRESS,
      nests: [{ name: 'B', range: { minMm2: 1, maxMm2: 2 }, stroke: 'conductor', ...more }],
    }).error?.message;
  test.each<[string, object, RegExp]>([
    ['a name that parts cells', { name: 'a|b' }, /without “\|” and “;”/],
    ['another name that does', { name: 'a;b' }, /without “\|” and “;”/],
    ['no stroke that is known', { stroke: 'sideways' }, /stroke/],
    ['from large to small', { range: { minMm2: 2, maxMm2: 2 } }, /maxMm2/],
    ['a dot of no such colour', { dot: 'mauve' }, /dot/],
  ])('%s', (_, more, words) => expect(refused(more)).toMatch(words));
  it('one that can be is not', () => expect(refused({})).toBeUndefined());
});
