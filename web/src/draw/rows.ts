import type { Circuit } from '@mendum/core/harness';
import { jacketDiameterMm } from '@mendum/core/wire';

/** A line of the run drawing: one circuit, or a band of untouched ones. */
export type Row =
  | { readonly kind: 'circuit'; readonly circuit: Circuit }
  | { readonly kind: 'band'; readonly key: string; readonly circuits: readonly Circuit[] };

/** Up to this many circuits each has a line of its own. */
export const ROWS_CLEAR = 18;

/** Lines for the circuits of a run: with many, neighbours that nothing was found on share a band. */
export function rowsOf(circuits: readonly Circuit[], touched: ReadonlySet<string>): Row[] {
  if (circuits.length <= ROWS_CLEAR) return circuits.map((circuit) => ({ kind: 'circuit', circuit }));
  const rows: Row[] = [];
  let band: Circuit[] = [];
  const close = (): void => {
    const [first] = band;
    if (first)
      rows.push(
        band.length === 1
          ? { kind: 'circuit', circuit: first }
          : { kind: 'band', key: `band ${first.id}`, circuits: band },
      );
    band = [];
  };
  for (const circuit of circuits) {
    if (touched.has(circuit.id)) {
      close();
      rows.push({ kind: 'circuit', circuit });
    } else band.push(circuit);
  }
  close();
  return rows;
}

/** How thick a line is drawn, px: as thick as its wire, within what can be told apart. */
export const thickOf = (row: Row): number =>
  row.kind === 'circuit' ? Math.min(11, 3.5 + 1.6 * jacketDiameterMm(row.circuit.wire)) : 5;
