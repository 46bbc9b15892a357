import type { EndFinder } from './ends.ts';
import type { Findings } from './findings.ts';
import type { Wire } from './joins.ts';
import type { PinoutField } from './types.ts';

/** A cavity that holds two wires, a cut end that is named twice. The line that comes second is the one to blame. */
export function tellDoubles(
  wires: readonly Wire[],
  finder: EndFinder,
  nameOf: (nodeId: string) => string,
  columnOf: (list: number, field: PinoutField) => string | undefined,
  findings: Findings,
): void {
  const cavities = new Map<string, { readonly line: number; readonly number: string }>();
  for (const { number, ends } of wires)
    for (const { line, side, place } of ends) {
      const isOne = finder.takesOne(place.nodeId);
      if (!isOne && !finder.takesOneEach(place.nodeId)) continue;
      const key = isOne ? place.nodeId : `${place.nodeId} ${place.cavity}`;
      const taken = cavities.get(key);
      if (taken)
        findings.wrong(line, {
          column: columnOf(line.list, `${side}Cavity`) ?? columnOf(line.list, side),
          value: place.cavity,
          why: `${isOne ? nameOf(place.nodeId) : `Cavity ${place.cavity} of ${nameOf(place.nodeId)}`} holds circuit ${taken.number} already, from line ${taken.line}.`,
          remedy: isOne
            ? 'A cut end has one wire; give each a name of its own.'
            : 'A cavity takes one circuit; correct one of the two lines.',
        });
      else cavities.set(key, { line: line.line, number });
    }
}
