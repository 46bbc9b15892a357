import { describe, expect, it, test } from 'vitest';
import { fieldText, GENERIC_PARTS, kindOf, withField, type Part } from '@mendum/core/catalogue';
import type { ConnectorFace } from '@mendum/core/connector';
import type { Circuit } from '@mendum/core/harness';
import type { WireSpec } from '@mendum/core/wire';
import { viewOf } from '../test/job.tsx';
import { filled } from '../form/test/filled.ts';
import { circuitFormSchema, circuitMade } from './machines/circuitEdit.ts';
import { faceDraftOf, faceOf } from './machines/faceDraft.ts';

/** A thing with every field that its type has: the compiler fails where one is missing. */
type Whole<T> = { readonly [K in keyof T]-?: Exclude<T[K], undefined> };

const { harness } = viewOf([]).job;

describe('a circuit opened and saved', () => {
  const wire: Whole<WireSpec> = {
    size: { basis: 'trade', awg: 16 },
    conductor: { kind: 'stranded', strands: 19 },
    jacket: { material: 'etfe', wall: 'general', outerDiameterMm: 3.3 },
    colour: { base: 'green', stripe: 'yellow' },
  };
  const circuit: Whole<Circuit> = {
    id: 'C1',
    number: '1',
    function: 'Lamp left',
    kind: 'data',
    wire,
    from: { nodeId: 'X1', cavity: '1' },
    to: { nodeId: 'X2', cavity: '1' },
    runIds: ['R1'],
    fuseA: 7.5,
    loadA: 4,
    pairWith: 'C2',
    shield: { drainMm2: 0.35 },
    remark: 'Chafes at the hinge.',
  };
  const saved = async (before: Circuit): Promise<unknown> => {
    const { thing, wrong } = await filled<Circuit>(circuitFormSchema, before);
    return thing ? circuitMade(thing, before, harness) : wrong;
  };
  it('keeps every field that it has', async () => expect(await saved(circuit)).toEqual(circuit));
  it('and one that the form has never heard of', async () => {
    const newer = { ...circuit, drainMm2: 0.35 };
    expect(await saved(newer)).toEqual(newer);
  });
});

describe('a face opened and saved', () => {
  test.each<[string, ConnectorFace]>([
    [
      'rows with a place missing, from the wire side, single numbers of their own',
      {
        describedFrom: 'wire',
        layout: { kind: 'rows', rows: 2, columns: 3, missing: [{ row: 0, column: 1 }] },
        numbering: { kind: 'snake', first: 3, fromRight: true },
        renamed: { '4': 'A' },
      },
    ],
    [
      'rings with the angle of their first cavity',
      {
        layout: {
          kind: 'round',
          rings: [
            { count: 6, startDeg: 30 },
            { count: 1, startDeg: 90 },
          ],
        },
        numbering: { kind: 'rowWise' },
      },
    ],
    [
      'letters that are left out',
      {
        layout: { kind: 'rows', rows: 1, columns: 12 },
        numbering: { kind: 'letters', skip: ['I', 'O'], fromRight: true },
      },
    ],
    ['free places', { layout: { kind: 'free', places: [{ x: 0, y: 1.5 }] }, numbering: { kind: 'columnWise' } }],
    [
      'numbers at row starts',
      { layout: { kind: 'rows', rows: 2, columns: 4 }, numbering: { kind: 'rowFirsts', firsts: [1, 9] } },
    ],
  ])('%s', (_what, face) => {
    const result = faceOf(faceDraftOf(face));
    expect(result.ok ? result.face : result.why).toEqual(face);
  });
});

describe('a part opened and saved', () => {
  test.each(GENERIC_PARTS.map((part): [string, Part] => [part.name, part]))(
    '%s: every figure as it is shown',
    (_name, part) => {
      const shown = [...kindOf(part.kind).fields, { path: 'ratedC', type: 'number' as const }];
      const saved = shown.reduce<Part>((made, { path, type }) => {
        const text = fieldText(made, path);
        return text === '' ? made : withField(made, path, type === 'choice' ? text : Number(text));
      }, part);
      expect(saved).toEqual(part);
    },
  );
});
