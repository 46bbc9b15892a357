import { cavitiesOf } from '../connector/index.ts';
import { idFrom, type Cavity, type HarnessNode } from '../harness/index.ts';
import { bad, saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import { placeKind, readEnd, readPlaceKind } from './places.ts';
import type { CellOutcome, NewConnector, PinoutField, PinoutHarness, PlaceKind } from './types.ts';

interface Made {
  readonly id: string;
  readonly name: string;
  readonly cavities: Set<string>;
  readonly kind: PlaceKind;
  /** The sheet says in a cell of its own what it is. */
  readonly isSaid: boolean;
}

/** One end of a line's wire: its place, what is wrong with it, or that it has to be asked. */
export type EndOutcome = CellOutcome<Cavity> | { readonly ok: 'ask' };
export interface EndSaid {
  readonly outcome: EndOutcome;
  /** The cell that tells. */
  readonly field: PinoutField;
}

const NAME_MOST = 60;
const CAVITY_MOST = 10;
/** Where the far ends of wires lie of which nobody knows where they go. */
export const NOT_KNOWN = 'Far end not known';
/** Where wires end that are cut. */
const CUT_ENDS = 'Cut ends';

type Side = 'from' | 'to';
/** What a place without cavities is, by its name. */
const kindOf = (name: string): PlaceKind => (placeKind(name) === 'splice' ? 'splice' : 'end');

/** "4.0" is a figure as a spreadsheet stores it: cavity 4. */
const plainCavity = (text: string): string => text.replace(/^(\d+)\.0+$/, '$1');

/** Finds the places that a sheet names, by name or id, and keeps those that are new. */
export class EndFinder {
  private readonly byName = new Map<string, HarnessNode>();
  private readonly made = new Map<string, Made>();

  constructor(
    harness: PinoutHarness,
    private readonly findings: Findings,
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

  /**
   * A place with a cavity. What is called like a splice or a ground is a connector where a cavity of it is named; the
   * name of the wire itself is none.
   */
  private place(said: string, saidCavity: string, kind: PlaceKind, isSaid = false): CellOutcome<Cavity> {
    const name = this.nameIn(said);
    if (name.length > NAME_MOST)
      return bad(`“${name.slice(0, 20)}…” is too long for a connector's name.`, `Use ${NAME_MOST} characters at most.`);
    const node = this.byName.get(name.toLowerCase());
    // "Pin 3" is cavity 3 of a connector; a place at a stud or an open end is called as it is written.
    const isPlace = (node?.kind ?? kind) !== 'connector';
    const cavity = isPlace
      ? saidCavity
      : saidCavity.replace(/^(?:pin|cav(?:ity)?|pos(?:ition)?|terminal|way|kammer|kontakt)\.?\s*#?\s*(?=\w)/i, '');
    if (cavity.length > CAVITY_MOST)
      return bad(`“${cavity}” is too long for a cavity.`, `A cavity has at most ${CAVITY_MOST} characters.`);
    if (node) {
      const known = node.face ? cavitiesOf(node.face).map((one) => one.cavity) : undefined;
      const match =
        known?.find((one) => one.toLowerCase() === cavity.toLowerCase()) ??
        known?.find((one) => one === cavity.replace(/^0+(?=\d)/, ''));
      if (known && match === undefined)
        return bad(`${node.name} has no cavity ${cavity}.`, `Its cavities are ${known.join(', ')}.`);
      return { ok: true, value: { nodeId: node.id, cavity: match ?? cavity } };
    }
    const made = this.made.get(name.toLowerCase()) ?? {
      id: idFrom(name),
      name,
      cavities: new Set<string>(),
      kind,
      isSaid,
    };
    this.made.set(name.toLowerCase(), made);
    made.cavities.add(cavity);
    return { ok: true, value: { nodeId: made.id, cavity } };
  }

  /** A place with a cavity as a line names it; a cell of its own may say that it is no connector. */
  private atCavity(line: ListLine, side: Side, name: string, cavity: string): CellOutcome<Cavity> {
    const said = line.cells[`${side}Place`];
    if (said === undefined)
      return this.place(name, cavity, this.isWire(line, side, name, cavity) ? kindOf(name) : 'connector');
    const kind = readPlaceKind(said);
    return kind
      ? this.place(name, cavity, kind, true)
      : bad(`“${said}” does not say what ${name} is.`, 'Write connector, splice or end.');
  }

  /** A place without cavities, at which a wire is called by its circuit's number. */
  private atPlace(name: string, number: string): CellOutcome<Cavity> {
    return this.place(name, number.slice(0, CAVITY_MOST), kindOf(name));
  }

  /** The far end of a circuit in a list that names one end only: of what is named, or nobody knows of what. */
  farEnd(name: string | undefined, number: string): CellOutcome<Cavity> {
    return this.atPlace(name ?? NOT_KNOWN, number);
  }

  /** An end that names no cavity: a node that is there, a splice, a ground, a stud, a cut end; or it is asked. */
  private withoutCavity(line: ListLine, said: string, field: PinoutField): EndSaid {
    const number = line.cells.number ?? `${line.list + 1}.${line.line}`;
    const node = this.byName.get(said.toLowerCase());
    if (node && node.kind !== 'connector')
      return { outcome: { ok: true, value: { nodeId: node.id, cavity: number.slice(0, CAVITY_MOST) } }, field };
    if (node || this.isConnector(said))
      return { outcome: bad(`The line names ${said} and no cavity.`, 'Give the cavity number.'), field };
    const kind = placeKind(said);
    if (kind === 'cut') return { outcome: this.atPlace(/\d$/.test(said) ? said : CUT_ENDS, number), field };
    if (kind !== undefined) return { outcome: this.atPlace(said, number), field };
    const answer = this.findings.ask(
      {
        key: `end:${said.toLowerCase()}`,
        asks: `What is “${said}”? It names no cavity.`,
        options: [
          { value: 'place', words: 'a place without cavities: a splice, a ground, a part' },
          { value: 'unknown', words: 'where its wires end there is not known' },
        ],
      },
      line,
    );
    if (answer === undefined) return { outcome: { ok: 'ask' }, field };
    return { outcome: answer === 'place' ? this.atPlace(said, number) : this.farEnd(undefined, number), field };
  }

  /** Whether what a line names at a place is its wire, as this application writes it, and no cavity. */
  private isWire(line: ListLine, side: Side, name: string, cavity: string): boolean {
    const said = line.cells[`${side}Place`];
    if (said !== undefined) return readPlaceKind(said) !== 'connector';
    return placeKind(name) !== undefined && cavity === plainCavity(line.cells.number ?? '');
  }

  /** Names that lines give with a cavity are connectors wherever they stand. */
  private readonly connectors = new Set<string>();
  private isConnector(said: string): boolean {
    return this.connectors.has(said.toLowerCase());
  }
  /** Looks through lines for names of connectors, before any end is read. */
  learn(lines: readonly ListLine[]): void {
    for (const line of lines) {
      const { cells, under } = line;
      if (under !== undefined) this.connectors.add(under.toLowerCase());
      for (const side of ['from', 'to'] as const) {
        const name = cells[`${side}Connector`];
        const cavity = cells[`${side}Cavity`];
        if (name !== undefined && cavity !== undefined && !this.isWire(line, side, name, plainCavity(cavity)))
          this.connectors.add(this.nameIn(name).toLowerCase());
      }
    }
  }

  /** One end of a line's circuit; undefined when the line says nothing of it. `field` tells which cell is to blame. */
  end(line: ListLine, side: Side, connectorOf: string | undefined): EndSaid | undefined {
    const [connectorField, cavityField] = [`${side}Connector`, `${side}Cavity`] as const;
    const { cells } = line;
    const joint = cells[side];
    const cavity = cells[cavityField] === undefined ? undefined : plainCavity(cells[cavityField]);
    const connector = cells[connectorField] ?? (side === 'from' ? (line.under ?? connectorOf) : connectorOf);
    if (joint !== undefined && cavity === undefined && cells[connectorField] === undefined && !saysNothing(joint)) {
      if (this.byName.has(joint.toLowerCase()) || placeKind(joint) !== undefined)
        return this.withoutCavity(line, joint, side);
      const read = readEnd(joint);
      if (read.ok) return { outcome: this.atCavity(line, side, read.value.connector, read.value.cavity), field: side };
      if (connector !== undefined && joint.length <= CAVITY_MOST)
        return { outcome: this.atCavity(line, side, connector, plainCavity(joint)), field: side };
      return this.withoutCavity(line, joint, side);
    }
    if (cavity !== undefined && !saysNothing(cavity)) {
      const name = joint ?? connector;
      return {
        outcome: name === undefined ? { ok: 'ask' } : this.atCavity(line, side, name, cavity),
        field: cavityField,
      };
    }
    const given = cells[connectorField];
    if (given === undefined || saysNothing(given)) return undefined;
    if (this.byName.has(given.toLowerCase()) || placeKind(given) !== undefined || this.isConnector(given))
      return this.withoutCavity(line, given, connectorField);
    const read = readEnd(given);
    return read.ok
      ? { outcome: this.atCavity(line, side, read.value.connector, read.value.cavity), field: connectorField }
      : this.withoutCavity(line, given, connectorField);
  }

  /** Whether a node has cavities of one wire each; a stud, a splice or an open end takes several. */
  takesOneEach(nodeId: string): boolean {
    const known = [...this.byName.values()].find((node) => node.id === nodeId);
    if (known) return known.kind === 'connector';
    const made = [...this.made.values()].find((one) => one.id === nodeId);
    return made === undefined || made.kind === 'connector';
  }
  /** Whether a node is an end of one wire: a cut end that has a name of its own. */
  takesOne(nodeId: string): boolean {
    const made = [...this.made.values()].find((one) => one.id === nodeId);
    return made !== undefined && !made.isSaid && made.name !== CUT_ENDS && placeKind(made.name) === 'cut';
  }

  get newConnectors(): NewConnector[] {
    return [...this.made.values()].map(({ name, cavities, kind }) => ({
      name,
      kind,
      cavities: [...cavities].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })),
    }));
  }
}
