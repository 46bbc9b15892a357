import type { judgeColourSystem } from '../wire/index.ts';
import { type WireSpec } from '../wire/index.ts';
import { routeBetween, type Cavity, type CircuitKind, type Run } from '../harness/index.ts';
import { kindFromFunction, readAmps, readKind, saysNothing } from './cells.ts';
import type { EndFinder } from './ends.ts';
import type { GridRow } from './grid.ts';
import type { HalfRow } from './halves.ts';
import { wireOf, type Blame } from './wires.ts';
import type { BareSize, PinoutChoices, PinoutHarness } from './types.ts';

const TEXT_MOST = 200;
export const NUMBER_MOST = 20;

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

export interface Settled {
  readonly harness: PinoutHarness;
  readonly choices: PinoutChoices;
  readonly colours: ReturnType<typeof judgeColourSystem>['system'];
  readonly bare: BareSize | undefined;
  readonly finder: EndFinder;
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

/**
 * What the line says of the circuit itself: number, function, kind, wire, currents. Everything that is wrong is blamed
 * on its cell.
 */
export function circuitPart(
  row: GridRow,
  settled: Settled,
  blame: Blame,
): HalfRow['part'] & { readonly wire: WireSpec | undefined } {
  const { cells } = row;
  const notes: string[] = [];
  const words = cells.function ?? '';
  if (words.length > TEXT_MOST)
    blame('function', `The function has ${words.length} characters.`, `Shorten it to ${TEXT_MOST}.`);
  if ((cells.number ?? '').length > NUMBER_MOST)
    blame(
      'number',
      `The circuit number has ${(cells.number ?? '').length} characters.`,
      `Shorten it to ${NUMBER_MOST}.`,
    );
  const kindRead = cells.kind === undefined || saysNothing(cells.kind) ? undefined : readKind(cells.kind);
  if (kindRead && !kindRead.ok) blame('kind', kindRead.why, kindRead.remedy);
  if (!kindRead) notes.push('kind');
  const amps = (field: 'fuse' | 'load', what: string): number | undefined => {
    const text = cells[field];
    if (text === undefined || saysNothing(text)) return undefined;
    const read = readAmps(text, what);
    if (!read.ok) blame(field, `“${text}”: ${read.why}`, read.remedy);
    if (read.ok && field === 'fuse' && !(read.value > 0))
      blame('fuse', `“${text}”: a fuse is above 0 A.`, 'Leave the cell empty when there is none.');
    return read.ok ? read.value : undefined;
  };
  const [fuseA, loadA] = [amps('fuse', 'fuse'), amps('load', 'load')];
  const pair =
    cells.pair === undefined || saysNothing(cells.pair) || /^(?:no|false|0)$/i.test(cells.pair)
      ? undefined
      : cells.pair;
  return {
    number: cells.number?.replace(/^(\d+)\.0+$/, '$1'),
    function: words,
    kind: kindRead?.ok ? kindRead.value : guessedKind(words, fuseA, loadA),
    wire: wireOf(row, settled.colours, settled.bare, settled.choices, blame),
    fuseA,
    loadA,
    pair,
    runs: cells.runs,
    notes,
  };
}
