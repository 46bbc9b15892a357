import { notOnShelf } from '../../catalogue/index.ts';
import type { CavityFinding } from '../../damage/index.ts';
import { newTerminalTakesMm, TERMINAL_EXTRA_MM } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import type { DecideInput, RankedWay, WorkShare } from '../types.ts';
import type { TerminalFit } from './terminal.ts';
import { ACT_MINUTES, unfit } from './work.ts';

/** Strip assumed while the terminal is not known, mm. */
const USUAL_STRIP_MM = 7;

/** A new terminal on the old wire, judged: the tail's slack must cover its strip, 2 mm and what is lost. */
export function newTerminalWay(
  { share, redos }: DecideInput,
  finding: CavityFinding,
  fit: TerminalFit,
  alsoLostMm: number,
): { readonly way: RankedWay; readonly takesMm: number } {
  const stripMm = fit.terminal?.stripMm ?? USUAL_STRIP_MM;
  // A terminal that is cut off again takes its strip and 2 mm each time, where nobody has said what it took.
  const again = redos
    .filter((redo) => redo.findingId === finding.id)
    .reduce((sum, { mishap }) => sum + (mishap ? (mishap.tailMm ?? 0) : newTerminalTakesMm(stripMm, 0)), 0);
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
  if (fit.refused !== undefined) return unfit('newTerminal', fit.refused, cost);
  if (fit.unknown !== undefined && fit.family !== undefined)
    return {
      way: 'newTerminal',
      status: 'shelf',
      ruleId: 'way.terminalUnknown',
      because: fit.unknown,
      cost,
      lacks: fit.lacks,
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
    because: `The tail gives ${figure(slack, 1)} mm and a new terminal${fit.terminal ? ` (${fit.terminal.partName})` : ''} takes ${sum}: no splice.`,
    cost,
    lacks: [],
  };
}
