import type { WireStock } from '../stock/index.ts';
import type { Catalogue, Part, Tool } from './types.ts';

/** A change of a shelf, by the id of what it is about. */
export type CatalogueEdit =
  | { readonly kind: 'setPart'; readonly part: Part }
  | { readonly kind: 'removePart'; readonly id: string }
  | { readonly kind: 'setTool'; readonly tool: Tool }
  | { readonly kind: 'removeTool'; readonly id: string }
  | { readonly kind: 'setWire'; readonly wire: WireStock }
  | { readonly kind: 'removeWire'; readonly id: string }
  /** Somebody says that what stands there was counted, or takes that back. */
  | { readonly kind: 'setCounted'; readonly counted: boolean };

const set = <T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] =>
  list.some((one) => one.id === item.id) ? list.map((one) => (one.id === item.id ? item : one)) : [...list, item];
const without = <T extends { readonly id: string }>(list: readonly T[], id: string): readonly T[] =>
  list.filter((one) => one.id !== id);

function edited(catalogue: Catalogue, edit: CatalogueEdit): Catalogue {
  switch (edit.kind) {
    case 'setPart':
      return { ...catalogue, parts: set(catalogue.parts, edit.part) };
    case 'removePart':
      return { ...catalogue, parts: without(catalogue.parts, edit.id) };
    case 'setTool':
      return { ...catalogue, tools: set(catalogue.tools, edit.tool) };
    case 'removeTool':
      return { ...catalogue, tools: without(catalogue.tools, edit.id) };
    case 'setWire':
      return { ...catalogue, wires: set(catalogue.wires, edit.wire) };
    case 'removeWire':
      return { ...catalogue, wires: without(catalogue.wires, edit.id) };
    case 'setCounted': {
      const { uncounted: _, ...counted } = catalogue;
      return edit.counted ? counted : { ...counted, uncounted: true };
    }
  }
}

/** A shelf after changes, done in their order; its version goes up by one. What is not there is not missed. */
export const editCatalogue = (catalogue: Catalogue, edits: readonly CatalogueEdit[]): Catalogue => ({
  ...edits.reduce(edited, catalogue),
  version: catalogue.version + 1,
});
