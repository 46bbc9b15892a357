import { notOnShelf } from '../../catalogue/index.ts';
import type { CavityFinding } from '../../damage/index.ts';
import { rankMethods, type RankedMethod, type Site } from '../../method/index.ts';
import { newTerminalTakesMm, TERMINAL_EXTRA_MM } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { freeWireBeside } from '../freeWire.ts';
import type { DecideInput, RankedWay, Redo, WorkShare } from '../types.ts';
import { SPLICE_MINUTES } from './lead.ts';
import type { TerminalFit } from './terminal.ts';
import { ACT_MINUTES } from './work.ts';

/** Strip assumed while the terminal is not known, mm. */
const USUAL_STRIP_MM = 7;
/**
 * From the connector's clearance to where the left of the two splices that lengthen a lead is wished, mm: at a run's end the right one,
 * with its distance, still has to find room before the connector.
 */
const EXTEND_AT_START_MM = 65;
const EXTEND_AT_END_MM = 110;

/** A new terminal on the old wire, judged: the tail's slack must cover its strip, 2 mm and what is lost. */
export function newTerminalWay(
  { share, redos }: DecideInput,
  finding: CavityFinding,
  fit: TerminalFit,
  alsoLostMm: number,
): { readonly way: RankedWay; readonly takesMm: number } {
  const stripMm = fit.terminal?.stripMm ?? USUAL_STRIP_MM;
  // A terminal that is cut off again takes its strip and 2 mm each time.
  const again = redos.filter((redo) => redo.findingId === finding.id).length * newTerminalTakesMm(stripMm, 0);
  const lost = Math.max(finding.cutBackLeftMm + finding.cutBackRightMm + again, alsoLostMm);
  const takesMm = newTerminalTakesMm(stripMm, lost);
  return { way: terminalWay(share, fit, stripMm, lost), takesMm };
}

function terminalWay(share: WorkShare, fit: TerminalFit, stripMm: number, lost: number): RankedWay {
  const takes = newTerminalTakesMm(stripMm, lost);
  const slack = share.slackMm;
  const cost = {
    splices: 0,
    minutes: ACT_MINUTES.crimpTerminal,
    wireMm: Math.round(takes),
    parts: [fit.terminal?.partName, fit.terminal?.seal?.name].filter((name) => name !== undefined),
  };
  const sum = `strip ${figure(stripMm, 1)} + ${TERMINAL_EXTRA_MM}${lost > 0 ? ` + ${figure(lost, 1)} lost` : ''} = ${figure(takes, 1)} mm`;
  if (takes > slack + 1e-9) {
    return {
      way: 'newTerminal',
      status: 'refused',
      ruleId: 'way.tailTooShort',
      allowedIf: `the tail gave ${figure(takes, 1)} mm`,
      cost,
      lacks: [],
      because: !share.slackKnown
        ? `A new terminal takes ${sum} of the tail, and nobody has measured what it gives: unknown counts as 0.`
        : `A new terminal takes ${sum} of the tail, which gives only ${figure(slack, 1)}.`,
    };
  }
  if (fit.unknown !== undefined && fit.family !== undefined)
    return {
      way: 'newTerminal',
      status: 'shelf',
      ruleId: 'way.terminalUnknown',
      because: fit.unknown,
      cost,
      lacks: [],
    };
  if (fit.lacks.length > 0)
    return {
      way: 'newTerminal',
      status: 'shelf',
      ruleId: 'shelf.part',
      because: notOnShelf(fit.lacks),
      cost,
      lacks: fit.lacks,
    };
  return {
    way: 'newTerminal',
    status: 'allowed',
    ruleId: 'way.newTerminal',
    because: `The tail gives ${figure(slack, 1)} mm and a new terminal${fit.terminal ? ` (${fit.terminal.partName})` : ''} takes ${sum}: no splice.${fit.unknown ? ` ${fit.unknown}` : ''}`,
    cost,
    lacks: [],
  };
}

/** A lead made longer by an insert between two splices, where the run has room beyond the connector; a redo has taken what lay between them. */
export function extendWay(
  input: DecideInput,
  site: Site,
  shortByMm: number,
  atStart: boolean,
  redo?: Redo,
): {
  readonly way: RankedWay;
  readonly site: Site;
  readonly ranked: readonly RankedMethod[];
  readonly method?: RankedMethod | undefined;
} {
  const { run, practice } = input;
  const from = practice.figures.clearMm.connector + (atStart ? EXTEND_AT_START_MM : EXTEND_AT_END_MM);
  const middle = atStart ? Math.min(from, run.lengthMm / 2) : Math.max(run.lengthMm - from, run.lengthMm / 2);
  const lost = redo ? { fromMm: redo.lostFromMm, toMm: redo.lostToMm } : { fromMm: middle, toMm: middle };
  const here: Site = { ...site, lost, twoRequired: true, ...freeWireBeside(run, lost) };
  const ranked = rankMethods(here, input.shelf);
  const [best] = ranked;
  const method = best?.status === 'refused' ? undefined : best;
  const cost = {
    splices: 2,
    minutes: 2 * SPLICE_MINUTES,
    wireMm: Math.round(shortByMm + (method?.joints[0]?.bodyLengthMm ?? 0) + practice.figures.betweenBodiesMm),
    parts: method ? [method.joints[0]?.partName ?? method.name] : [],
  };
  return {
    site: here,
    ranked,
    method,
    way: method
      ? {
          way: 'extend',
          status: method.status,
          ruleId: 'way.extend',
          cost,
          lacks: method.lacks,
          because: `It lacks ${figure(shortByMm, 0)} mm: an insert between two splices, same colour, never smaller.`,
        }
      : {
          way: 'extend',
          status: 'refused',
          ruleId: best?.hits[0]?.ruleId ?? 'place.noRoom',
          allowedIf: 'two splices found a legal place',
          cost,
          lacks: [],
          because: best?.because ?? 'No two splices find a legal place on this run.',
        },
  };
}
