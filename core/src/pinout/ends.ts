import { idFrom, type Cavity, type HarnessNode } from '../harness/index.ts';
import { cavitiesOf } from '../connector/index.ts';
import { readEnd, saysNothing } from './cells.ts';
import type { GridRow } from './grid.ts';
import type { CellOutcome, NewConnector, PinoutChoices, PinoutField, PinoutHarness } from './types.ts';

/** Finds the nodes that a sheet names, by name or id, and keeps the connectors that are new. */
export class EndFinder {
  private readonly byName = new Map<string, HarnessNode>();
  private readonly made = new Map<string, { id: string; name: string; cavities: Set<string>; isEnd: boolean }>();

  constructor(
    harness: PinoutHarness,
    private readonly choices: PinoutChoices,
  ) {
    for (const node of harness.nodes) {
      this.byName.set(node.id.toLowerCase(), node);
      this.byName.set(node.name.toLowerCase(), node);
    }
  }

  /** A connector's name without what is said of it in brackets, such as (14-way). */
  private nameIn(said: string): string {
    const bare = said
      .replace(/\s*\((?:[^)]*\b(?:way|pin|pol|cav|cavity|position)s?\b[^)]*|\d+)\)\s*$/i, '')
      .replace(/\s*,?\s*\d+[- ](?:way|pin|pol|cav)s?\s*$/i, '');
    return this.byName.has(said.toLowerCase()) || bare === '' ? said : bare;
  }

  private place(said: string, saidCavity: string): CellOutcome<Cavity> {
    const name = this.nameIn(said);
    if (name.length > 60)
      return {
        ok: false,
        why: `“${name.slice(0, 20)}…” is too long for a connector's name.`,
        remedy: 'Use 60 characters at most.',
      };
    const node = this.byName.get(name.toLowerCase());
    // "Pin 3" is cavity 3 of a connector; a place at a stud or an open end is called as it is written.
    const cavity =
      node && node.kind !== 'connector'
        ? saidCavity
        : saidCavity.replace(/^(?:pin|cav(?:ity)?|pos(?:ition)?|terminal|way)\.?\s*#?\s*(?=\w)/i, '');
    if (cavity.length > 10)
      return { ok: false, why: `“${cavity}” is too long for a cavity.`, remedy: 'A cavity has at most 10 characters.' };
    if (node) {
      const known = node.face ? cavitiesOf(node.face).map((one) => one.cavity) : undefined;
      const match =
        known?.find((one) => one.toLowerCase() === cavity.toLowerCase()) ??
        known?.find((one) => one === cavity.replace(/^0+(?=\d)/, ''));
      if (known && match === undefined)
        return {
          ok: false,
          why: `${node.name} has no cavity ${cavity}.`,
          remedy: `Its cavities are ${known.join(', ')}.`,
        };
      return { ok: true, value: { nodeId: node.id, cavity: match ?? cavity } };
    }
    const made = this.made.get(name.toLowerCase()) ?? {
      id: idFrom(name),
      name,
      cavities: new Set<string>(),
      isEnd: false,
    };
    this.made.set(name.toLowerCase(), made);
    made.cavities.add(cavity);
    return { ok: true, value: { nodeId: made.id, cavity } };
  }

  /** The far end of a circuit in a sheet that lists one end only. */
  farEnd(name: string, number: string): CellOutcome<Cavity> {
    const outcome = this.place(name, number.slice(0, 10));
    const made = this.made.get(name.toLowerCase());
    if (made) made.isEnd = true;
    return outcome;
  }

  /** One end of a line's circuit; undefined when the line says nothing of it. `field` tells which cell is to blame. */
  end(
    row: GridRow,
    side: 'from' | 'to',
  ): { readonly outcome: CellOutcome<Cavity>; readonly field: PinoutField } | undefined {
    const [one, connectorField, cavityField] =
      side === 'from'
        ? (['from', 'fromConnector', 'fromCavity'] as const)
        : (['to', 'toConnector', 'toCavity'] as const);
    const joint = row.cells[one];
    const cavity = row.cells[cavityField]?.replace(/^(\d+)\.0+$/, '$1');
    const connector =
      row.cells[connectorField] ??
      (side === 'from' ? (row.under ?? this.choices.fromConnector) : this.choices.toConnector);
    if (joint !== undefined && cavity === undefined && row.cells[connectorField] === undefined && !saysNothing(joint)) {
      const read = readEnd(joint);
      if (read.ok) return { outcome: this.place(read.value.connector, read.value.cavity), field: one };
      if (connector !== undefined && joint.length <= 10) return { outcome: this.place(connector, joint), field: one };
      return { outcome: read, field: one };
    }
    const inConnectorCell = joint ?? connector;
    if (cavity !== undefined && !saysNothing(cavity)) {
      if (inConnectorCell !== undefined) return { outcome: this.place(inConnectorCell, cavity), field: cavityField };
      return {
        outcome: {
          ok: false,
          why: `The line names cavity ${cavity} and no connector.`,
          remedy: 'Say to which connector the lines without one belong.',
        },
        field: cavityField,
      };
    }
    const given = row.cells[connectorField];
    if (given === undefined || saysNothing(given)) return undefined;
    const read = readEnd(given);
    if (read.ok && !this.byName.has(given.toLowerCase()))
      return { outcome: this.place(read.value.connector, read.value.cavity), field: connectorField };
    const node = this.byName.get(given.toLowerCase());
    if (node && node.kind !== 'connector')
      return {
        outcome: { ok: true, value: { nodeId: node.id, cavity: (row.cells.number ?? '1').slice(0, 10) } },
        field: connectorField,
      };
    return {
      outcome: { ok: false, why: `The line names ${given} and no cavity.`, remedy: 'Give the cavity number.' },
      field: connectorField,
    };
  }

  /** Whether a node has cavities of one wire each; a stud, a splice or an open end takes several. */
  takesOneEach(nodeId: string): boolean {
    const known = [...this.byName.values()].find((node) => node.id === nodeId);
    return known
      ? known.kind === 'connector'
      : ![...this.made.values()].some((made) => made.id === nodeId && made.isEnd);
  }

  get newConnectors(): NewConnector[] {
    return [...this.made.values()].map(({ name, cavities, isEnd }) => ({
      name,
      ...(isEnd ? { isEnd: true as const } : {}),
      cavities: [...cavities].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })),
    }));
  }
}
