import { figure } from '../units/index.ts';
import type { QuickRepair } from './types.ts';

/** A figure of a quick repair that cannot be: which, why, and what to do. */
export interface QuickProblem {
  readonly field: keyof QuickRepair;
  readonly message: string;
  readonly hint: string;
}

/** What cannot be in a quick repair whose figures are each within their own limits. */
export function checkQuick({ damage, lostMm, cutBackMm, openMm, strands, bendsMm }: QuickRepair): QuickProblem[] {
  const problems: QuickProblem[] = [];
  const loss = lostMm + 2 * cutBackMm;
  if (loss > 2 * openMm)
    problems.push({
      field: 'openMm',
      message: `The damage takes ${figure(loss, 0)} mm with its cut-back, and ${figure(2 * openMm, 0)} mm is opened.`,
      hint: `Open ${figure(Math.ceil(loss / 2), 0)} mm or more on each side, or measure the damage again.`,
    });
  if (bendsMm !== undefined && bendsMm >= 2 * openMm)
    problems.push({
      field: 'openMm',
      message: `${figure(bendsMm, 0)} mm bend in use, and ${figure(2 * openMm, 0)} mm is opened: no splice may lie where it bends.`,
      hint: 'Open the harness beyond what bends, on both sides.',
    });
  if (damage === 'strandsLost' && strands === undefined)
    problems.push({
      field: 'strands',
      message: 'Nobody has said how many strands are lost.',
      hint: 'Count those that are lost, and all of them.',
    });
  if (strands && strands.lost > strands.total)
    problems.push({
      field: 'strands',
      message: `${strands.lost} of ${strands.total} strands cannot be lost.`,
      hint: 'Count again: lost strands are at most all of them.',
    });
  return problems;
}
