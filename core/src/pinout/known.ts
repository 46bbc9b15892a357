import type { Circuit } from '../harness/index.ts';
import type { PinoutField } from './types.ts';

/** The parts of a circuit that are there or not, as a sheet may say. */
const OF_SHEETS: readonly string[] = ['fuseA', 'loadA', 'pairWith', 'shield', 'remark'] satisfies (keyof Circuit)[];
const withoutWhatSheetsSay = (circuit: Circuit): Circuit =>
  Object.fromEntries(Object.entries(circuit).filter(([key]) => !OF_SHEETS.includes(key))) as unknown as Circuit;

/**
 * A circuit that the harness has already, as a sheet changes it: what the sheet has no column for stays as it is known.
 * A cell that is there and empty says that there is none.
 */
export function withWhatIsKnown(
  circuit: Circuit,
  before: Circuit | undefined,
  fields: ReadonlySet<PinoutField | null>,
): Circuit {
  if (!before) return circuit;
  const says = (...columns: PinoutField[]): boolean => columns.some((column) => fields.has(column));
  const { fuseA, loadA, pairWith, shield, remark, ...plain } = circuit;
  const now = {
    fuseA: says('fuse') ? fuseA : before.fuseA,
    loadA: says('load') ? loadA : before.loadA,
    pairWith: says('pair') ? pairWith : before.pairWith,
    // A remark tells of a shield; that it does not tell says nothing.
    shield: says('shield') ? shield : (shield ?? before.shield),
    remark: says('remark') ? remark : (remark ?? before.remark),
  };
  // What a sheet has no column for stays, whatever a circuit has.
  return {
    ...withoutWhatSheetsSay(before),
    ...plain,
    function: says('function') ? circuit.function : before.function,
    kind: says('kind')
      ? circuit.kind
      : says('function') && circuit.function !== before.function
        ? circuit.kind
        : before.kind,
    wire: {
      size: circuit.wire.size,
      colour: says('colour', 'stripe') ? circuit.wire.colour : before.wire.colour,
      conductor: says('conductor', 'strands') ? circuit.wire.conductor : before.wire.conductor,
      jacket: says('jacket', 'wall', 'outerDiameter') ? circuit.wire.jacket : before.wire.jacket,
    },
    ...(now.fuseA === undefined ? {} : { fuseA: now.fuseA }),
    ...(now.loadA === undefined ? {} : { loadA: now.loadA }),
    ...(now.pairWith === undefined ? {} : { pairWith: now.pairWith }),
    ...(now.shield === undefined ? {} : { shield: now.shield }),
    ...(now.remark === undefined ? {} : { remark: now.remark }),
  };
}
