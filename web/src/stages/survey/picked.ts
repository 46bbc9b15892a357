import type { Circuit } from '@mendum/core/harness';

/** The runs that every picked circuit goes through. */
export const runsOf = (circuits: readonly Circuit[], circuitIds: readonly string[]): ReadonlySet<string> => {
  const picked = circuits.filter((circuit) => circuitIds.includes(circuit.id));
  const [first] = picked;
  return new Set((first?.runIds ?? []).filter((id) => picked.every((circuit) => circuit.runIds.includes(id))));
};

/** Where every picked circuit ends: the connectors at which a cavity finding can be. */
export const endsOf = (circuits: readonly Circuit[], circuitIds: readonly string[]): ReadonlySet<string> => {
  const picked = circuits.filter((circuit) => circuitIds.includes(circuit.id));
  const [first] = picked;
  return new Set(
    (first ? [first.from.nodeId, first.to.nodeId] : []).filter((id) =>
      picked.every((circuit) => circuit.from.nodeId === id || circuit.to.nodeId === id),
    ),
  );
};
