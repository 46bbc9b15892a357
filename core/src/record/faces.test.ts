import { describe, expect, it, test } from 'vitest';
import type { ConnectorFace } from '../connector/index.ts';
import type { Finding } from '../damage/index.ts';
import { jobWith } from '../test/samples.ts';
import { faceShapes, touchedFaces } from './faces.ts';
import type { SpliceRecord } from './types.ts';

const FACE: ConnectorFace = { layout: { kind: 'rows', rows: 2, columns: 4 }, numbering: { kind: 'rowWise' } };
const plain = jobWith([{ kind: 'parted' }], { circuits: [{}, {}] });
const [one] = plain.harness.circuits;
const { nodeId } = one!.from;
const at = (finding: object): Finding => ({ ...plain.findings[0]!, ...finding });
const job = (...findings: readonly Finding[]) => ({
  findings,
  harness: {
    ...plain.harness,
    nodes: plain.harness.nodes.map((node) => (node.id === nodeId ? { ...node, face: FACE } : node)),
  },
});
const ALL = new Set([plain.findings[0]!.id]);
const touched = (on: ReturnType<typeof job>, records: readonly SpliceRecord[] = []) =>
  touchedFaces(on, records, ALL).map(({ name, cavities }) => [
    name,
    cavities.filter((cavity) => cavity.touched).map(({ cavity, circuit }) => `${cavity}: ${circuit ?? 'empty'}`),
  ]);
const name = plain.harness.nodes.find(({ id }) => id === nodeId)!.name;
const own = `${one!.from.cavity}: ${one!.number}`;

describe('the faces of connectors that were worked at', () => {
  test.each<[string, readonly Finding[], unknown]>([
    ['damage along a wire touches none', [at({})], []],
    ['a terminal touches its cavity', [at({ kind: 'terminalDamaged', at: one!.from })], [[name, [own]]]],
    [
      'an empty cavity that is broken is shown as empty, with the wires that move to the new housing',
      [at({ kind: 'cavityDamaged', at: { nodeId, cavity: '8' } })],
      [[name, [own, '2: 2', '8: empty']]],
    ],
  ])('%s', (_what, findings, expected) => expect(touched(job(...findings))).toEqual(expected));
  it('a housing that is replaced touches every cavity with a wire', () => {
    const all = plain.harness.circuits.map(({ number, from }) => `${from.cavity}: ${number}`);
    expect(touched(job(at({ kind: 'housingMelted', at: one!.from })))).toEqual([
      [name, expect.arrayContaining(all) as string[]],
    ]);
    expect(all.length).toBeGreaterThan(1);
  });
  it('what was found and left is not worked at', () =>
    expect(touchedFaces(job(at({ kind: 'terminalDamaged', at: one!.from })), [], new Set())).toEqual([]));
  it('what is recorded counts as well; a connector without a face is not drawn', () => {
    const record = { atEnd: { circuitId: one!.id, ...one!.from } } as SpliceRecord;
    expect(touched(job(at({})), [record])).toEqual([[name, [own]]]);
    expect(touchedFaces({ ...job(at({})), harness: plain.harness }, [record], ALL)).toEqual([]);
  });
  it('is drawn whole within its drawing, each cavity with its name and its circuit', () => {
    const [face] = touchedFaces(job(at({ kind: 'terminalDamaged', at: one!.from })), [], ALL);
    const { wide, high, shapes } = faceShapes(face!);
    for (const shape of shapes)
      if (shape.kind === 'box') {
        expect([shape.x, shape.y].every((from) => from >= 0)).toBe(true);
        expect(shape.x + shape.wide).toBeLessThanOrEqual(wide);
        expect(shape.y + shape.high).toBeLessThanOrEqual(high);
      }
    expect(shapes.filter((shape) => shape.kind === 'box' && shape.look === 'touched')).toHaveLength(1);
    const words = shapes.flatMap((shape) => (shape.kind === 'words' ? [shape.text] : []));
    for (const cavity of ['1', '2', '3', '4', '5', '6', '7', '8']) expect(words).toContain(cavity);
  });
});
