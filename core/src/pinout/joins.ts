import type { Cavity, Circuit } from '../harness/index.ts';
import { areaMm2, colourInWords, sizeInWords, type WireSpec } from '../wire/index.ts';
import { NUMBER_MOST, type Part } from './circuitPart.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import type { PinoutField, PinoutHarness, PinoutOption } from './types.ts';

/** An end of a wire, and the line and half of it that names it. */
export interface WireEnd {
  readonly line: ListLine;
  readonly side: 'from' | 'to';
  readonly place: Cavity;
}

/** A wire of the sheet: its line, or the two that are its ends. */
export interface Wire {
  readonly line: ListLine;
  readonly part: Part;
  readonly number: string;
  readonly from: Cavity;
  readonly to: Cavity;
  readonly ends: readonly WireEnd[];
  /** Its ends as the lines name them that are of the other end: what they say of a cavity counts as well. */
  readonly seenFromFar?: readonly WireEnd[] | undefined;
}

/** A line that was read, before it is known what other lines say of its wire. */
export interface Read {
  readonly line: ListLine;
  readonly part: Part;
  readonly from: Cavity;
  /** Absent where its list names one end only. */
  readonly to?: Cavity | undefined;
}

type ColumnOf = (list: number, field: PinoutField) => string | undefined;

const ONE: PinoutOption = { value: 'one', words: 'the two ends of one wire' };
const OWN: PinoutOption = { value: 'own', words: 'wires of their own' };
const EACH: PinoutOption = { value: 'each', words: 'asked one by one' };

const same = (a: Cavity, b: Cavity): boolean => a.nodeId === b.nodeId && a.cavity === b.cavity;

/** Lines of one number that name one end each. */
type Group = readonly Read[];

/** What was said of lines with one number: that two are the ends of one wire, or that each is a wire. */
function isOne(number: string, group: Group, all: string | undefined, findings: Findings): boolean | undefined {
  const mayBeOne = group.length === 2 && group.every(({ to }) => to === undefined);
  if (mayBeOne && all !== undefined && all !== 'each') return all === 'one';
  const answer = findings.ask(
    {
      key: `number:${number}`,
      asks: `${number} is on ${group.length === 2 ? 'two' : group.length} lines. What are they?`,
      options: mayBeOne ? [ONE, OWN] : [OWN],
    },
    group.map(({ line }) => line),
  );
  return answer === undefined ? undefined : answer === 'one';
}

/** Whether two say the same of a wire: as much copper, however its size is named, and one colour. */
const agree = (a: WireSpec, b: WireSpec): boolean =>
  Math.abs(areaMm2(a.size) - areaMm2(b.size)) < 0.01 * areaMm2(a.size) &&
  colourInWords(a.colour) === colourInWords(b.colour);

/** Tells of a line that does not agree with what else is said of its wire. */
function mustAgree(
  { line, part: { wire } }: Read,
  number: string,
  other: WireSpec | undefined,
  where: string,
  { columnOf, findings }: Pick<Joining, 'columnOf' | 'findings'>,
): void {
  if (!wire || !other || agree(wire, other)) return;
  findings.wrong(line, {
    column: columnOf(line.list, 'number'),
    value: number,
    why: `Circuit ${number} is ${sizeInWords(wire.size)} ${colourInWords(wire.colour)} here and ${sizeInWords(other.size)} ${colourInWords(other.colour)} ${where}.`,
    remedy: 'Correct one of the two; where the wire really changes, say that they are wires of their own.',
  });
}

/** What both lines of a wire say of it besides; where they say two things the second is to blame. */
function saidByBoth(first: Read, second: Read, number: string, { columnOf, findings }: Joining): Part {
  const [a, b] = [first.part, second.part];
  const one = <T>(field: PinoutField, ofFirst: T | undefined, ofSecond: T | undefined): T | undefined => {
    if (ofFirst !== undefined && ofSecond !== undefined && ofFirst !== ofSecond)
      findings.wrong(second.line, {
        column: columnOf(second.line.list, field),
        value: String(ofSecond),
        why: `Circuit ${number} has ${String(ofSecond)} here and ${String(ofFirst)} on line ${first.line.line}.`,
        remedy: 'Correct one of the two.',
      });
    return ofFirst ?? ofSecond;
  };
  const sure = (part: Part): Part['kind'] | undefined => (part.isKindGuessed ? undefined : part.kind);
  const kind = one('kind', sure(a), sure(b));
  const drainMm2 = one('shield', a.shield?.drainMm2, b.shield?.drainMm2);
  const remarks = [...new Set([a.remark, b.remark])].filter((words) => words !== undefined);
  return {
    ...a,
    function: a.function === '' ? b.function : a.function,
    kind: kind ?? a.kind,
    isKindGuessed: kind === undefined,
    fuseA: one('fuse', a.fuseA, b.fuseA),
    loadA: one('load', a.loadA, b.loadA),
    pair: one('pair', a.pair, b.pair),
    shield: a.shield || b.shield ? { ...(drainMm2 === undefined ? {} : { drainMm2 }) } : undefined,
    runs: a.runs ?? b.runs,
    remark: remarks.length === 0 ? undefined : remarks.join('; '),
    notTaken: [...new Set([...a.notTaken, ...b.notTaken])],
  };
}

/** Two lines as one wire, whose ends are the near ends of both; that they agree on it is looked at. */
function oneOf([first, second]: Group, number: string, joining: Joining): Wire[] {
  if (!first || !second) return [];
  mustAgree(second, number, first.part.wire, `on line ${first.line.line}`, joining);
  return [
    {
      line: first.line,
      part: saidByBoth(first, second, number, joining),
      number,
      ...asKnown(first.from, second.from, number, joining.harness),
      ends: [
        { line: first.line, side: 'from', place: first.from },
        { line: second.line, side: 'from', place: second.from },
      ],
      seenFromFar: [first, second].flatMap(({ line, to }) => (to ? [{ line, side: 'to' as const, place: to }] : [])),
    },
  ];
}

/** Both ends of a wire, the way round that its circuit has already. */
function asKnown(from: Cavity, to: Cavity, number: string, { circuits }: PinoutHarness): Pick<Wire, 'from' | 'to'> {
  const known = circuits.find((circuit) => circuit.number === number);
  return known && same(known.from, to) && same(known.to, from) ? { from: to, to: from } : { from, to };
}

/** Two lines that name the same two ends, each from its own: a list of every cavity has each wire twice. */
const areMirrored = ([a, b, third]: Group): boolean =>
  a?.to !== undefined && b?.to !== undefined && third === undefined && same(a.from, b.to) && same(a.to, b.from);

/** A number that nobody has yet: 12-2, 12-3. */
function ownNumber(number: string, taken: ReadonlySet<string>): string {
  for (let at = 2; ; at += 1) {
    const end = `-${at}`;
    const own = `${number.slice(0, NUMBER_MOST - end.length)}${end}`;
    if (!taken.has(own)) return own;
  }
}

interface Joining {
  readonly harness: PinoutHarness;
  readonly findings: Findings;
  readonly columnOf: ColumnOf;
  readonly nameOf: (nodeId: string) => string;
  /** Where a wire goes whose list does not tell; nothing while that is open, or where it has no room there. */
  readonly farEnd: (read: Read, number: string) => Cavity | undefined;
}

/** A circuit that is there already, of which a line names one end: its other end, or what is asked of the two. */
function knownOther(read: Read, known: Circuit, { harness, findings }: Joining): Cavity | 'own' | undefined {
  if (same(known.from, read.from)) return known.to;
  if (same(known.to, read.from)) return known.from;
  const isOpen = harness.nodes.find(({ id }) => id === known.to.nodeId)?.kind === 'end';
  const answer = findings.ask(
    {
      key: `number:${known.number}`,
      asks: `The harness has a circuit ${known.number} already, at other places. What is this line?`,
      options: isOpen ? [{ ...ONE, words: 'the other end of that wire' }, OWN] : [OWN],
    },
    read.line,
  );
  return answer === 'one' ? known.from : answer === 'own' ? 'own' : undefined;
}

/**
 * The wires that lines are: a line that names both ends is one; of lines that name one end and have one number it is
 * asked whether they are the ends of one wire. No number is given twice.
 */
export function joined(reads: readonly Read[], joining: Joining): Wire[] {
  const { harness, findings, nameOf } = joining;
  const numberOf = ({ part, from }: Read): string =>
    part.number ?? `${nameOf(from.nodeId)}.${from.cavity}`.slice(0, NUMBER_MOST);
  const groups = new Map<string, Read[]>();
  for (const read of reads) {
    if (read.part.number === undefined) continue;
    groups.set(read.part.number, [...(groups.get(read.part.number) ?? []), read]);
  }
  const twice = [...groups.values()].filter((group) => group.length === 2 && group.every(({ to }) => to === undefined));
  const all =
    twice.length > 1
      ? findings.ask(
          {
            key: 'numbers',
            asks: `${twice.length} circuit numbers are on two lines each: ${twice
              .slice(0, 4)
              .map(([one]) => one?.part.number ?? '')
              .join(', ')}${twice.length > 4 ? ' …' : ''}. What are those lines?`,
            options: [ONE, OWN, EACH],
          },
          twice.flat().map(({ line }) => line),
        )
      : 'each';
  const taken = new Set([...groups.keys(), ...harness.circuits.map(({ number }) => number)]);
  const given = new Set<string>();
  const done = new Set<Read>();
  const wires: Wire[] = [];
  const add = (read: Read, wanted: string, toOf: (number: string) => Cavity | undefined, isNew = false): void => {
    const number = given.has(wanted) || isNew ? ownNumber(wanted, taken) : wanted;
    const to = toOf(number);
    if (!to) return;
    taken.add(number);
    given.add(number);
    const ends: WireEnd[] = [{ line: read.line, side: 'from', place: read.from }];
    if (read.to) ends.push({ line: read.line, side: 'to', place: read.to });
    wires.push({ line: read.line, part: read.part, number, ...asKnown(read.from, to, number, harness), ends });
  };
  for (const read of reads) {
    if (done.has(read)) continue;
    const number = numberOf(read);
    const group = read.part.number === undefined ? [read] : (groups.get(read.part.number) ?? [read]);
    if (group.length > 1) {
      // Nothing is known of several lines before the question of all of them is answered.
      if (all === undefined && twice.includes(group)) continue;
      const one = areMirrored(group) || isOne(number, group, all, findings);
      if (one === undefined) continue;
      if (one) {
        for (const other of group) done.add(other);
        given.add(number);
        wires.push(...oneOf(group, number, joining));
        continue;
      }
    }
    if (read.to) {
      const { to } = read;
      add(read, number, () => to);
      continue;
    }
    const known = group.length > 1 ? undefined : harness.circuits.find((circuit) => circuit.number === number);
    const other = known ? knownOther(read, known, joining) : 'own';
    if (other === undefined) continue;
    if (other !== 'own' && known) {
      const isFrom = same(known.from, read.from);
      // A line of a cavity that is known changes its wire; the other end of a wire has to agree with it.
      const isOther = !isFrom && !same(known.to, read.from);
      if (isOther) mustAgree(read, number, known.wire, 'in the harness', joining);
      const ends: WireEnd[] = [{ line: read.line, side: 'from', place: read.from }];
      given.add(number);
      wires.push({
        line: read.line,
        part: isOther && read.part.wire ? { ...read.part, wire: known.wire } : read.part,
        number,
        ...(isFrom ? { from: read.from, to: other } : { from: other, to: read.from }),
        ends,
      });
      continue;
    }
    add(read, number, (own) => joining.farEnd(read, own), known !== undefined);
  }
  return wires.sort((a, b) => a.line.line - b.line.line || a.line.list - b.line.list);
}
