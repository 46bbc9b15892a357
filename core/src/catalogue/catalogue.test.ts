import { describe, expect, it, test } from 'vitest';
import {
  editCatalogue,
  fieldOf,
  fieldText,
  FULL_SHELF,
  GENERIC_PARTS,
  isPerJoint,
  kindOf,
  withField,
  type PartOf,
  type Part,
} from './index.ts';
import { colourDisagreement } from '../stock/index.ts';

const butt = (more: Partial<PartOf<'sealedButt'>> = {}): PartOf<'sealedButt'> => ({
  kind: 'sealedButt',
  id: 'b',
  name: 'Butt',
  quantity: 1,
  ratedC: 125,
  figuresFrom: 'stamped',
  colour: 'red',
  range: { minMm2: 0.33, maxMm2: 1.04 },
  barrelIdMm: 1.7,
  barrelLengthMm: 15,
  overallLengthMm: 36,
  crimpedDiameterMm: 4.2,
  ...more,
});

describe('colour against stamp', () => {
  test.each<[string, Partial<PartOf<'sealedButt'>>, RegExp | undefined]>([
    ['they agree', {}, undefined],
    ['within 5 %', { range: { minMm2: 0.34, maxMm2: 1.06 } }, undefined],
    [
      'red up to 1.65',
      { range: { minMm2: 0.5, maxMm2: 1.65 } },
      /is red, which by convention is small \(0.33–1.04 mm²\), and it is stamped 0.5–1.65: the stamp counts/,
    ],
    ['blue from 0.8', { colour: 'blue', range: { minMm2: 0.8, maxMm2: 2.63 } }, /is blue/],
    ['no colour', { colour: undefined, range: { minMm2: 5, maxMm2: 6 } }, undefined],
  ])('%s', (_why, more, words) => {
    const said = colourDisagreement(butt(more));
    if (words) expect(said).toMatch(words);
    else expect(said).toBeUndefined();
  });
  it('no generic part disagrees with its own colour', () =>
    expect(GENERIC_PARTS.flatMap((part) => colourDisagreement(part) ?? [])).toEqual([]));
});

describe('parts as they are listed', () => {
  it('every generic part has its own id, and every field of its kind', () => {
    expect(new Set(GENERIC_PARTS.map((part) => part.id)).size).toBe(GENERIC_PARTS.length);
    for (const part of GENERIC_PARTS)
      for (const field of kindOf(part.kind).fields)
        if (!field.optional) expect(fieldText(part, field.path), `${part.id} ${field.path}`).not.toBe('');
  });
  it('sleeves, tape and solder serve many joints, all else one', () =>
    expect([...new Set(GENERIC_PARTS.filter((part) => !isPerJoint(part)).map((part) => part.kind))].sort()).toEqual([
      'sleeve',
      'solder',
      'tape',
    ]));
  it('a field is put anew or taken away, nested ones too', () => {
    const part: Part = butt();
    expect(withField(part, 'range.maxMm2', 2)).toMatchObject({ range: { minMm2: 0.33, maxMm2: 2 } });
    expect('colour' in withField(part, 'colour', undefined)).toBe(false);
    expect(withField({ a: { b: 1 } }, 'a.b', undefined)).toEqual({});
    expect(fieldOf(part, 'range.maxMm2')).toBe(1.04);
  });
});

describe('a shelf edited', () => {
  it('sets, adds and takes away by id, in order, and goes up by one version', () => {
    const next = editCatalogue({ ...FULL_SHELF, parts: [butt()], tools: [], wires: [] }, [
      { kind: 'setPart', part: butt({ quantity: 5 }) },
      { kind: 'setPart', part: butt({ id: 'c' }) },
      { kind: 'removePart', id: 'nobody' },
      { kind: 'setTool', tool: { id: 't', name: 'Crimper', tasks: ['crimpClip'], ratchet: true } },
      { kind: 'setWire', wire: { id: 'w', lengthMm: 10, wire: FULL_SHELF.wires[0]!.wire } },
      { kind: 'removeTool', id: 't' },
    ]);
    expect(next).toMatchObject({
      version: FULL_SHELF.version + 1,
      parts: [{ id: 'b', quantity: 5 }, { id: 'c' }],
      tools: [],
      wires: [{ id: 'w' }],
    });
    expect(
      editCatalogue(next, [
        { kind: 'removeWire', id: 'w' },
        { kind: 'removePart', id: 'b' },
      ]),
    ).toMatchObject({ parts: [{ id: 'c' }], wires: [] });
  });
});
