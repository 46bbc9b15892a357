import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CIRCUIT_KINDS, SEAL_STATES, TERMINAL_FAMILIES, type Circuit, type HarnessNode } from '../harness/index.ts';
import { readPinout, writePinout } from './index.ts';
import { BARE_TREE, words, wire } from './test/sheets.ts';

describe('round trip', () => {
  test('whatever the circuits, reading what was written gives them back', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            wire,
            words,
            kind: fc.constantFrom(...CIRCUIT_KINDS),
            fuseA: fc.option(fc.double({ min: 0.1, max: 200, noNaN: true })),
            loadA: fc.option(fc.double({ min: 0.001, max: 200, noNaN: true })),
          }),
          { minLength: 1, maxLength: 14 },
        ),
        (parts) => {
          const far = ['X32', 'X33'];
          const made = parts.map(({ wire: of, words: named, kind, fuseA, loadA }, index): Circuit => ({
            id: `C${index + 1}`,
            number: String(index + 1),
            function: named,
            kind,
            wire: of,
            from: { nodeId: 'X31', cavity: String(index + 1) },
            to: { nodeId: far[index % 2]!, cavity: String(index + 1) },
            runIds: ['R1', index % 2 === 0 ? 'R2' : 'R3'],
            ...(fuseA === null ? {} : { fuseA }),
            ...(loadA === null ? {} : { loadA }),
          }));
          const paired = made.map((circuit, index) =>
            made.length % 2 === 0 && made.length > 3 && index < 2 ? { ...circuit, pairWith: `C${2 - index}` } : circuit,
          );
          const reading = readPinout({ rows: writePinout({ ...BARE_TREE, circuits: paired }) }, BARE_TREE);
          expect(reading.problems).toEqual([]);
          expect(reading.rows.map((row) => row.circuit)).toEqual(paired);
        },
      ),
      { numRuns: 150 },
    );
  });
  test('terminals and seals of the cavities too', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TERMINAL_FAMILIES), fc.constantFrom(...SEAL_STATES), (terminal, seal) => {
        const nodes: HarnessNode[] = BARE_TREE.nodes.map((node) =>
          node.id === 'X31' ? { ...node, fittings: { 1: { terminal, seal } } } : node,
        );
        const circuit: Circuit = {
          id: 'C1',
          number: '1',
          function: 'F',
          kind: 'signal',
          wire: {
            size: { basis: 'metric', areaMm2: 1 },
            conductor: { kind: 'solid' },
            jacket: { material: 'xlpe', wall: 'thin' },
            colour: { base: 'red' },
          },
          from: { nodeId: 'X31', cavity: '1' },
          to: { nodeId: 'X32', cavity: '1' },
          runIds: ['R1', 'R2'],
        };
        expect(
          readPinout({ rows: writePinout({ ...BARE_TREE, nodes, circuits: [circuit] }) }, BARE_TREE).fittings,
        ).toEqual([{ connector: 'X31', cavity: '1', terminal, seal }]);
      }),
    );
  });
});
