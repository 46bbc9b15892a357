import MiniSearch from 'minisearch';
import { KIND_WORDS, type Circuit } from '@mendum/core/harness';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import type { FoundCircuit } from '@mendum/core/operations';

/** A harness with what is found of it: its circuits, and its connectors by name. */
export interface Findable {
  readonly id: string;
  readonly version: number;
  readonly machine: string;
  readonly harness: string;
  readonly nodeNames: ReadonlyMap<string, string>;
  readonly circuits: readonly Circuit[];
}

/** Finds circuits by number, function, colour, cavity, connector, size, machine; the best first. */
export interface Finder {
  readonly find: (words: string, most?: number) => FoundCircuit[];
  /** The version that is known of each harness. */
  readonly versions: ReadonlyMap<string, number>;
  /** Takes a harness over, in place of what was known of it. */
  readonly take: (of: Findable) => void;
  readonly forget: (harnessId: string) => void;
}

const MOST = 12;
/**
 * From this many letters on a word may be misspelt, once it finds nothing as it is: by one letter, then by two (such as
 * two that changed places).
 */
const FUZZY_FROM = 4;
const EDITS = [0, 1, 2] as const;

const split = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s,;:/()²-]+/)
    .filter((word) => word !== '');

/** Makes a finder that knows nothing yet. All words must match, each at the start of a word or nearly so. */
export function makeFinder(): Finder {
  const found = new Map<string, FoundCircuit>();
  const keysOf = new Map<string, readonly string[]>();
  const versions = new Map<string, number>();
  const index = new MiniSearch({
    idField: 'key',
    fields: ['number', 'function', 'cavities', 'colour', 'more'],
    tokenize: split,
    searchOptions: { tokenize: split },
  });
  const forget = (harnessId: string): void => {
    for (const key of keysOf.get(harnessId) ?? []) {
      index.discard(key);
      found.delete(key);
    }
    keysOf.delete(harnessId);
    versions.delete(harnessId);
  };
  const take = ({ id, version, machine, harness, nodeNames, circuits }: Findable): void => {
    forget(id);
    const endOf = ({ nodeId, cavity }: Circuit['from']): string => `${nodeNames.get(nodeId) ?? nodeId} ${cavity}`;
    const keys = circuits.map((circuit) => {
      const key = `${id} ${version} ${circuit.id}`;
      const [from, to] = [endOf(circuit.from), endOf(circuit.to)];
      found.set(key, { harnessId: id, machine, harness, circuit, from, to });
      index.add({
        key,
        number: circuit.number,
        function: circuit.function,
        cavities: `${from} ${to}`,
        colour: colourInWords(circuit.wire.colour),
        more: `${KIND_WORDS[circuit.kind]} ${sizeInWords(circuit.wire.size)} ${machine} ${harness}`,
      });
      return key;
    });
    keysOf.set(id, keys);
    versions.set(id, version);
  };
  const find = (words: string, most = MOST): FoundCircuit[] => {
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
  return { find, versions, take, forget };
}
