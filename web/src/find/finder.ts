import MiniSearch from 'minisearch';
import { colourInWords, KIND_WORDS, sizeInWords, type Circuit } from '@mendum/core';
import type { HarnessView } from '@mendum/core/interchange';

/** A circuit that was found, with where it belongs. */
export interface FoundCircuit {
  readonly key: string;
  readonly harnessId: string;
  readonly machine: string;
  readonly harness: string;
  readonly circuit: Circuit;
  readonly from: string;
  readonly to: string;
}

/** Finds circuits by number, function, colour, cavity, connector, size, machine; the best first. */
export type Finder = (words: string, most?: number) => FoundCircuit[];

const MOST = 12;
/** From this many letters on a word may be misspelt, once it finds nothing as it is: by one letter, then by two (such as two that changed places). */
const FUZZY_FROM = 4;
const EDITS = [0, 1, 2] as const;

const split = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s,;:/()²-]+/)
    .filter((word) => word !== '');

/** Makes a finder over every circuit of every harness. All words must match, each at the start of a word or nearly so. */
export function buildFinder(harnesses: readonly HarnessView[]): Finder {
  const found = new Map<string, FoundCircuit>();
  const index = new MiniSearch({
    idField: 'key',
    fields: ['number', 'function', 'cavities', 'colour', 'more'],
    tokenize: split,
    searchOptions: { tokenize: split },
  });
  for (const view of harnesses) {
    const name = new Map(view.nodes.map((node) => [node.id, node.name]));
    for (const circuit of view.circuits) {
      const key = `${view.id} ${circuit.id}`;
      const [from, to] = [circuit.from, circuit.to].map((end) => `${name.get(end.nodeId) ?? end.nodeId} ${end.cavity}`);
      found.set(key, {
        key,
        harnessId: view.id,
        machine: view.machine,
        harness: view.name,
        circuit,
        from: from ?? '',
        to: to ?? '',
      });
      index.add({
        key,
        number: circuit.number,
        function: circuit.function,
        cavities: `${from ?? ''} ${to ?? ''}`,
        colour: colourInWords(circuit.wire.colour),
        more: `${KIND_WORDS[circuit.kind]} ${sizeInWords(circuit.wire.size)} ${view.machine} ${view.name}`,
      });
    }
  }
  return (words, most = MOST) => {
    if (split(words).length === 0) return [];
    for (const edits of EDITS) {
      const hits = index.search(words, {
        prefix: true,
        combineWith: 'AND',
        fuzzy: (term) => (edits > 0 && term.length >= FUZZY_FROM ? edits : false),
        boost: { number: 5, cavities: 3, function: 2 },
      });
      if (hits.length > 0) return hits.slice(0, most).flatMap((hit) => found.get(String(hit.id)) ?? []);
    }
    return [];
  };
}
