import {
  KIND_WORDS,
  CIRCUIT_KINDS,
  REMARK_MOST,
  routeBetween,
  type Cavity,
  type Circuit,
  type CircuitKind,
  type Run,
} from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';
import { kindFromFunction, readAmps, readKind, saysNothing, SAYS_NO } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import { readRemark, readShield } from './remarks.ts';
import type { PinoutField } from './types.ts';
import { wireOf, type Blame, type ColoursSaid } from './wires.ts';

const TEXT_MOST = 200;
export const NUMBER_MOST = 20;

/** What a line says of its circuit, but for its ends. */
export interface Part {
  readonly number: string | undefined;
  readonly function: string;
  readonly kind: CircuitKind;
  /** The kind is concluded, not read. */
  readonly isKindGuessed: boolean;
  readonly wire: WireSpec | undefined;
  readonly fuseA: number | undefined;
  readonly loadA: number | undefined;
  readonly pair: string | undefined;
  readonly shield: Circuit['shield'];
  /** What its line notes, and what of it is understood by nobody. */
  readonly remark: string | undefined;
  readonly runs: string | undefined;
  readonly notTaken: readonly string[];
}

/** The runs that a line names, or the way between its ends. */
export function runsOf(
  text: string | undefined,
  from: Cavity,
  to: Cavity,
  runs: readonly Run[],
  blame: Blame,
): readonly string[] {
  if (text === undefined || saysNothing(text)) return routeBetween(runs, from.nodeId, to.nodeId) ?? [];
  return text.split(';').flatMap((part) => {
    const name = part.trim();
    const run = runs.find((one) => one.name.toLowerCase() === name.toLowerCase() || one.id === name);
    if (!run)
      blame(
        'runs',
        `The harness has no run “${name}”.`,
        runs.length === 0
          ? 'Leave the column out; the way is found from the ends.'
          : `Runs are ${runs.map((one) => one.name).join('; ')}.`,
      );
    return run ? [run.id] : [];
  });
}

/** More than this is no signal, A. */
const SIGNAL_MOST_A = 1;

/**
 * The kind that a line without one is taken for: what its function speaks of, unless a fuse of its own or its load says
 * that it carries power.
 */
function guessedKind(words: string, fuseA: number | undefined, loadA: number | undefined): CircuitKind {
  const guessed = kindFromFunction(words) ?? 'signal';
  const carries = fuseA !== undefined || (loadA ?? 0) > SIGNAL_MOST_A;
  return carries && (guessed === 'signal' || guessed === 'lowLevel') ? 'power' : guessed;
}

/** Kinds of circuits as options of a guess. */
export const KIND_OPTIONS = CIRCUIT_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }));
const isKind = (value: string | undefined): value is CircuitKind =>
  value !== undefined && (CIRCUIT_KINDS as readonly string[]).includes(value);

/** A fuse by its name alone: which one, and not how large. */
const FUSE_NAME = /^(?:f|fu|fuse|si|sicherung)[-_. ]?\d{1,3}[a-z]?$/i;

/** What a line is paired by: its own cell; where that is blank, its remark. "None" in the cell is not blank. */
function pairOf(cell: string | undefined, remark: string | undefined): string | undefined {
  if (cell !== undefined && SAYS_NO.test(cell)) return undefined;
  return cell === undefined || saysNothing(cell) ? remark : cell;
}

/** The key of the guess of a circuit's kind. */
export const kindKey = (line: ListLine): string => `kind:${line.cells.number ?? `${line.list + 1}.${line.line}`}`;

/**
 * What the line says of the circuit itself: number, function, kind, wire, currents. Everything that is wrong is blamed
 * on its cell.
 */
export function circuitPart(
  line: ListLine,
  colours: ColoursSaid,
  headerOf: (field: PinoutField) => string,
  findings: Findings,
  blame: Blame,
): Part {
  const { cells } = line;
  const notTaken: string[] = [];
  const words = cells.function ?? '';
  if (words.length > TEXT_MOST)
    blame('function', `The function has ${words.length} characters.`, `Shorten it to ${TEXT_MOST}.`);
  const number = saysNothing(cells.number ?? '') ? undefined : cells.number?.replace(/^(\d+)\.0+$/, '$1');
  if ((number ?? '').length > NUMBER_MOST)
    blame('number', `The circuit number has ${(number ?? '').length} characters.`, `Shorten it to ${NUMBER_MOST}.`);
  const kindRead = cells.kind === undefined || saysNothing(cells.kind) ? undefined : readKind(cells.kind);
  if (kindRead && !kindRead.ok) blame('kind', kindRead.why, kindRead.remedy);
  const amps = (field: 'fuse' | 'load', what: string): number | undefined => {
    const text = cells[field];
    if (text === undefined || saysNothing(text)) return undefined;
    if (field === 'fuse' && FUSE_NAME.test(text)) {
      notTaken.push(`fuse ${text}: its rating is not given`);
      return undefined;
    }
    const read = readAmps(text, what);
    if (!read.ok) blame(field, `“${text}”: ${read.why}`, read.remedy);
    if (read.ok && field === 'fuse' && !(read.value > 0))
      blame('fuse', `“${text}”: a fuse is above 0 A.`, 'Leave the cell empty when there is none.');
    return read.ok ? read.value : undefined;
  };
  const [fuseA, loadA] = [amps('fuse', 'fuse'), amps('load', 'load')];
  const said = cells.remark === undefined || saysNothing(cells.remark) ? '' : cells.remark;
  const remark = readRemark(said);
  if (remark.isNotTaken) notTaken.push(said);
  const shieldSaid = readShield(cells.shield);
  if (shieldSaid && !shieldSaid.ok) blame('shield', shieldSaid.why, shieldSaid.remedy);
  if (shieldSaid?.ok && shieldSaid.value.name !== undefined) notTaken.push(`in shield ${shieldSaid.value.name}`);
  const kept = [said, ...notTaken.filter((words) => words !== said)].filter((words) => words !== '').join('; ');
  if (kept.length > REMARK_MOST)
    blame('remark', `The remark has ${kept.length} characters.`, `Shorten it to ${REMARK_MOST}.`);
  const set = findings.answer(kindKey(line));
  return {
    number,
    function: words,
    kind: kindRead?.ok ? kindRead.value : isKind(set) ? set : guessedKind(words, fuseA, loadA),
    isKindGuessed: !kindRead?.ok,
    wire: wireOf(line, colours, headerOf, findings, blame),
    fuseA,
    loadA,
    pair: pairOf(cells.pair, remark.pair),
    shield: shieldSaid?.ok ? shieldSaid.value.shield : remark.isShielded ? {} : undefined,
    remark: kept === '' ? undefined : kept,
    runs: cells.runs,
    notTaken,
  };
}
