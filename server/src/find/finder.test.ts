import { describe, expect, it, test } from 'vitest';
import type { Circuit } from '@mendum/core/harness';
import { makeFinder, type Findable } from './finder.ts';

const wired = (
  number: string,
  work: string,
  base: Circuit['wire']['colour']['base'],
  areaMm2: number,
  from: string,
  more: Partial<Circuit> = {},
): Circuit => ({
  id: `C${number}`,
  number,
  function: work,
  kind: 'power',
  from: { nodeId: 'X31', cavity: from },
  to: { nodeId: 'X2', cavity: number },
  runIds: ['R1'],
  wire: {
    size: { basis: 'metric', areaMm2 },
    conductor: { kind: 'stranded' },
    jacket: { material: 'xlpe', wall: 'thin' },
    colour: { base },
  },
  ...more,
});
const harness = (id: string, machine: string, circuits: readonly Circuit[], version = 1): Findable => ({
  id,
  machine,
  version,
  harness: `Loom ${id}`,
  circuits,
  nodeNames: new Map([
    ['X31', 'X31'],
    ['X2', 'X2'],
  ]),
});
const HARNESSES = [
  harness('W12', 'Ovrell 420', [
    wired('1', 'Valve A feed', 'red', 2.5, '1'),
    wired('4', 'Work lamp', 'white', 1.5, '4'),
    wired('11', 'Speed pick-up', 'grey', 0.5, '11', { kind: 'signal' }),
  ]),
  harness('W5', 'Dunmarra 70', [
    wired('21', 'Tail lamp left', 'grey', 1, '1'),
    wired('4', 'Brake lamps', 'black', 1.5, '3'),
  ]),
];
const { find, take, forget } = makeFinder();
HARNESSES.forEach(take);
const names = (words: string): string[] => find(words).map((one) => `${one.circuit.number} ${one.circuit.function}`);

describe('finding a circuit', () => {
  test.each([
    ['by its number', '21', '21 Tail lamp left'],
    ['by function', 'valve', '1 Valve A feed'],
    ['by the start of a word', 'bra', '4 Brake lamps'],
    ['misspelt', 'wrok lmap', '4 Work lamp'],
    ['by colour', 'white', '4 Work lamp'],
    ['by connector and cavity', 'X31 11', '11 Speed pick-up'],
    ['by connector and cavity as written', 'x31:4', '4 Work lamp'],
    ['by size', '2.5', '1 Valve A feed'],
    ['by kind', 'signal', '11 Speed pick-up'],
    ['by machine and number', 'dunmarra 4', '4 Brake lamps'],
  ])('%s: %s', (_how, words, first) => expect(names(words)[0]).toBe(first));
  it('every word must match', () => expect(names('lamp')).toHaveLength(3));
  it('a whole number goes before one that begins with it', () => expect(names('1')[0]).toBe('1 Valve A feed'));
  it.each(['', '   ', '/', 'zzzz'])('nothing for %j', (words) => expect(find(words)).toEqual([]));
  it('an edited harness as it is now, and one that is gone not any more', () => {
    take(harness('W9', 'Quay 12', [wired('77', 'Dehumidifier', 'red', 1, '7')]));
    take(harness('W9', 'Quay 12', [wired('78', 'Klaxonette', 'red', 1, '7')], 2));
    expect([names('dehumidifier'), names('klaxonette')]).toEqual([[], ['78 Klaxonette']]);
    forget('W9');
    expect(names('klaxonette')).toEqual([]);
  });
});
